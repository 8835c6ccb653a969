import { daysFrom, type PlainDate } from "../quantities/plain-date";
import { TENTH } from "./belief";
import { MEDIA } from "./media";
import { reasonSentence, reasonsOf, type AgeFacts, type Reason } from "./reasons";
import { weatherWords } from "./weather-words";
import { beliefAfter, likelyDue, type WearSummary } from "./wear";
import { measuredOf } from "./hours-away";
import { contextOf, driversOf, stintsOf } from "./slot-wear";
import {
  dueAtBookPace,
  likelyOfPlace,
  wearSummaryOfPlace,
  type PlaceContext,
  type PlaceSummary,
  type Stint,
} from "./place-history";
import type { FilterSlot, HomeBook, ScopedDriver, Unit } from "../inventory/inventory";

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

function unitOf(book: HomeBook, slot: FilterSlot): Unit {
  const unit = book.units.find((each) => each.id === slot.unitId);
  if (!unit) throw new Error(`standing: slot ${slot.id} has no unit`);
  return unit;
}

export function standingOf(
  book: HomeBook,
  slot: FilterSlot,
  today: PlainDate,
  wordsFor: (driver: ScopedDriver) => string,
): Standing {
  const unit = unitOf(book, slot);
  const context = contextOf(book, slot, today);
  const stints = stintsOf(book, slot);
  try {
    return workedOut(book, { slot, unit, context, stints }, today, wordsFor);
  } catch {
    // One entry at odds with itself must not take the page of a whole home down.
    const nothing = { wear: null, fittedOn: null, reasons: [] };
    return {
      ...{ slot, unit, context, stints },
      ...nothing,
      sentence: "No day can be worked out from what is stored here: look at its entries.",
    };
  }
}

function workedOut(
  book: HomeBook,
  common: Pick<Standing, "slot" | "unit" | "context" | "stints">,
  today: PlainDate,
  wordsFor: (driver: ScopedDriver) => string,
): Standing {
  const { slot, context, stints } = common;
  const wear = wearSummaryOfPlace(context, stints, today);
  const fittedOn = stints.at(-1)?.startedOn ?? null;
  if (!wear || !fittedOn)
    return {
      ...common,
      wear: null,
      fittedOn: null,
      reasons: [],
      sentence: "No change recorded yet.",
    };
  const drivers = driversOf(book, slot);
  const awayDays = daysAway(book, slot, { context, stints }, wear, today);
  const reasons = reasonsOf(
    // The days of an absence count as measured ones: their part is named apart from the weather’s.
    { ...wear, weatherDays: wear.weatherDays === null ? null : wear.weatherDays - awayDays },
    ({ id = "", kind }) =>
      wordsFor(drivers.find((each) => each.id === id) ?? { scope: "home", id, kind }),
    weatherWords(context, fittedOn, today),
    dueAtBookPace(context, stints, today),
    wear.likelyAtWholeLife,
  );
  const away = drivers.find((driver) => driver.kind === "away");
  if (away && awayDays !== 0) reasons.unshift({ words: wordsFor(away), daysSooner: awayDays });
  const relief = reliefReason(wear);
  if (relief) reasons.push(relief);
  return {
    ...common,
    wear,
    fittedOn,
    reasons,
    sentence: reasonSentence(wear, reasons, ageFacts(context, stints, wear, today)),
  };
}

/** What vacuuming the filter where it sits has put off, if anything. */
function reliefReason({ input, likely }: PlaceSummary): Reason | null {
  if (input.reliefs.length === 0 || !likely) return null;
  const kept = likelyDue({ ...input, belief: beliefAfter(input), reliefs: [] });
  return kept === null || kept === likely
    ? null
    : { words: "vacuuming it in place", daysSooner: daysFrom(likely, kept) };
}

/** No filter is kept so long, days: its age is taken out of the question. */
const AGELESS_DAYS = 36_500;

/** Of a filter that goes by its age: how old it may get, and when it would be full. */
function ageFacts(
  context: PlaceContext,
  stints: readonly Stint[],
  wear: PlaceSummary,
  today: PlainDate,
): AgeFacts | null {
  const last = stints.at(-1);
  if (wear.limitedBy !== "age" || !last) return null;
  const ageless = stints.map((stint) => ({
    ...stint,
    slot: { ...stint.slot, maxAgeDays: AGELESS_DAYS },
  }));
  return {
    days: wear.input.slot.maxAgeDays ?? MEDIA[wear.input.slot.media].maxAgeDays,
    wholeDays: last.slot.maxAgeDays ?? MEDIA[last.slot.media].maxAgeDays,
    byLoad: likelyOfPlace(context, ageless, today),
  };
}

/** By how many days an absence brings a filter forward: below 0, as it puts it off. */
function daysAway(
  book: HomeBook,
  slot: FilterSlot,
  { context, stints }: Pick<Standing, "context" | "stints">,
  { likely }: WearSummary,
  today: PlainDate,
): number {
  const system = book.systems.find((each) => each.id === unitOf(book, slot).systemId);
  if (!system || !driversOf(book, slot).some((driver) => driver.kind === "away")) return 0;
  const atHome = { ...context, measured: measuredOf(book, system) };
  const usual = likelyOfPlace(atHome, stints, today);
  return likely && usual ? daysFrom(likely, usual) : 0;
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
