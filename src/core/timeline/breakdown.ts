import { actualsByDay, normals } from "../climate/climate";
import { daysFrom, toDay } from "../quantities/plain-date";
import { spanWords } from "../quantities/words";
import type { FilterSlot } from "../inventory/inventory";
import type { HomeSnapshot } from "../history/home-snapshot";
import type { HistoryEvent } from "../history/history-event";
import { filterStatusOf } from "../filters/filter-status";

/** What was so on the day a machine stopped, as far as the record knows. */
export type BreakdownGround =
  | { kind: "filter"; slot: FilterSlot; percent: number; daysOver: number | null }
  | { kind: "weather"; meanC: number; belowUsualK: number };

/** From this share on a filter is worth naming when a machine stops, percent. */
const NEARLY_FULL_PERCENT = 80;
/** A day so far off its normal strains a machine, K. */
const STRAIN_K = 6;

/**
 * What may have brought a machine to a stop: its filters as they stood that day before anything was
 * done about it, and the weather.
 *
 * @example breakdownGrounds(snapshot([event("fitted", -300)]), { unitId: "furnace", date: today }).length > 0 // true
 */
export function breakdownGrounds(
  snapshot: HomeSnapshot,
  { unitId, date }: Pick<HistoryEvent, "unitId" | "date">,
): BreakdownGround[] {
  const unit = snapshot.units.find((each) => each.id === unitId);
  if (!unit) return [];
  const before: HomeSnapshot = {
    ...snapshot,
    history: snapshot.history.without((each) => each.date >= date),
  };
  const filters = snapshot.slots.flatMap((slot): BreakdownGround[] => {
    const of = snapshot.units.find((each) => each.id === slot.unitId);
    if (of?.systemId !== unit.systemId) return [];
    const { wear } = filterStatusOf(before, slot, date, () => "");
    if (!wear || wear.percentNow < NEARLY_FULL_PERCENT) return [];
    const over = wear.likely && wear.likely < date ? daysFrom(wear.likely, date) : null;
    return [{ kind: "filter", slot, percent: wear.percentNow, daysOver: over }];
  });
  const day = toDay(date);
  const meanC = actualsByDay(snapshot.actuals, day, day).get(day);
  const usual = normals(snapshot.home.climate.monthlyMeanC, day, day)[0]!;
  const strains = meanC !== undefined && Math.abs(meanC - usual) >= STRAIN_K;
  return [
    ...filters,
    ...(strains ? [{ kind: "weather" as const, meanC, belowUsualK: usual - meanC }] : []),
  ];
}

/**
 * The grounds of a breakdown as words for the record: “its filter was 134 % full, 3 weeks over”.
 *
 * @example breakdownWords(snapshot([]), event("breakdown", 0)) // []
 */
export function breakdownWords(snapshot: HomeSnapshot, event: HistoryEvent): string[] {
  return breakdownGrounds(snapshot, event).map((ground) => {
    if (ground.kind === "weather") {
      const by = Math.round(Math.abs(ground.belowUsualK));
      return `a day ${by} K ${ground.belowUsualK > 0 ? "colder" : "warmer"} than usual`;
    }
    const name = ground.slot.name.toLowerCase();
    const over = ground.daysOver ? `, ${spanWords(ground.daysOver)} over` : "";
    return `the ${name} was ${Math.round(ground.percent)} % full${over}`;
  });
}
