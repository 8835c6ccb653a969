import { daysFrom, type PlainDate } from "../quantities/plain-date";
import { TENTH } from "./belief";
import { WEARING } from "./media";
import { reasonSentence, reasonsOf, type AgeFacts, type Reason } from "./reasons";
import { weatherWords } from "./weather-words";
import { beliefAfter, likelyDue, type WearSummary } from "./wear";
import { measuredOf } from "./hours-away";
import { contextOf, driversOf, installedPeriodsOf } from "./slot-wear";
import {
  dueAtRatedPace,
  likelyOfPlace,
  wearSummaryOfPlace,
  type PlaceContext,
  type PlaceSummary,
  type InstalledPeriod,
} from "./place-history";
import type { FilterSlot, ScopedDriver, Unit } from "../inventory/inventory";
import type { HomeSnapshot } from "../history/home-snapshot";

/** How a slot stands today: what every screen says of it. */
export type FilterStatus = {
  slot: FilterSlot;
  unit: Unit;
  /** Null when no fitting was ever recorded. */
  wear: PlaceSummary | null;
  fittedOn: PlainDate | null;
  reasons: Reason[];
  sentence: string;
  /** Everything it follows from, for what else is asked of the same slot. */
  context: PlaceContext;
  installedPeriods: InstalledPeriod[];
};

function unitOf(snapshot: HomeSnapshot, slot: FilterSlot): Unit {
  const unit = snapshot.units.find((each) => each.id === slot.unitId);
  if (!unit) throw new Error(`standing: slot ${slot.id} has no unit`);
  return unit;
}

/**
 * How the filter of one slot stands on a day: what is in place, when it is due and why. A slot nobody
 * ever saw a filter fitted in has a status too, without days; so has one whose entries are at odds with
 * themselves, and its sentence says so.
 *
 * @throws where its unit moves no air: a mistake of ours, the store lets no slot be there
 * @param wordsFor names a driver in the words of this home, for the reasons
 */
export function filterStatusOf(
  snapshot: HomeSnapshot,
  slot: FilterSlot,
  today: PlainDate,
  wordsFor: (driver: ScopedDriver) => string,
): FilterStatus {
  const unit = unitOf(snapshot, slot);
  const context = contextOf(snapshot, slot, today);
  const installedPeriods = installedPeriodsOf(snapshot, slot);
  try {
    return workedOut(snapshot, { slot, unit, context, installedPeriods }, today, wordsFor);
  } catch {
    // A filter whose entries contradict each other must not break the page of the whole home.
    const nothing = { wear: null, fittedOn: null, reasons: [] };
    return {
      ...{ slot, unit, context, installedPeriods },
      ...nothing,
      sentence: "No day can be worked out from what is stored here: look at its entries.",
    };
  }
}

function workedOut(
  snapshot: HomeSnapshot,
  common: Pick<FilterStatus, "slot" | "unit" | "context" | "installedPeriods">,
  today: PlainDate,
  wordsFor: (driver: ScopedDriver) => string,
): FilterStatus {
  const { slot, context, installedPeriods } = common;
  const wear = wearSummaryOfPlace(context, installedPeriods, today);
  const fittedOn = installedPeriods.at(-1)?.startedOn ?? null;
  if (!wear || !fittedOn)
    return {
      ...common,
      wear: null,
      fittedOn: null,
      reasons: [],
      sentence: "No change recorded yet.",
    };
  const drivers = driversOf(snapshot, slot);
  const awayDays = daysAway(snapshot, slot, { context, installedPeriods }, wear, today);
  const reasons = reasonsOf(
    // An absence is passed to the engine as measured hours, so its effect has to be split from the weather's.
    { ...wear, weatherDays: wear.weatherDays === null ? null : wear.weatherDays - awayDays },
    ({ id = "", kind }) =>
      wordsFor(drivers.find((each) => each.id === id) ?? { scope: "home", id, kind }),
    weatherWords(context, fittedOn, today),
    dueAtRatedPace(context, installedPeriods, today),
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
    sentence: reasonSentence(wear, reasons, ageFacts(context, installedPeriods, wear, today)),
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
  installedPeriods: readonly InstalledPeriod[],
  wear: PlaceSummary,
  today: PlainDate,
): AgeFacts | null {
  const last = installedPeriods.at(-1);
  if (wear.limitedBy !== "age" || !last) return null;
  const ageless = installedPeriods.map((installedPeriod) => ({
    ...installedPeriod,
    slot: { ...installedPeriod.slot, maxAgeDays: AGELESS_DAYS },
  }));
  return {
    days: wear.input.slot.maxAgeDays ?? WEARING[wear.input.slot.media].maxAgeDays,
    wholeDays: last.slot.maxAgeDays ?? WEARING[last.slot.media].maxAgeDays,
    byLoad: likelyOfPlace(context, ageless, today),
  };
}

/** By how many days an absence brings a filter forward: below 0, as it puts it off. */
function daysAway(
  snapshot: HomeSnapshot,
  slot: FilterSlot,
  { context, installedPeriods }: Pick<FilterStatus, "context" | "installedPeriods">,
  { likely }: WearSummary,
  today: PlainDate,
): number {
  const system = snapshot.systems.find((each) => each.id === unitOf(snapshot, slot).systemId);
  if (!system || !driversOf(snapshot, slot).some((driver) => driver.kind === "away")) return 0;
  const atHome = { ...context, measured: measuredOf(snapshot, system) };
  const usual = likelyOfPlace(atHome, installedPeriods, today);
  return likely && usual ? daysFrom(likely, usual) : 0;
}

/**
 * Days until a slot is likely due: negative once past; null when nothing can be said.
 *
 * @example daysLeft({ wear: { likely: "2026-03-16" } }, "2026-03-14") // 2
 */
export function daysLeft(filterStatus: FilterStatus, today: PlainDate): number | null {
  return filterStatus.wear?.likely ? daysFrom(today, filterStatus.wear.likely) : null;
}

/**
 * The shares between which the fill of a gauge may really lie, eight times in ten: 0 new, 1 due.
 *
 * @example fillBand({ percentNow: 50, belief: { mu: 0, sd: 0 } }) // {"low":0.5,"high":0.5}
 */
export function fillBand(wear: WearSummary): { low: number; high: number } {
  const fill = wear.percentNow / 100;
  return {
    low: fill * Math.exp(-TENTH * wear.belief.sd),
    high: fill * Math.exp(TENTH * wear.belief.sd),
  };
}

/** Soonest due first; what was never recorded comes first of all, as it needs a word. */
export function bySoonest(a: FilterStatus, b: FilterStatus): number {
  const key = (filterStatus: FilterStatus) =>
    filterStatus.wear === null ? "" : (filterStatus.wear.likely ?? "9999-12-31");
  return key(a) < key(b) ? -1 : key(a) > key(b) ? 1 : 0;
}
