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
  carried,
  learn,
  SEEN_BY_GRADE,
  SEEN_ON_COIL,
  seenByPressure,
  TENTH,
  type Belief,
} from "./belief";
import type { Driver } from "./drivers";
import { isCoil, WEARING, type MediaFacts } from "./media";
import {
  ageDueIndex,
  agesOn,
  courseTo,
  decisiveDay,
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
  const facts: MediaFacts = WEARING[input.slot.media];
  const limit = input.lifeShare * maxAgeOf(input.slot);
  const agesDaily = !facts.cleaned && !input.equipment.inUse;
  const reach = agesDaily ? Math.min(input.horizonDays, Math.ceil(limit)) : input.horizonDays;
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
        first((i) => reaches(k * (load[i]! - load[start]!), input.lifeShare)),
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
    return dueByLoadOrAge({ ...without, ageDue: real.ageDue, dueAt: real.dueAt }, belief.mu);
  };
  const sooner = (other: number | null) =>
    likely === null || other === null ? null : other - likely;

  const hasWeather = input.actuals.length > 0 || input.measured.length > 0;
  const normal = hasWeather ? courseTo(input, NO_WEATHER, input.drivers, fitted + size - 1) : real;
  const book = {
    ...loads(normal.hours, new Float64Array(size).fill(1), rated),
    ageDue: ageDueIndex(input, normal.hours, fitted, 1),
    dueAt: 1,
  };
  const loadNow = real.load[toDay(input.today) - fitted] ?? 0;

  return {
    early: dateAt(due(belief.mu + TENTH * belief.sd)),
    likely: dateAt(likely),
    late: dateAt(due(belief.mu - TENTH * belief.sd)),
    limitedBy: likely === null ? null : byLoad !== null && byLoad <= likely ? "load" : "age",
    percentNow: roundPercent((100 * Math.exp(belief.mu) * loadNow) / input.lifeShare),
    belief: { mu: roundLoad(belief.mu), sd: roundLoad(belief.sd) },
    looksUsed: used,
    drivers: input.drivers.map((driver) => ({
      ...(driver.id === undefined ? {} : { id: driver.id }),
      kind: driver.kind,
      daysBroughtForward: sooner(withoutDriver(driver)),
    })),
    bookDue: dateAt(dueByLoadOrAge(book, 0)),
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
