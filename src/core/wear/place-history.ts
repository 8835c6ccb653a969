import type { Actual, Climate } from "../climate/climate";
import type { Equipment, Measured } from "../climate/run-hours";
import { toDay, type PlainDate } from "../quantities/plain-date";
import { carried, FIRST_BELIEF, type Belief } from "./belief";
import type { Driver } from "./drivers";
import { beliefAfter, likelyDue, wear, wearSummary, type WearSummary } from "./wear";
import type { WearInput, WearLook, WearResult, WearSlot } from "./wear-schema";

/** What surrounds a part: the same for every filter that has sat in it. */
export type PlaceContext = {
  climate: Climate;
  actuals: Actual[];
  equipment: Equipment;
  measured: Measured[];
  drivers: Driver[];
};

/** From one fitting or cleaning to the next: what was in place, and how it was seen. */
export type Stint = { startedOn: PlainDate; slot: WearSlot; looks: WearLook[] };

const HORIZON_DAYS = 1095;

function inputOf(
  context: PlaceContext,
  stint: Stint,
  today: PlainDate,
  belief: Belief,
  horizonDays: number,
): WearInput {
  return {
    today,
    fittedOn: stint.startedOn,
    ...context,
    slot: stint.slot,
    belief,
    looks: stint.looks,
    horizonDays,
  };
}

/** What the filters before the last one taught about this place. */
export function priorBelief(context: PlaceContext, stints: readonly Stint[]): Belief {
  let belief = FIRST_BELIEF;
  for (let i = 0; i + 1 < stints.length; i++) {
    const stint = stints[i]!;
    const ended = stints[i + 1]!.startedOn;
    belief = carried(beliefAfter(inputOf(context, stint, ended, belief, 0)));
  }
  return belief;
}

/** How the filter now in place wears; null before the first was fitted. Stints in date order. */
export function wearOfPlace(
  context: PlaceContext,
  stints: readonly Stint[],
  today: PlainDate,
): WearResult | null {
  const last = stints.at(-1);
  if (!last) return null;
  return wear(inputOf(context, last, today, priorBelief(context, stints), HORIZON_DAYS));
}

/** The same without its days: all that most screens show. */
export function wearSummaryOfPlace(
  context: PlaceContext,
  stints: readonly Stint[],
  today: PlainDate,
): WearSummary | null {
  const last = stints.at(-1);
  if (!last) return null;
  return wearSummary(inputOf(context, last, today, priorBelief(context, stints), HORIZON_DAYS));
}

/** The likely due day of the filter in place if the place loaded just as the book says. */
export function dueAtBookPace(
  context: PlaceContext,
  stints: readonly Stint[],
  today: PlainDate,
): PlainDate | null {
  const last = stints.at(-1);
  return last
    ? likelyDue(inputOf(context, { ...last, looks: [] }, today, FIRST_BELIEF, HORIZON_DAYS))
    : null;
}

/**
 * The days on which this filter and those after it are likely due, from the one in place up to
 * `until`, each fitted when the one before was due (today, if that has passed).
 */
export function dueDaysAhead(
  context: PlaceContext,
  stints: readonly Stint[],
  now: WearSummary | null,
  today: PlainDate,
  until: PlainDate,
): PlainDate[] {
  const last = stints.at(-1);
  const days: PlainDate[] = [];
  let due = now?.likely ?? null;
  let belief = now?.belief ?? FIRST_BELIEF;
  while (last && due !== null && due <= until) {
    days.push(due);
    belief = carried(belief);
    const startedOn = due < today ? today : due;
    const ahead = toDay(until) - toDay(startedOn);
    const next = { startedOn, slot: last.slot, looks: [] };
    due = likelyDue(inputOf(context, next, startedOn, belief, Math.max(0, ahead)));
  }
  return days;
}
