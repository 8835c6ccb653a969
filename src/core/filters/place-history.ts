import type { Actual, Climate } from "../climate/climate";
import type { Equipment, Measured } from "../climate/run-hours";
import { addDays, type PlainDate } from "../quantities/plain-date";
import { carried, FIRST_BELIEF, type Belief } from "./belief";
import type { Driver, DriverKind } from "./drivers";
import { beliefAfter } from "./wear";
import type { Relief, WearInput, WearLook, WearSlot } from "./wear-schema";

/** What surrounds a part: the same for every filter that has sat in it. */
export type PlaceContext = {
  climate: Climate;
  actuals: Actual[];
  equipment: Equipment;
  measured: Measured[];
  drivers: Driver[];
  /** The share of its life at which a filter is due; 1 unless lungs ask for less. */
  lifeShare: number;
};

/** Practice: with a breathing trouble in the home a filter of breathed air goes after three quarters. */
export const SHORTER_LIFE_SHARE = 0.75;

/** From one fitting or cleaning to the next: what was in place, and how it was seen. */
export type InstalledPeriod = {
  startedOn: PlainDate;
  slot: WearSlot;
  looks: WearLook[];
  /** When some of what it held was taken off on the spot. */
  reliefs: Relief[];
};

/** Three years: no filter is planned further ahead. */
const HORIZON_DAYS = 1095;

function inputOf(
  context: PlaceContext,
  installedPeriod: InstalledPeriod,
  today: PlainDate,
  belief: Belief,
  horizonDays: number,
): WearInput {
  return {
    today,
    fittedOn: installedPeriod.startedOn,
    ...context,
    slot: installedPeriod.slot,
    belief,
    looks: installedPeriod.looks,
    reliefs: installedPeriod.reliefs,
    horizonDays,
  };
}

/** What lasts: where it comes or goes, a place loads otherwise than before. */
const LASTING: ReadonlySet<DriverKind> = new Set([
  "shedding-pets",
  "people",
  "indoor-smoking",
  "dusty-hobby",
  "busy-road",
  "dusty-region",
]);

/**
 * Whether something lasting about a place came or went after one fitting and up to the next.
 *
 * @example hasChanged([{ kind: "people", from: "2026-02-01" }], "2026-01-01", "2026-03-01") // true
 */
export const hasChanged = (
  drivers: readonly Driver[],
  after: PlainDate,
  until: PlainDate,
): boolean =>
  drivers.some(
    (driver) =>
      LASTING.has(driver.kind) &&
      !("on" in driver) &&
      [driver.from, driver.to && addDays(driver.to, 1)].some(
        (day) => day !== undefined && day > after && day <= until,
      ),
  );

/**
 * What the filters before the last one taught about this place, carried from one to the next; the first
 * belief where there was none.
 *
 * @param installedPeriods in date order, the filter now in place last
 * @example priorBelief({ drivers: [] }, []) // { mu: 0, sd: 0.4 }
 */
export function priorBelief(
  context: PlaceContext,
  installedPeriods: readonly InstalledPeriod[],
): Belief {
  let belief = FIRST_BELIEF;
  for (let i = 0; i + 1 < installedPeriods.length; i++) {
    const installedPeriod = installedPeriods[i]!;
    const { startedOn } = installedPeriod;
    const ended = installedPeriods[i + 1]!.startedOn;
    belief = carried(
      beliefAfter(inputOf(context, installedPeriod, ended, belief, 0)),
      hasChanged(context.drivers, startedOn, ended),
    );
  }
  return belief;
}

/**
 * What the engine is asked of the filter in place; null before the first was fitted.
 *
 * @param installedPeriods in date order
 * @example wearInputNow({ drivers: [] }, [], today) // null
 */
export function wearInputNow(
  context: PlaceContext,
  installedPeriods: readonly InstalledPeriod[],
  today: PlainDate,
  horizonDays = HORIZON_DAYS,
): WearInput | null {
  const last = installedPeriods.at(-1);
  return last
    ? inputOf(context, last, today, priorBelief(context, installedPeriods), horizonDays)
    : null;
}
