import type { JobFact, Procedure } from "@/core/procedures/procedure";
import { normalOn } from "@/core/climate/climate";
import { addDays, daysFrom, fromDay, toDay, type PlainDate } from "@/core/quantities/plain-date";
import type { FilterSlot, HomeBook, Unit } from "@/core/register/register";

/** What is true of the place a job is done at. */
export function factsOf(unit: Unit | undefined, slot: FilterSlot | undefined): JobFact[] {
  return [
    ...(slot?.direction === "unknown" ? (["direction-unknown"] as const) : []),
    ...(slot && !slot.opening && !slot.measured ? (["size-unknown"] as const) : []),
    ...(slot?.indicator ? (["has-indicator"] as const) : []),
    ...(unit?.answers["water"] === "header-tank"
      ? (["header-tank"] as const)
      : unit?.kind === "boiler"
        ? (["sealed-system"] as const)
        : []),
  ];
}

/** A day's mean that was observed counts for this many days, before the usual one is better. */
const OBSERVED_DAYS = 2;

export type Mildness = {
  /** What the day has, as observed or as is usual, °C. */
  meanC: number;
  isObserved: boolean;
  isMild: boolean;
  /** The next day that usually is mild enough, when this one is not. */
  from: PlainDate | null;
};

/** Whether a day is likely to be as warm as a job wants it. */
export function mildnessOf(book: HomeBook, leastC: number, today: PlainDate): Mildness {
  const seen = book.actuals.at(-1);
  const isObserved = seen !== undefined && daysFrom(seen.date, today) <= OBSERVED_DAYS;
  const usual = (day: number) => normalOn(book.home.climate.monthlyMeanC, day);
  const meanC = isObserved ? seen.meanC : usual(toDay(today));
  const isMild = meanC >= leastC;
  const first = toDay(today) + 1;
  const ahead = Array.from({ length: 365 }, (_, i) => first + i);
  const from = isMild ? undefined : ahead.find((day) => usual(day) >= leastC);
  return { meanC, isObserved, isMild, from: from === undefined ? null : fromDay(from) };
}

/** Jobs of the same air that were done on this day, as `kind of part:key`. */
export function doneToday(book: HomeBook, unit: Unit | undefined, today: PlainDate): Set<string> {
  const kinds = new Map(book.parts.map((part) => [part.id, part.kind]));
  const systems = new Map(book.units.map((each) => [each.id, each.systemId]));
  const gone = new Set(book.events.flatMap(({ corrects }) => corrects ?? []));
  return new Set(
    book.events.flatMap(({ id, kind, date, unitId, partId, taskKey }) =>
      kind === "done" &&
      date === today &&
      !gone.has(id) &&
      systems.get(unitId ?? "") === unit?.systemId
        ? [`${kinds.get(partId ?? "")}:${taskKey}`]
        : [],
    ),
  );
}

/** When a job put off is usually tried again, days. */
const TRY_AGAIN_DAYS = 7;
export const tryAgainOn = (today: PlainDate): PlainDate => addDays(today, TRY_AGAIN_DAYS);

/** Whether any of its steps is for a licensed person alone. */
export const needsLicence = ({ who, steps }: Procedure): boolean =>
  who === "licensed" || steps.some((step) => step.who === "licensed");
