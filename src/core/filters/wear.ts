import type { Actual } from "../climate/climate";
import { inUseOn, runDays, type Measured } from "../climate/run-hours";
import {
  datesBetween,
  fromDay,
  toDay,
  type DayNumber,
  type PlainDate,
} from "../quantities/plain-date";
import { toMerv } from "../quantities/rating";
import {
  clamp,
  reaches,
  roundHours,
  roundLoad,
  roundPercent,
  roundPhysical,
} from "../quantities/rounding";
import { carried, learn, SEEN_BY_GRADE, seenByPressure, TENTH, type Belief } from "./belief";
import { dustMultipliers, type Driver } from "./drivers";
import { MEDIA, ratingFactor, type MediaFacts } from "./media";
import type { WearInput, WearLook, WearResult, WearSlot } from "./wear-schema";

/** How far the area of a slot may stretch or shorten the life of its filter. */
const LEAST_AREA_FACTOR = 0.5;
const MOST_AREA_FACTOR = 2;
/** Below this rated load a look says nothing of the place: the filter was still new. */
const LEAST_LOAD_TO_LEARN = 0.05;
/** A day on which a cleaned filter ages: it ran at least this long, h. */
const HOURS_THAT_AGE = 1;

const SECONDS_PER_HOUR = 3600;

/**
 * Run hours to due of a slot at the reference dust load: base × rating × area, or the figure a maker or
 * the owner gave in their place. Hours, above 0.
 *
 * @source docs/sources.md#wear
 * @example ratedHours({ media: "pleated-25", rating: { scheme: "MERV", class: "8" } }) // 550
 */
export function ratedHours(slot: WearSlot): number {
  if (slot.baseHours !== undefined) return slot.baseHours;
  const facts: MediaFacts = MEDIA[slot.media];
  const merv = slot.rating ? toMerv(slot.rating) : null;
  const rating = facts.rated && merv !== null ? ratingFactor(merv) : 1;
  const area =
    slot.faceAreaM2 && slot.airflowM3h && facts.referenceVelocityMs
      ? clamp(
          slot.faceAreaM2 / (slot.airflowM3h / SECONDS_PER_HOUR / facts.referenceVelocityMs),
          LEAST_AREA_FACTOR,
          MOST_AREA_FACTOR,
        )
      : 1;
  return facts.baseHours * rating * area;
}

/**
 * The load at k = 1 of each day from fitting to horizon, what reliefs took off taken off, and the
 * day its age is spent.
 */
type Course = {
  hours: Float64Array;
  multiplier: Float64Array;
  load: Float64Array;
  /** What a look on the day of a relief saw: the load before it, by day index. */
  beforeRelief: ReadonlyMap<number, number>;
  /** The day index of the last relief: due days are sought from here on. */
  lastRelief: number;
  ageDue: number | null;
};

function ageDueIndex(input: WearInput, hours: Float64Array, first: DayNumber): number | null {
  const facts: MediaFacts = MEDIA[input.slot.media];
  const limit = input.slot.maxAgeDays ?? facts.maxAgeDays;
  let age = 0;
  for (let i = 0; i < hours.length; i++) {
    if (age >= limit) return i;
    if (agesOn(input, hours[i]!, first + i)) age++;
  }
  return null;
}

/** Whether a day counts towards the age of what is in place. */
function agesOn({ slot, equipment }: WearInput, hours: number, day: DayNumber): boolean {
  const facts: MediaFacts = MEDIA[slot.media];
  return facts.cleaned ? reaches(hours, HOURS_THAT_AGE) : inUseOn(equipment, day);
}

type Weather = { actuals: readonly Actual[]; measured: readonly Measured[] };
const NO_WEATHER: Weather = { actuals: [], measured: [] };

/** The hours a part wears by: those of heating for a humidifier's panel, all that ran for the rest. */
function wearingHours(input: WearInput, weather: Weather, first: DayNumber, last: DayNumber) {
  const { climate, equipment, slot } = input;
  const days = runDays(climate, weather.actuals, equipment, weather.measured, first, last);
  return slot.media === "humidifier-panel" ? days.heating : days.run;
}

function multipliers(input: WearInput, drivers: readonly Driver[], first: DayNumber, size: number) {
  return input.slot.media === "humidifier-panel"
    ? new Float64Array(size).fill(1)
    : dustMultipliers(drivers, input.slot.airSide, first, size, input.climate);
}

/** The share of its load that a filter keeps after the reliefs of a day, by day index from fitting. */
type Kept = ReadonlyMap<number, number>;
const NO_RELIEF: Kept = new Map();

/** The reliefs that count: after fitting, not after today. Two on a day both count. */
function keptOf({ reliefs, fittedOn, today }: WearInput): Kept {
  if (reliefs.length === 0) return NO_RELIEF;
  const fitted = toDay(fittedOn);
  const kept = new Map<number, number>();
  for (const { date, share } of reliefs) {
    if (date <= fittedOn || date > today) continue;
    const index = toDay(date) - fitted;
    kept.set(index, (kept.get(index) ?? 1) * (1 - share));
  }
  return kept;
}

type Loads = Pick<Course, "load" | "beforeRelief" | "lastRelief">;

function loads(
  hours: Float64Array,
  multiplier: Float64Array,
  rated: number,
  kept: Kept = NO_RELIEF,
): Loads {
  const load = new Float64Array(hours.length);
  const beforeRelief = new Map<number, number>();
  let lastRelief = 0;
  let sum = 0;
  for (let i = 0; i < hours.length; i++) {
    const share = kept.get(i);
    if (share !== undefined) {
      beforeRelief.set(i, sum / rated);
      lastRelief = i;
      sum *= share;
    }
    load[i] = sum / rated;
    sum += hours[i]! * multiplier[i]!;
  }
  return { load, beforeRelief, lastRelief };
}

/** The first day index from `from` on with k·load of at least 1, or null within the days there are. */
function dueIndex({ load, lastRelief }: Loads, lnK: number): number | null {
  const k = Math.exp(lnK);
  let low = lastRelief;
  let high = load.length;
  while (low < high) {
    const middle = (low + high) >> 1;
    if (reaches(k * load[middle]!, 1)) high = middle;
    else low = middle + 1;
  }
  return low < load.length ? low : null;
}

const earlier = (a: number | null, b: number | null) =>
  a === null ? b : b === null ? a : Math.min(a, b);

const dueByLoadOrAge = (course: Loads & Pick<Course, "ageDue">, lnK: number) =>
  earlier(dueIndex(course, lnK), course.ageDue);

function seenAt(look: WearLook, slot: WearSlot) {
  if (look.pressureDropPa !== undefined && slot.cleanDropPa !== undefined)
    return seenByPressure(look.pressureDropPa, slot.cleanDropPa, slot.finalRatio);
  if (look.grade !== undefined) return SEEN_BY_GRADE[look.grade];
  throw new Error("wear: a look needs a grade, or a pressure drop and the slot's cleanDropPa");
}

/** What the looks since fitting teach about this place. */
function learnt(input: WearInput, { load, beforeRelief }: Loads): { belief: Belief; used: number } {
  const fitted = toDay(input.fittedOn);
  let belief = input.belief;
  let used = 0;
  const looks = input.looks
    .filter((look) => look.date > input.fittedOn && look.date <= input.today)
    .sort((a, b) => (a.date < b.date ? -1 : a.date > b.date ? 1 : 0));
  for (const look of looks) {
    const index = toDay(look.date) - fitted;
    const ratedLoad = beforeRelief.get(index) ?? load[index]!;
    if (!reaches(ratedLoad, LEAST_LOAD_TO_LEARN)) continue;
    belief = learn(belief, seenAt(look, input.slot), ratedLoad);
    used++;
  }
  return { belief, used };
}

const weatherOf = (input: WearInput): Weather => ({
  actuals: input.actuals,
  measured: input.measured,
});

/** The course of a part from its fitting to a day. */
function courseTo(
  input: WearInput,
  weather: Weather,
  drivers: readonly Driver[],
  last: DayNumber,
): Course {
  const fitted = toDay(input.fittedOn);
  const hours = wearingHours(input, weather, fitted, last);
  const multiplier = multipliers(input, drivers, fitted, hours.length);
  return {
    hours,
    multiplier,
    ...loads(hours, multiplier, ratedHours(input.slot), keptOf(input)),
    ageDue: ageDueIndex(input, hours, fitted),
  };
}

const horizonOf = (input: WearInput): DayNumber =>
  Math.max(toDay(input.today), toDay(input.fittedOn)) + input.horizonDays;

/**
 * The last day that decides anything: no due day lies past the age due, which is known at once for
 * what ages every day. Most filters are settled within months of a horizon of years.
 */
function decisiveDay(input: WearInput): DayNumber {
  const facts: MediaFacts = MEDIA[input.slot.media];
  const horizon = horizonOf(input);
  if (facts.cleaned || input.equipment.inUse) return horizon;
  const maxAge = input.slot.maxAgeDays ?? facts.maxAgeDays;
  return Math.min(horizon, Math.max(toDay(input.today), toDay(input.fittedOn) + maxAge));
}

const upTo = ({ hours, multiplier, load, ageDue, ...rest }: Course, index: number): Course => ({
  ...rest,
  hours: hours.subarray(0, index + 1),
  multiplier: multiplier.subarray(0, index + 1),
  load: load.subarray(0, index + 1),
  ageDue: ageDue !== null && ageDue <= index ? ageDue : null,
});

/** The belief after the looks up to `today`, unrounded: what the next filter here starts from. */
export function beliefAfter(input: WearInput): Belief {
  const last = Math.max(toDay(input.fittedOn), toDay(input.today));
  return learnt(input, courseTo(input, weatherOf(input), input.drivers, last)).belief;
}

/**
 * The days up to `end`, inclusive, on which this filter and those after it are likely due, each fitted
 * on the day the one before is due; soonest first. Empty where this one is due later than that.
 */
export function filtersInTurn(input: WearInput, end: DayNumber): DayNumber[] {
  const fitted = toDay(input.fittedOn);
  const next = laterFilters(input, fitted, Math.max(fitted, end));
  const days: DayNumber[] = [];
  for (let due = next(fitted).likely; due !== null && due <= end; due = next(due).likely)
    days.push(due);
  return days;
}

/** Only the likely due day of a filter nobody has looked at yet: what chains are made of. */
export function likelyDue(input: WearInput): PlainDate | null {
  const course = courseTo(input, weatherOf(input), input.drivers, decisiveDay(input));
  const index = dueByLoadOrAge(course, input.belief.mu);
  return index === null ? null : fromDay(toDay(input.fittedOn) + index);
}

/** Early, likely and late of one filter, as days; null beyond its horizon. */
export type WearDays = {
  early: DayNumber | null;
  likely: DayNumber | null;
  late: DayNumber | null;
};

/**
 * When the filters after this one would be due, fitted on any day from `from` to `until`, as far as
 * is known today. One table of hours and dust serves them all: a load between two days is the
 * difference of two sums.
 */
export function laterFilters(
  input: WearInput,
  from: DayNumber,
  until: DayNumber,
): (fitted: DayNumber) => WearDays {
  const facts: MediaFacts = MEDIA[input.slot.media];
  const limit = input.slot.maxAgeDays ?? facts.maxAgeDays;
  const agesDaily = !facts.cleaned && !input.equipment.inUse;
  const reach = agesDaily ? Math.min(input.horizonDays, limit) : input.horizonDays;
  const hours = wearingHours(input, weatherOf(input), from, until + reach);
  const multiplier = multipliers(input, input.drivers, from, hours.length);
  const { load } = loads(hours, multiplier, ratedHours(input.slot));
  const age = new Uint32Array(hours.length);
  for (let i = 0; i + 1 < hours.length; i++)
    age[i + 1] = age[i]! + (agesOn(input, hours[i]!, from + i) ? 1 : 0);
  const { mu, sd } = carried(beliefAfter(input));

  return (fitted) => {
    const start = fitted - from;
    const end = Math.min(hours.length, start + reach + 1);
    const first = (isOver: (i: number) => boolean): number | null => {
      let low = start;
      let high = end;
      while (low < high) {
        const middle = (low + high) >> 1;
        if (isOver(middle)) high = middle;
        else low = middle + 1;
      }
      return low < end ? low : null;
    };
    const tooOld = first((i) => age[i]! - age[start]! >= limit);
    const due = (lnK: number): DayNumber | null => {
      const k = Math.exp(lnK);
      const index = earlier(
        first((i) => reaches(k * (load[i]! - load[start]!), 1)),
        tooOld,
      );
      return index === null ? null : from + index;
    };
    return { early: due(mu + TENTH * sd), likely: due(mu), late: due(mu - TENTH * sd) };
  };
}

/** What `wear` says, but for its days. */
export type WearSummary = Omit<WearResult, "days">;

/**
 * When a filter or run-hour part is due at this place, between which days, and why.
 *
 * The load rises with run hours, dust and this place's own factor k; 1 is due. A look narrows what
 * is known of k. A relief (a filter vacuumed on the spot) takes a share of the load off, and neither
 * the filter nor its age is new. `likely` takes the middle of that belief, `early` and `late` its tenths; none is
 * later than the day the part is simply too old.
 *
 * @source docs/sources.md#wear; assumes that dust adds up in proportion to hours
 */
export const wearSummary = (input: WearInput): WearSummary =>
  summaryOf(input, courseTo(input, weatherOf(input), input.drivers, decisiveDay(input)));

function summaryOf(input: WearInput, real: Course): WearSummary {
  const fitted = toDay(input.fittedOn);
  const rated = ratedHours(input.slot);
  const size = real.hours.length;
  const { belief, used } = learnt(input, real);
  const due = (lnK: number) => dueByLoadOrAge(real, lnK);
  const dateAt = (index: number | null): PlainDate | null =>
    index === null ? null : fromDay(fitted + index);

  const likely = due(belief.mu);
  const byLoad = dueIndex(real, belief.mu);
  const withoutDriver = (removed: Driver): number | null => {
    const others = input.drivers.filter((driver) => driver !== removed);
    const dust = multipliers(input, others, fitted, size);
    const without = loads(real.hours, dust, rated, keptOf(input));
    return dueByLoadOrAge({ ...without, ageDue: real.ageDue }, belief.mu);
  };
  const sooner = (other: number | null) =>
    likely === null || other === null ? null : other - likely;

  const hasWeather = input.actuals.length > 0 || input.measured.length > 0;
  const normal = hasWeather ? courseTo(input, NO_WEATHER, input.drivers, fitted + size - 1) : real;
  const byRatedLife = loads(normal.hours, new Float64Array(size).fill(1), rated);
  const loadNow = real.load[toDay(input.today) - fitted] ?? 0;

  return {
    early: dateAt(due(belief.mu + TENTH * belief.sd)),
    likely: dateAt(likely),
    late: dateAt(due(belief.mu - TENTH * belief.sd)),
    limitedBy: likely === null ? null : byLoad !== null && byLoad <= likely ? "load" : "age",
    percentNow: roundPercent(100 * Math.exp(belief.mu) * loadNow),
    belief: { mu: roundLoad(belief.mu), sd: roundLoad(belief.sd) },
    looksUsed: used,
    drivers: input.drivers.map((driver) => ({
      ...(driver.id === undefined ? {} : { id: driver.id }),
      kind: driver.kind,
      daysBroughtForward: sooner(withoutDriver(driver)),
    })),
    bookDue: dateAt(dueByLoadOrAge({ ...byRatedLife, ageDue: normal.ageDue }, 0)),
    weatherDays: hasWeather ? sooner(dueByLoadOrAge(normal, belief.mu)) : sooner(likely),
  };
}

/**
 * `wearSummary` with the load of every day from fitting to the horizon, at the likely factor: 0 new, 1
 * due.
 *
 * @source docs/sources.md#wear
 */
export function wear(input: WearInput): WearResult {
  const fitted = toDay(input.fittedOn);
  const course = courseTo(input, weatherOf(input), input.drivers, horizonOf(input));
  const { hours, multiplier, load } = course;
  const k = Math.exp(learnt(input, course).belief.mu);
  const days = datesBetween(fitted, fitted + load.length - 1).map((date, i) => ({
    date,
    runHours: roundHours(hours[i]!),
    multiplier: roundPhysical(multiplier[i]!),
    load: roundLoad(k * load[i]!),
  }));
  const { early, likely, late, limitedBy, percentNow, belief, looksUsed, ...rest } = summaryOf(
    input,
    upTo(course, decisiveDay(input) - fitted),
  );
  return { early, likely, late, limitedBy, percentNow, belief, looksUsed, days, ...rest };
}
