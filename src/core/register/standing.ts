import { daysFrom, type PlainDate } from "../quantities/plain-date";
import { TENTH } from "../wear/belief";
import { reasonSentence, reasonsOf, type Reason } from "../wear/reasons";
import { weatherWords } from "../wear/weather-words";
import type { WearSummary } from "../wear/wear";
import { contextOf, driversOf, stintsOf } from "./part-wear";
import {
  dueAtBookPace,
  wearSummaryOfPlace,
  type PlaceContext,
  type PlaceSummary,
  type Stint,
} from "../wear/place-history";
import type { FilterSlot, HomeBook, ScopedDriver, Unit } from "./register";

/** How a slot stands today: what every screen says of it. */
export type Standing = {
  slot: FilterSlot;
  unit: Unit;
  /** Null when no fitting was ever recorded. */
  wear: PlaceSummary | null;
  fittedOn: PlainDate | null;
  reasons: Reason[];
  sentence: string;
  /** Everything it follows from, for what else is asked of the same slot. */
  context: PlaceContext;
  stints: Stint[];
};

export function standingOf(
  book: HomeBook,
  slot: FilterSlot,
  today: PlainDate,
  wordsFor: (driver: ScopedDriver) => string,
): Standing {
  const unit = book.units.find((each) => each.id === slot.unitId);
  if (!unit) throw new Error(`standingOf: slot ${slot.id} has no unit`);
  const context = contextOf(book, slot, today);
  const stints = stintsOf(book, slot);
  const wear = wearSummaryOfPlace(context, stints, today);
  const fittedOn = stints.at(-1)?.startedOn ?? null;
  const common = { slot, unit, context, stints };
  if (!wear || !fittedOn)
    return {
      ...common,
      wear: null,
      fittedOn: null,
      reasons: [],
      sentence: "No change recorded yet.",
    };
  const drivers = driversOf(book, slot);
  const reasons = reasonsOf(
    wear,
    ({ id }) => {
      const driver = drivers.find((each) => each.id === id);
      return driver ? wordsFor(driver) : "";
    },
    weatherWords(context, fittedOn, today),
    dueAtBookPace(context, stints, today),
    wear.likelyAtWholeLife,
  );
  return { ...common, wear, fittedOn, reasons, sentence: reasonSentence(wear, reasons) };
}

/** Days until a slot is likely due: negative once past; null when nothing can be said. */
export function daysLeft(standing: Standing, today: PlainDate): number | null {
  return standing.wear?.likely ? daysFrom(today, standing.wear.likely) : null;
}

/** The shares between which the fill of a gauge may really lie, eight times in ten. */
export function fillBand(wear: WearSummary): { low: number; high: number } {
  const fill = wear.percentNow / 100;
  return {
    low: fill * Math.exp(-TENTH * wear.belief.sd),
    high: fill * Math.exp(TENTH * wear.belief.sd),
  };
}

/** Soonest due first; what was never recorded comes first of all, as it needs a word. */
export function bySoonest(a: Standing, b: Standing): number {
  const key = (standing: Standing) =>
    standing.wear === null ? "" : (standing.wear.likely ?? "9999-12-31");
  return key(a) < key(b) ? -1 : key(a) > key(b) ? 1 : 0;
}
