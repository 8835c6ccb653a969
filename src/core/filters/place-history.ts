import type { Actual, Climate } from "../climate/climate";
import type { Equipment, Measured } from "../climate/run-hours";
import type { PlainDate } from "../quantities/plain-date";
import { carried, FIRST_BELIEF, type Belief } from "./belief";
import type { Driver } from "./drivers";
import { WEARING } from "./media";
import { beliefAfter, likelyDue, wear, wearSummary, type WearSummary } from "./wear";
import { ratedHours } from "./wear-course";
import type { Relief, WearInput, WearLook, WearResult, WearSlot } from "./wear-schema";

/** What surrounds a part: the same for every filter that has sat in it. */
export type PlaceContext = {
  climate: Climate;
  actuals: Actual[];
  equipment: Equipment;
  measured: Measured[];
  drivers: Driver[];
  /** The share of a filter's life after which it is changed all the same; 1 unless lungs ask for less. */
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

const HORIZON_DAYS = 1095;

function inputOf(
  { lifeShare: _, ...context }: PlaceContext,
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
    lifeShare: 1,
    horizonDays,
  };
}

/**
 * What the filters before the last one taught about this place, carried from one to the next; the first
 * belief where there was none.
 *
 * @param installedPeriods in date order, the filter now in place last
 */
export function priorBelief(
  context: PlaceContext,
  installedPeriods: readonly InstalledPeriod[],
): Belief {
  let belief = FIRST_BELIEF;
  for (let i = 0; i + 1 < installedPeriods.length; i++) {
    const installedPeriod = installedPeriods[i]!;
    const ended = installedPeriods[i + 1]!.startedOn;
    belief = carried(beliefAfter(inputOf(context, installedPeriod, ended, belief, 0)));
  }
  return belief;
}

/**
 * A slot whose filter is to go after a share of its hours and days: three quarters where lungs need it.
 *
 * @param share above 0, up to 1
 * @example shortened({ media: "pleated-25" }, 0.75).maxAgeDays // 90
 */
export function shortened(slot: WearSlot, share: number): WearSlot {
  const maxAge = slot.maxAgeDays ?? WEARING[slot.media].maxAgeDays;
  return {
    ...slot,
    baseHours: share * ratedHours(slot),
    maxAgeDays: Math.max(1, Math.floor(share * maxAge)),
  };
}

/**
 * What the place is asked now. A shorter life is no faster loading: what looks teach is learnt
 * against the whole life first, then the share is taken. Learning against the share would take the
 * clean looks of early changes for a slow place and give the days back.
 */
function inputNow(context: PlaceContext, plain: WearInput): WearInput {
  if (context.lifeShare === 1) return plain;
  return {
    ...plain,
    slot: shortened(plain.slot, context.lifeShare),
    belief: beliefAfter(plain),
    looks: [],
  };
}

const plainInput = (
  context: PlaceContext,
  installedPeriods: readonly InstalledPeriod[],
  last: InstalledPeriod,
  today: PlainDate,
) => inputOf(context, last, today, priorBelief(context, installedPeriods), HORIZON_DAYS);

/** What the engine is asked of the filter in place; null before the first was fitted. */
export function wearInputNow(
  context: PlaceContext,
  installedPeriods: readonly InstalledPeriod[],
  today: PlainDate,
): WearInput | null {
  const last = installedPeriods.at(-1);
  return last ? inputNow(context, plainInput(context, installedPeriods, last, today)) : null;
}

/** How the filter now in place wears; null before the first was fitted. Installed periods in date order. */
export function wearOfPlace(
  context: PlaceContext,
  installedPeriods: readonly InstalledPeriod[],
  today: PlainDate,
): WearResult | null {
  const input = wearInputNow(context, installedPeriods, today);
  return input && wear(input);
}

/** `likelyAtWholeLife` is the likely day if the filter were kept to its end; null if it is. */
export type PlaceSummary = WearSummary & {
  likelyAtWholeLife: PlainDate | null;
  /** What the engine was asked, for whatever else follows from it. */
  input: WearInput;
};

/**
 * How the filter now in place wears, without its days: all that most screens show. Null before the
 * first was fitted.
 *
 * @param installedPeriods in date order
 */
export function wearSummaryOfPlace(
  context: PlaceContext,
  installedPeriods: readonly InstalledPeriod[],
  today: PlainDate,
): PlaceSummary | null {
  const last = installedPeriods.at(-1);
  if (!last) return null;
  const plain = plainInput(context, installedPeriods, last, today);
  const whole = wearSummary(plain);
  if (context.lifeShare === 1) return { ...whole, likelyAtWholeLife: null, input: plain };
  const input = inputNow(context, plain);
  return {
    ...wearSummary(input),
    input,
    looksUsed: whole.looksUsed,
    bookDue: whole.bookDue,
    likelyAtWholeLife: whole.likely,
  };
}

/**
 * Only the likely due day of the filter in place, after all that was seen of it; null before the first
 * was fitted, or where it never comes due within the horizon.
 */
export function likelyOfPlace(
  context: PlaceContext,
  installedPeriods: readonly InstalledPeriod[],
  today: PlainDate,
): PlainDate | null {
  const last = installedPeriods.at(-1);
  if (!last) return null;
  const plain = plainInput(context, installedPeriods, last, today);
  return likelyDue({ ...inputNow(context, plain), belief: beliefAfter(plain) });
}

/**
 * The likely due day of the filter in place if the place loaded just as rated (k = 1): what the days won
 * or lost by the place itself are counted from.
 */
export function dueAtRatedPace(
  context: PlaceContext,
  installedPeriods: readonly InstalledPeriod[],
  today: PlainDate,
): PlainDate | null {
  const last = installedPeriods.at(-1);
  if (!last) return null;
  const plain = inputOf(context, { ...last, looks: [] }, today, FIRST_BELIEF, HORIZON_DAYS);
  return likelyDue(inputNow(context, plain));
}
