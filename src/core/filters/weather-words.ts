import { runDays } from "../climate/run-hours";
import { civil, toDay, type PlainDate } from "../quantities/plain-date";
import { MONTHS } from "../quantities/words";
import type { Wearing } from "./media";
import type { PlaceContext } from "./place-history";
import { HEATING_SHARE_OF_COIL } from "./wear-course";

/** What moved a month’s hours by less is not worth a word, h. Our choice. */
const LEAST_HOURS = 10;

/** How much of each kind of hours a part takes in: a humidifier’s panel knows nothing of a hot August. */
function sharesOf(media: Wearing): { heating: number; cooling: number } {
  if (media === "humidifier-panel") return { heating: 1, cooling: 0 };
  if (media === "outdoor-coil") return { heating: HEATING_SHARE_OF_COIL, cooling: 1 };
  return { heating: 1, cooling: 1 };
}

/**
 * The month that moved the hours most since a filter was fitted, in words: “a cold January”, “a
 * mild March”, “a hot July”. It goes by the hours that count for what the part is made of. Null when no real
 * weather is known, or it changed nothing.
 *
 * @example weatherWords({ actuals: [] }, "pleated-25", today, today) // null
 */
export function weatherWords(
  context: PlaceContext,
  media: Wearing,
  fittedOn: PlainDate,
  today: PlainDate,
): string | null {
  const from = toDay(fittedOn);
  const to = toDay(today) - 1;
  if (context.actuals.length === 0 || to < from) return null;
  const { climate, equipment } = context;
  const real = runDays(climate, context.actuals, equipment, [], from, to);
  const normal = runDays(climate, [], equipment, [], from, to);
  const share = sharesOf(media);
  const byMonth = new Map<number, { heating: number; cooling: number }>();
  for (let i = 0; i <= to - from; i++) {
    const { month } = civil(from + i);
    const sums = byMonth.get(month) ?? { heating: 0, cooling: 0 };
    sums.heating += share.heating * (real.heating[i]! - normal.heating[i]!);
    sums.cooling += share.cooling * (real.cooling[i]! - normal.cooling[i]!);
    byMonth.set(month, sums);
  }
  const total = [...byMonth.values()].reduce((sum, m) => sum + m.heating + m.cooling, 0);
  let strongest: { month: number; hours: number; heating: boolean } | null = null;
  for (const [month, { heating, cooling }] of byMonth) {
    const isHeating = Math.abs(heating) >= Math.abs(cooling);
    const hours = isHeating ? heating : cooling;
    const counts = Math.sign(hours) === Math.sign(total);
    if (counts && Math.abs(hours) > Math.abs(strongest?.hours ?? 0))
      strongest = { month, hours, heating: isHeating };
  }
  if (!strongest || Math.abs(strongest.hours) < LEAST_HOURS) return null;
  const more = strongest.hours > 0;
  const word = strongest.heating ? (more ? "cold" : "mild") : more ? "hot" : "cool";
  return `a ${word} ${MONTHS[strongest.month - 1]}`;
}
