import {
  datesBetween,
  fromDay,
  toDay,
  type DayNumber,
  type PlainDate,
} from "../quantities/plain-date";
import {
  reaches,
  roundHours,
  roundLoad,
  roundPercent,
  roundPhysical,
} from "../quantities/rounding";
import {
  atFitting,
  beliefOf,
  carried,
  learn,
  paceOf,
  SEEN_BY_GRADE,
  SEEN_ON_COIL,
  seenByPressure,
  TENTH,
  type Belief,
  type Knowledge,
  type Pace,
} from "./belief";
import type { Driver } from "./drivers";
import { isCoil } from "./media";
import {
  ageDueIndex,
  agesBy,
  agesByHours,
  courseTo,
  decisiveDay,
  lastUseBetween,
  idleStretches,
  dueByLoadOrAge,
  dueIndex,
  earlier,
  horizonOf,
  keptOf,
  loads,
  maxAgeOf,
  multipliers,
  NO_WEATHER,
  ratedHours,
  seenFullOn,
  upTo,
  wearingHours,
  weatherOf,
  type Course,
  type Loads,
} from "./wear-course";
import type { WearInput, WearLook, WearResult, WearSlot } from "./wear-schema";

/** Below this rated load a look says nothing of the place: the filter was still new. */
const LEAST_LOAD_TO_LEARN = 0.05;

function seenAt(look: WearLook, slot: WearSlot) {
  if (look.pressureDropPa !== undefined && slot.cleanDropPa !== undefined)
    return seenByPressure(look.pressureDropPa, slot.cleanDropPa, slot.finalRatio);
  const { grade } = look;
  if (isCoil(slot.media)) {
    if (grade === "clean" || grade === "dusty" || grade === "matted") return SEEN_ON_COIL[grade];
  } else if (grade !== undefined && grade !== "dusty" && grade !== "matted")
    return SEEN_BY_GRADE[grade];
  throw new Error("wear: a look needs a grade of its kind, or a pressure drop and the cleanDropPa");
}

/** What the looks since fitting teach about this filter and its place. */
function learnt(
  input: WearInput,
  { load, beforeRelief }: Loads,
): { known: Knowledge; used: number } {
  const fitted = toDay(input.fittedOn);
  let known = atFitting(input.belief);
  let used = 0;
  const looks = input.looks
    .filter((look) => look.date > input.fittedOn && look.date <= input.today)
    .sort((a, b) => (a.date < b.date ? -1 : a.date > b.date ? 1 : 0));
  for (const look of looks) {
    const index = toDay(look.date) - fitted;
    const ratedLoad = beforeRelief.get(index) ?? load[index]!;
    if (!reaches(ratedLoad, LEAST_LOAD_TO_LEARN)) continue;
    known = learn(known, seenAt(look, input.slot), ratedLoad);
    used++;
  }
  return { known, used };
}

function knowledgeAt(input: WearInput): Knowledge {
  if (input.looks.length === 0) return atFitting(input.belief);
  const last = Math.max(toDay(input.fittedOn), toDay(input.today));
  return learnt(input, courseTo(input, weatherOf(input), input.drivers, last)).known;
}

/**
 * What is known of the place after the looks up to `today`, unrounded: what the next filter here starts
 * from, once it is carried over.
 *
 * @example beliefAfter({ looks: [], belief: { mu: 0.1, sd: 0.4 } }) // { mu: 0.1, sd: 0.4 }
 */
export const beliefAfter = (input: WearInput): Belief => beliefOf(knowledgeAt(input));

/**
 * How fast the filter in place loads, after the looks up to `today`, with the spread of its days.
 *
 * @example paceNow({ looks: [], belief: { mu: 0.1, sd: 0.4 } }).lnK // 0.1
 */
export const paceNow = (input: WearInput): Pace => paceOf(knowledgeAt(input));

/**
 * The days on which this filter and those after it are likely due, each fitted on the day the one before
 * is due, up to the first at or after `end`; soonest first. They end where one is never due within its
 * horizon.
 *
 * @example filtersInTurn({ ...asked, slot: { ...asked.slot, maxAgeDays: 10 } }, 20536).length // 1
 */
export function filtersInTurn(input: WearInput, end: DayNumber): DayNumber[] {
  const fitted = toDay(input.fittedOn);
  const next = laterFilters(input, fitted, Math.max(fitted, end));
  const days: DayNumber[] = [];
  for (let last = fitted; last < end || days.length === 0;) {
    const { likely } = next(last);
    if (likely === null) break;
    days.push(likely);
    last = likely;
  }
  return days;
}

/**
 * Only the likely due day, after the looks up to `today`; null beyond the horizon.
 *
 * @example likelyDue({ ...asked, slot: { ...asked.slot, maxAgeDays: 10 } }) // "2026-03-24"
 */
export function likelyDue(input: WearInput): PlainDate | null {
  const course = courseTo(input, weatherOf(input), input.drivers, decisiveDay(input));
  const byLoadOrAge = dueByLoadOrAge(course, paceOf(learnt(input, course).known).lnK);
  const index = earlier(byLoadOrAge, seenFullOn(input));
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
 * is known today; null where that is after `last`. With `isPutAway` none lies beyond the last day of use
 * before its machine stands still for months. One table of hours and dust serves them all: a load between two days is the
 * difference of two sums.
 *
 * @example laterFilters({ ...asked, slot: { ...asked.slot, maxAgeDays: 10 } }, 20526, 20600)(20530).likely // 20540
 */
export function laterFilters(
  input: WearInput,
  from: DayNumber,
  until: DayNumber,
  last = Infinity,
  isPutAway = false,
): (fitted: DayNumber) => WearDays {
  const limit = input.lifeShare * maxAgeOf(input.slot);
  const agesDaily = !agesByHours(input.slot) && !input.equipment.inUse;
  const reach = agesDaily ? Math.min(input.horizonDays, Math.ceil(limit)) : input.horizonDays;
  const end = Math.max(from, Math.min(last, until + reach));
  const hours = wearingHours(input, weatherOf(input), from, end);
  const multiplier = multipliers(input, input.drivers, from, hours.length);
  const { load } = loads(hours, multiplier, ratedHours(input.slot));
  const age = new Float64Array(hours.length);
  for (let i = 0; i + 1 < hours.length; i++)
    age[i + 1] = age[i]! + agesBy(input, hours[i]!, from + i);
  const { lnK, spread } = paceOf(atFitting(carried(beliefAfter(input))));
  const idle = isPutAway ? idleStretches(hours) : [];

  return (fitted) => {
    const start = fitted - from;
    const stop = Math.min(hours.length, start + reach + 1);
    const first = (isOver: (i: number) => boolean): number | null => {
      let low = start;
      let high = stop;
      while (low < high) {
        const middle = (low + high) >> 1;
        if (isOver(middle)) high = middle;
        else low = middle + 1;
      }
      return low < stop ? low : null;
    };
    const tooOld = first((i) => reaches(age[i]! - age[start]!, limit));
    const due = (atLnK: number): DayNumber | null => {
      const k = Math.exp(atLnK);
      const index = earlier(
        first((i) => reaches(k * (load[i]! - load[start]!), input.lifeShare)),
        tooOld,
      );
      return index === null ? null : from + index;
    };
    const days = {
      early: due(lnK + TENTH * spread),
      likely: due(lnK),
      late: due(lnK - TENTH * spread),
    };
    if (idle.length === 0 || days.early === null) return days;
    const lateIndex = days.late === null ? null : days.late - from;
    const lastUse = lastUseBetween(idle, days.early - from, lateIndex);
    return lastUse === null ? days : noLaterThan(days, Math.max(fitted, from + lastUse));
  };
}

const noLaterThan = ({ early, likely, late }: WearDays, day: DayNumber): WearDays => ({
  early: earlier(early, day),
  likely: earlier(likely, day),
  late: earlier(late, day),
});

/**
 * Early, likely and late of what a summary says, no later than the last day before its machine stands still
 * for months: what may be due before or after that belongs before it is put away.
 *
 * @example beforePutAway(asked, { early: null, likely: null, late: null }) // {"early":null,"likely":null,"late":null}
 */
export function beforePutAway(
  input: WearInput,
  { early, likely, late }: Pick<WearResult, "early" | "likely" | "late">,
): Pick<WearResult, "early" | "likely" | "late"> {
  const same = { early, likely, late };
  if (early === null) return same;
  const fitted = toDay(input.fittedOn);
  const end = late === null ? horizonOf(input) : toDay(late);
  if (end - toDay(early) < LEAST_STRADDLED_DAYS) return same;
  const idle = idleStretches(wearingHours(input, NO_WEATHER, fitted, end));
  const lastUse = lastUseBetween(idle, toDay(early) - fitted, late === null ? null : end - fitted);
  if (lastUse === null) return same;
  const bound = fromDay(fitted + lastUse);
  const capped = (date: PlainDate | null) => (date === null || date > bound ? bound : date);
  return { early: capped(early), likely: capped(likely), late: capped(late) };
}

/** A shorter band holds no long stretch without use, days. */
const LEAST_STRADDLED_DAYS = 60;

/** What `wear` says, but for its days, and how fast what is in place loads. */
export type WearSummary = Omit<WearResult, "days"> & { pace: Pace };

/**
 * When a filter or run-hour part is due at this place, between which days, and why.
 *
 * The load rises with run hours, dust and this filter's own factor k; 1 is due. A look narrows what is
 * known of k, of the place and of the filter. A relief (a filter vacuumed on the spot) takes a share of
 * the load off, and neither the filter nor its age is new. `likely` takes the middle of what is known,
 * `early` and `late` its tenths; none is later than the day the part is simply too old, or than the first
 * look that saw it full.
 *
 * @source docs/sources.md#wear; assumes that dust adds up in proportion to hours
 * @example wearSummary({ ...asked, slot: { ...asked.slot, maxAgeDays: 10 } }).limitedBy // "age"
 */
export const wearSummary = (input: WearInput): WearSummary =>
  summaryOf(input, courseTo(input, weatherOf(input), input.drivers, decisiveDay(input)));

function summaryOf(input: WearInput, real: Course): WearSummary {
  const fitted = toDay(input.fittedOn);
  const rated = ratedHours(input.slot);
  const size = real.hours.length;
  const { known, used } = learnt(input, real);
  const pace = paceOf(known);
  const { lnK, spread } = pace;
  const belief = beliefOf(known);
  const due = (atLnK: number) => dueByLoadOrAge(real, atLnK);
  const dateAt = (index: number | null): PlainDate | null =>
    index === null ? null : fromDay(fitted + index);

  const likely = due(lnK);
  const byLoad = dueIndex(real, lnK);
  const withoutDriver = (removed: Driver): number | null => {
    const others = input.drivers.filter((driver) => driver !== removed);
    const dust = multipliers(input, others, fitted, size);
    const without = loads(real.hours, dust, rated, keptOf(input));
    return dueByLoadOrAge({ ...without, ageDue: real.ageDue, dueAt: real.dueAt }, lnK);
  };
  const sooner = (other: number | null) =>
    likely === null || other === null ? null : other - likely;

  const hasWeather = input.actuals.length > 0 || input.measured.length > 0;
  const normal = hasWeather ? courseTo(input, NO_WEATHER, input.drivers, fitted + size - 1) : real;
  const book = {
    // An indoor coil sits behind its filter in the book too.
    ...loads(normal.hours, multipliers(input, [], fitted, size), rated),
    ageDue: ageDueIndex(input, normal.hours, fitted, 1),
    dueAt: 1,
  };
  const loadNow = real.load[toDay(input.today) - fitted] ?? 0;

  const seenFull = seenFullOn(input);
  const shown = (index: number | null) => dateAt(earlier(index, seenFull));
  const percent = (100 * Math.exp(lnK) * loadNow) / input.lifeShare;
  const limitedBy = (): WearResult["limitedBy"] => {
    if (seenFull !== null && (likely === null || seenFull < likely)) return "look";
    if (likely === null) return null;
    return byLoad !== null && byLoad <= likely ? "load" : "age";
  };

  return {
    early: shown(due(lnK + TENTH * spread)),
    likely: shown(likely),
    late: shown(due(lnK - TENTH * spread)),
    limitedBy: limitedBy(),
    percentNow: roundPercent(seenFull === null ? percent : Math.max(100, percent)),
    belief: { mu: roundLoad(belief.mu), sd: roundLoad(belief.sd) },
    looksUsed: used,
    drivers: input.drivers.map((driver) => ({
      ...(driver.id === undefined ? {} : { id: driver.id }),
      kind: driver.kind,
      daysBroughtForward: sooner(withoutDriver(driver)),
    })),
    bookDue: dateAt(dueByLoadOrAge(book, 0)),
    weatherDays: hasWeather ? sooner(dueByLoadOrAge(normal, lnK)) : sooner(likely),
    pace,
  };
}

/**
 * `wearSummary` with the load of every day from fitting to the horizon, at the likely factor: 0 new, 1
 * due.
 *
 * @source docs/sources.md#wear
 * @example wear({ ...asked, horizonDays: 30 }).days.length // 31
 */
export function wear(input: WearInput): WearResult {
  const fitted = toDay(input.fittedOn);
  const course = courseTo(input, weatherOf(input), input.drivers, horizonOf(input));
  const { hours, multiplier, load } = course;
  const { early, likely, late, limitedBy, percentNow, belief, looksUsed, pace, ...rest } =
    summaryOf(input, upTo(course, decisiveDay(input) - fitted));
  const k = Math.exp(pace.lnK);
  const days = datesBetween(fitted, fitted + load.length - 1).map((date, i) => ({
    date,
    runHours: roundHours(hours[i]!),
    multiplier: roundPhysical(multiplier[i]!),
    load: roundLoad(k * load[i]!),
  }));
  return { early, likely, late, limitedBy, percentNow, belief, looksUsed, days, ...rest };
}
