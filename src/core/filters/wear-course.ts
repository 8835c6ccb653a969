import type { Actual } from "../climate/climate";
import { inUseOn, runDays, type Measured } from "../climate/run-hours";
import { toDay, type DayNumber } from "../quantities/plain-date";
import { toMerv } from "../quantities/rating";
import { clamp, reaches } from "../quantities/rounding";
import { dustMultipliers, type Driver } from "./drivers";
import { coilDust, isCoil, ratingFactor, WEARING, type MediaFacts } from "./media";
import type { WearInput, WearLook, WearSlot } from "./wear-schema";

/** How far the area of a slot may stretch or shorten the life of its filter. */
const LEAST_AREA_FACTOR = 0.5;
const MOST_AREA_FACTOR = 2;
/** What is cleaned ages by a whole day when it ran this long, h; by a part of one when less. */
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
  const facts: MediaFacts = WEARING[slot.media];
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
export type Course = {
  hours: Float64Array;
  multiplier: Float64Array;
  load: Float64Array;
  /** What a look on the day of a relief saw: the load before it, by day index. */
  beforeRelief: ReadonlyMap<number, number>;
  /** The day index of the last relief: due days are sought from here on. */
  lastRelief: number;
  ageDue: number | null;
  /** The load at which it is due: 1, or the share of its life that it is given here. */
  dueAt: number;
};

/**
 * The day index from fitting at whose start a part is too old, at a share of its life; null within the
 * hours that are given.
 *
 * @param hours run hours of each day from fitting
 * @param share above 0, up to 1
 * @example ageDueIndex(asked, new Float64Array(200), 0, 0.5) // 60
 */
export function ageDueIndex(
  input: WearInput,
  hours: Float64Array,
  first: DayNumber,
  share: number,
): number | null {
  const limit = share * maxAgeOf(input.slot);
  let age = 0;
  for (let i = 0; i < hours.length; i++) {
    if (reaches(age, limit)) return i;
    age += agesBy(input, hours[i]!, first + i);
  }
  return null;
}

/**
 * Days after which a part is too old, however little it ran: the maker's figure, or its medium's.
 *
 * @example maxAgeOf({ media: "pleated-25" }) // 120
 */
export const maxAgeOf = (slot: WearSlot): number =>
  slot.maxAgeDays ?? WEARING[slot.media].maxAgeDays;

/**
 * Whether its age counts the days it ran and no others: of what is cleaned, and of what is said to.
 *
 * @example agesByHours({ media: "head-mesh" }) // true
 */
export const agesByHours = ({ media, agesInUse }: WearSlot): boolean => {
  const facts: MediaFacts = WEARING[media];
  return facts.cleaned || agesInUse === true;
};

/**
 * By how many days, 0 to 1, a day adds to the age of what is in place. What is cleaned ages with its hours,
 * so that one mild day in an idle season moves no date by weeks.
 *
 * @param hours that it ran on that day
 * @example agesBy({ slot: { media: "head-mesh" }, equipment: {} }, 0.5, 0) // 0.5
 */
export function agesBy({ slot, equipment }: WearInput, hours: number, day: DayNumber): number {
  if (agesByHours(slot)) return Math.min(HOURS_THAT_AGE, hours) / HOURS_THAT_AGE;
  return inUseOn(equipment, day) ? 1 : 0;
}

export type Weather = { actuals: readonly Actual[]; measured: readonly Measured[] };
/** Days as they usually are. */
export const NO_WEATHER: Weather = { actuals: [], measured: [] };

/** An outdoor coil takes in less while it heats. */
export const HEATING_SHARE_OF_COIL = 0.3;

/**
 * The hours a part wears by on each day of a span, both ends included: those of heating for a
 * humidifier's panel, of cooling and three tenths of those of heating for an outdoor coil, all that
 * ran for the rest.
 *
 * @example wearingHours(asked, NO_WEATHER, 0, 1).length // 2
 */
export function wearingHours(
  input: WearInput,
  weather: Weather,
  first: DayNumber,
  last: DayNumber,
): Float64Array {
  const { climate, equipment, slot } = input;
  const days = runDays(climate, weather.actuals, equipment, weather.measured, first, last);
  if (slot.media === "humidifier-panel") return days.heating;
  if (slot.media === "outdoor-coil")
    return days.cooling.map((hours, i) => hours + HEATING_SHARE_OF_COIL * days.heating[i]!);
  return days.run;
}

/**
 * How much faster an indoor coil loads for what its filter lets past; 1 for all else.
 *
 * @example penetration({ media: "pleated-25" }) // 1
 */
export function penetration({ media, upstream }: WearSlot): number {
  if (media !== "indoor-coil" || !upstream) return 1;
  return coilDust(upstream.rating ? toMerv(upstream.rating) : null, upstream.bypass);
}

/**
 * What slips past a filter's frame spares the filter; a coil takes it as well.
 *
 * @example bearsOn({ media: "humidifier-panel" }, { kind: "people" }) // false
 */
export const bearsOn = ({ media }: WearSlot, { kind }: Driver): boolean =>
  media !== "humidifier-panel" && !(kind === "bypass" && isCoil(media));

/**
 * The dust multiplier of each day; none for a humidifier’s panel.
 *
 * @example [...multipliers(asked, [{ kind: "dusty-hobby" }], 0, 1)] // [1.3]
 */
export function multipliers(
  { slot, climate }: WearInput,
  drivers: readonly Driver[],
  first: DayNumber,
  size: number,
): Float64Array {
  const bearing = drivers.filter((driver) => bearsOn(slot, driver));
  const dust = dustMultipliers(bearing, slot.airSide, first, size, climate);
  const past = penetration(slot);
  return past === 1 ? dust : dust.map((each) => each * past);
}

/** The share of its load that a filter keeps after the reliefs of a day, by day index from fitting. */
export type Kept = ReadonlyMap<number, number>;
/** Nothing was ever taken off. */
export const NO_RELIEF: Kept = new Map();

/**
 * The reliefs that count: after fitting, not after today. Two on a day both count.
 *
 * @example [...keptOf({ reliefs: [{ date: "2026-01-03", share: 0.3 }], fittedOn: "2026-01-01", today: "2026-02-01" })] // [[2,0.7]]
 */
export function keptOf({ reliefs, fittedOn, today }: WearInput): Kept {
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

export type Loads = Pick<Course, "load" | "beforeRelief" | "lastRelief">;

/**
 * The load at the start of each day at k = 1, 1 due.
 *
 * @param hours, multiplier one a day; rated hours above 0
 * @example [...loads(new Float64Array([10, 10]), new Float64Array([1, 2]), 100).load] // [0,0.1]
 */
export function loads(
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

/**
 * The first day index, from the last relief on, on which k times the load reaches what is due; null
 * within the days there are.
 *
 * @example dueIndex({ load: [0, 0.5, 1], lastRelief: 0, dueAt: 1 }, 0) // 2
 */
export function dueIndex(
  { load, lastRelief, dueAt }: Loads & Pick<Course, "dueAt">,
  lnK: number,
): number | null {
  const k = Math.exp(lnK);
  let low = lastRelief;
  let high = load.length;
  while (low < high) {
    const middle = (low + high) >> 1;
    if (reaches(k * load[middle]!, dueAt)) high = middle;
    else low = middle + 1;
  }
  return low < load.length ? low : null;
}

/** The earlier of two day indexes, of which null is never. @example earlier(null, 3) // 3 */
export const earlier = (a: number | null, b: number | null) =>
  a === null ? b : b === null ? a : Math.min(a, b);

/**
 * The day index on which a part is due by its load or its age, whichever is first.
 *
 * @example dueByLoadOrAge({ load: [0, 0.5, 1], lastRelief: 0, dueAt: 1, ageDue: 1 }, 0) // 1
 */
export const dueByLoadOrAge = (
  course: Loads & Pick<Course, "ageDue" | "dueAt">,
  lnK: number,
): number | null => earlier(dueIndex(course, lnK), course.ageDue);

/**
 * The weather and hours that were there.
 *
 * @example weatherOf({ actuals: [], measured: [] }) // {"actuals":[],"measured":[]}
 */
export const weatherOf = (input: WearInput): Weather => ({
  actuals: input.actuals,
  measured: input.measured,
});

/**
 * The course that hours and dust make, a day each from fitting, by the share of its life a part is given.
 *
 * @example courseOf(asked, new Float64Array(3), new Float64Array(3).fill(1)).load.length // 3
 */
export const courseOf = (
  input: WearInput,
  hours: Float64Array,
  multiplier: Float64Array,
): Course => ({
  hours,
  multiplier,
  ...loads(hours, multiplier, ratedHours(input.slot), keptOf(input)),
  ageDue: ageDueIndex(input, hours, toDay(input.fittedOn), input.lifeShare),
  dueAt: input.lifeShare,
});

/**
 * The course of a part from its fitting to a day, by the share of its life it is given.
 *
 * @example courseTo(asked, NO_WEATHER, [], 20526).load[0] // 0
 */
export function courseTo(
  input: WearInput,
  weather: Weather,
  drivers: readonly Driver[],
  last: DayNumber,
): Course {
  const fitted = toDay(input.fittedOn);
  const hours = wearingHours(input, weather, fitted, last);
  return courseOf(input, hours, multipliers(input, drivers, fitted, hours.length));
}

/**
 * The last day that is looked at.
 *
 * @example horizonOf({ today: "1970-01-02", fittedOn: "1970-01-01", horizonDays: 10 }) // 11
 */
export const horizonOf = (input: WearInput): DayNumber =>
  Math.max(toDay(input.today), toDay(input.fittedOn)) + input.horizonDays;

/**
 * The last day that decides anything: no due day lies past the age due, which is known at once for
 * what ages every day. Most filters are settled within months of a horizon of years.
 *
 * @example decisiveDay(asked) - horizonOf(asked) // 120 - 1095
 */
export function decisiveDay(input: WearInput): DayNumber {
  const horizon = horizonOf(input);
  if (agesByHours(input.slot) || input.equipment.inUse) return horizon;
  return Math.min(
    horizon,
    Math.max(toDay(input.today), toDay(input.fittedOn) + maxAgeOf(input.slot)),
  );
}

/**
 * A course cut off after a day index.
 *
 * @example upTo(courseTo(asked, NO_WEATHER, [], 20600), 9).load.length // 10
 */
export const upTo = (
  { hours, multiplier, load, ageDue, ...rest }: Course,
  index: number,
): Course => ({
  ...rest,
  hours: hours.subarray(0, index + 1),
  multiplier: multiplier.subarray(0, index + 1),
  load: load.subarray(0, index + 1),
  ageDue: ageDue !== null && ageDue <= index ? ageDue : null,
});

/** What a look says that leaves no doubt: full, whatever was reckoned. */
const FULL_GRADES: readonly string[] = ["blocked", "collapsed", "white-powder", "matted"];

/** Whether a look saw it full; a pressure drop weighs more than a grade. */
function isSeenFull({ grade, pressureDropPa }: WearLook, slot: WearSlot): boolean {
  if (pressureDropPa !== undefined && slot.cleanDropPa !== undefined)
    return reaches(pressureDropPa / slot.cleanDropPa, slot.finalRatio);
  return grade !== undefined && FULL_GRADES.includes(grade);
}

/**
 * The day index from fitting of the first look that saw it full, after the last relief that counts: what
 * was seen full is due, however little it ran. Null where nobody saw that.
 *
 * @source docs/sources.md#looks
 * @example seenFullOn({ ...asked, looks: [{ date: "2026-03-20", grade: "blocked" }], today: "2026-03-21" }) // 6
 */
export function seenFullOn(input: WearInput): number | null {
  const { fittedOn, today, looks, slot } = input;
  const fitted = toDay(fittedOn);
  const relieved = Math.max(0, ...keptOf(input).keys());
  const seen = looks
    .filter((look) => look.date <= today && isSeenFull(look, slot))
    .map(({ date }) => toDay(date) - fitted)
    .filter((index) => index > relieved);
  return seen.length === 0 ? null : Math.min(...seen);
}

/** A machine that stands still so long is put away, days. Our choice, from what seasons leave between them. */
const LEAST_IDLE_DAYS = 60;
/** Less than this a day, expected, is none, h. */
const USED_HOURS = 0.25;

/** Days, by index, on which a machine stands still for at least two months: from, up to but without `to`. */
export type Idle = { from: number; to: number };

/**
 * The long stretches without use in the hours of each day; the last may go on past their end.
 *
 * @example idleStretches(new Float64Array([...Array(60).fill(0), 5])) // [{"from":0,"to":60}]
 */
export function idleStretches(hours: Float64Array): Idle[] {
  const found: Idle[] = [];
  let from = 0;
  for (let i = 0; i <= hours.length; i++) {
    if (i < hours.length && hours[i]! < USED_HOURS) continue;
    if (i - from >= LEAST_IDLE_DAYS) found.push({ from, to: i });
    from = i + 1;
  }
  return found;
}

/**
 * The last day of use before a long stretch without use that lies between two days; null where none
 * does. What may be due before or after such a stretch belongs before it: else a mild night moves its day by
 * months.
 *
 * @param late null for never
 * @example lastUseBetween([{ from: 10, to: 90 }], 5, 100) // 9
 */
export function lastUseBetween(
  stretches: readonly Idle[],
  early: number,
  late: number | null,
): number | null {
  const idle = stretches.find(
    ({ from, to }) => Math.min(to, late ?? to) - Math.max(from, early) >= LEAST_IDLE_DAYS,
  );
  return idle && idle.from > 0 ? idle.from - 1 : null;
}
