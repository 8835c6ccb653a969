import type { FilterStatus } from "@/core/filters/filter-status";
import type { Media } from "@/core/filters/media";
import type { PlainDate } from "@/core/quantities/plain-date";

const PANELS: readonly Media[] = [
  "fibreglass-25",
  "pleated-25",
  "pleated-50",
  "pleated-100",
  "pleated-125",
];

/** What the sliders begin with: the engine’s own question, without the weather before the filter. */
export function whatIfOf({ wear, context, slot }: FilterStatus, today: PlainDate) {
  const { input } = wear!;
  const since = (day: { date: PlainDate }) => day.date >= input.fittedOn;
  const pets = context.drivers.find(
    (driver) => driver.kind === "shedding-pets" && (driver.to === undefined || driver.to >= today),
  );
  return {
    input: {
      ...input,
      actuals: input.actuals.filter(since),
      measured: input.measured.filter(since),
    },
    pets: pets && "count" in pets ? pets.count : 0,
    /** What could sit there instead. */
    media: PANELS.includes(slot.media) ? PANELS : [],
  };
}
