import { madeUpClimate, madeUpWeather } from "../climate/made-up-weather";
import type { DayNumber } from "../quantities/plain-date";
import { equipmentSchema, runDaysBy } from "../climate/run-hours";
import { chanceFrom, type Chance } from "../quantities/chance";
import { clamp, reaches } from "../quantities/rounding";
import {
  atFitting,
  beliefOf,
  carried,
  FIRST_BELIEF,
  learn,
  paceOf,
  SEEN_BY_GRADE,
  TENTH,
  type Belief,
  type Knowledge,
  type Pace,
  type Seen,
} from "./belief";
import { dustMultipliers, type Driver } from "./drivers";
import { MEDIA, type Media } from "./media";

/**
 * How people decide when a filter goes: at the learned day with one look at each change, the same
 * with another look at half its life, or with a look every month, at the rated day, at the first monthly look
 * that shows grey, every 90 days, or knowing the place perfectly.
 */
export const WATCHING = [
  "look-at-change",
  "look-at-half-life",
  "look-monthly-and-learn",
  "no-look",
  "change-at-grey",
  "every-90-days",
  "perfect",
] as const;
export type Watching = (typeof WATCHING)[number];

/**
 * What a town is like. In a smooth one every day is as warm as usual, and filters of one make are all alike.
 * A rough one has weather, filters that differ, and eyes that err each in its own way; its people may or
 * may not be told how warm the days were.
 */
export const TOWNS = ["smooth", "rough", "rough-without-weather"] as const;
export type Town = (typeof TOWNS)[number];

export type CohortInput<W extends Watching = Watching> = {
  /** The kinds of people that are asked for. */
  watching: readonly W[];
  seed: number;
  homes: number;
  years: number;
  media: readonly Media[];
  town: Town;
};

export type CohortResult = {
  /** Mean of |real load − 1| at the changes after the first year. */
  meanMiss: number;
  changesPerYear: number;
  /**
   * Share of the filters, from the third of each place on, that really were due between the early and the
   * late day as these were told at fitting, and at half the likely life; null where nobody learns. Where even
   * the early day is the one that age sets, nothing is told, and nothing counted.
   */
  held: { atFitting: number; atHalfLife: number } | null;
};

const DAYS_PER_YEAR = 365;
const LOOK_EVERY_DAYS = 30;
const FIXED_DAYS = 90;
/** How places differ from what is rated: ln k is normal with this spread; wider than a first belief says. */
const TRUE_SD = 0.5;
/** Below this load nobody could learn anything. */
const LEAST_RATED_LOAD = 0.05;
/** A rough town: how filters of one make differ, and eyes, as spreads of ln load. */
const ROUGH_FILTER_SD = 0.12;
const ROUGH_EYE_SD = 0.15;

function driversOf(chance: Chance): Driver[] {
  const drivers: Driver[] = [
    {
      kind: "people",
      count: 1 + Math.floor(5 * chance.uniform()),
      id: undefined,
      from: undefined,
      to: undefined,
    },
  ];
  const plain = { id: undefined, from: undefined, to: undefined };
  if (chance.uniform() < 0.5)
    drivers.push({ ...plain, kind: "shedding-pets", count: 1 + Math.floor(3 * chance.uniform()) });
  if (chance.uniform() < 0.15) drivers.push({ ...plain, kind: "dusty-hobby" });
  if (chance.uniform() < 0.15) drivers.push({ ...plain, kind: "indoor-smoking" });
  return drivers;
}

/** A place with its secrets: what loads it, how fast, and whose eyes look at it. */
type Place = {
  /** The rated load from the first day to each, as the weather was, and as it usually is. */
  real: Float64Array;
  usual: Float64Array;
  /** Which of the two its people know of days that have passed. */
  known: Float64Array;
  maxAgeDays: number;
  lnK: number;
  filterSd: number;
  /** How much more its people see in a filter than there is, as ln load. */
  eye: number;
};

function placeOf(media: Media, days: number, town: Town, chance: Chance): Place {
  const facts = MEDIA[media];
  const span = days + 2 * facts.maxAgeDays;
  const equipment = equipmentSchema.parse({ heats: true, cools: true, fan: { mode: "auto" } });
  const climate = madeUpClimate(chance);
  const multiplier = dustMultipliers(driversOf(chance), "recirculated", 0, span + 1, climate);
  const lnK = TRUE_SD * chance.normal();
  const isRough = town !== "smooth";
  const ratedLoad = (weather: ReadonlyMap<DayNumber, number>) => {
    const { run } = runDaysBy(climate, weather, equipment, new Map(), 0, span);
    const sums = new Float64Array(span + 1);
    for (let i = 0; i < span; i++)
      sums[i + 1] = sums[i]! + (run[i]! * multiplier[i]!) / facts.baseHours;
    return sums;
  };
  const usual = ratedLoad(new Map());
  const real = isRough
    ? ratedLoad(new Map(madeUpWeather(climate, 0, span, chance).entries()))
    : usual;
  return {
    ...{ usual, real, lnK },
    known: town === "rough" ? real : usual,
    maxAgeDays: facts.maxAgeDays,
    filterSd: isRough ? ROUGH_FILTER_SD : 0,
    eye: isRough ? ROUGH_EYE_SD * chance.normal() : 0,
  };
}

const GRADES_SEEN: readonly Seen[] = [
  SEEN_BY_GRADE.clean,
  SEEN_BY_GRADE.light,
  SEEN_BY_GRADE.grey,
  SEEN_BY_GRADE.loaded,
  SEEN_BY_GRADE.blocked,
  SEEN_BY_GRADE.collapsed,
];

const nearest = (lnLoad: number): Seen =>
  GRADES_SEEN.reduce((best, each) =>
    Math.abs(Math.log(each.load) - lnLoad) < Math.abs(Math.log(best.load) - lnLoad) ? each : best,
  );

/** What somebody sees who looks at a real load: the grade nearest to it, give or take their eye. */
function lookAt(load: number, eye: number, chance: Chance): Seen {
  const lnLoad = Math.log(clamp(load, 0.02, 5)) + eye;
  return nearest(lnLoad + nearest(lnLoad).s * chance.normal());
}

/** The first day, from one on, on which a growing sum reaches a value; `end` where none before does. */
function dayAt(sums: Float64Array, from: number, end: number, value: number): number {
  let low = from;
  let high = end;
  while (low < high) {
    const middle = (low + high) >> 1;
    if (reaches(sums[middle]!, value)) high = middle;
    else low = middle + 1;
  }
  return low;
}

/** When a filter is due at a pace by a sum of loads, its age at the latest. */
const dueOn = (sums: Float64Array, place: Place, fitted: number, lnK: number): number =>
  dayAt(sums, fitted + 1, fitted + place.maxAgeDays, sums[fitted]! + Math.exp(-lnK));

/** When it is due as far as can be told on a day: the days before as they are known, the rest as usual. */
function expectedOn(place: Place, fitted: number, today: number, lnK: number): number {
  const { known, usual } = place;
  const target = Math.exp(-lnK);
  const soFar = known[today]! - known[fitted]!;
  if (reaches(soFar, target)) return dueOn(known, place, fitted, lnK);
  return dayAt(usual, today, fitted + place.maxAgeDays, usual[today]! + target - soFar);
}

/** One filter while it is in: its own pace, and what is known of it. */
type Filter = { fitted: number; lnK: number; knowledge: Knowledge };

/** What a look on a day teaches. */
function seeing(place: Place, filter: Filter, day: number, chance: Chance): Knowledge {
  const ratedLoad = place.known[day]! - place.known[filter.fitted]!;
  if (ratedLoad < LEAST_RATED_LOAD) return filter.knowledge;
  const load = Math.exp(filter.lnK) * (place.real[day]! - place.real[filter.fitted]!);
  return learn(filter.knowledge, lookAt(load, place.eye, chance), ratedLoad);
}

/** The band of a filter's due day as it is told on a day. */
type Told = { early: number; late: number };

function bandOn(place: Place, fitted: number, today: number, { lnK, spread }: Pace): Told {
  return {
    early: expectedOn(place, fitted, today, lnK + TENTH * spread),
    late: expectedOn(place, fitted, today, lnK - TENTH * spread),
  };
}

/** How long one filter stayed, what it taught, and what was told of it. */
type Stay = { changed: number; belief: Belief; told?: { atFitting: Told; atHalfLife: Told } };

/** One filter from its fitting to its change, as one kind of watcher would have it. */
function stay(
  place: Place,
  filter: Filter,
  prior: Belief,
  watching: Watching,
  chance: Chance,
): Stay {
  const { fitted } = filter;
  const without = (changed: number): Stay => ({ changed, belief: prior });
  switch (watching) {
    case "perfect":
      return without(dueOn(place.real, place, fitted, filter.lnK));
    case "no-look":
      return without(dueOn(place.known, place, fitted, FIRST_BELIEF.mu));
    case "every-90-days":
      return without(fitted + FIXED_DAYS);
    case "change-at-grey": {
      const end = fitted + place.maxAgeDays;
      for (let day = fitted + LOOK_EVERY_DAYS; day < end; day += LOOK_EVERY_DAYS) {
        const load = Math.exp(filter.lnK) * (place.real[day]! - place.real[fitted]!);
        if (lookAt(load, place.eye, chance).load >= SEEN_BY_GRADE.grey.load) return without(day);
      }
      return without(end);
    }
    default:
      return learning(place, filter, watching, chance);
  }
}

/** Whether somebody looks so many days after fitting, half way to the likely day at `half`. */
function isLookDay(watching: Watching, after: number, half: number): boolean {
  if (watching === "look-monthly-and-learn") return after % LOOK_EVERY_DAYS === 0;
  return watching === "look-at-half-life" && after === half;
}

function learning(place: Place, filter: Filter, watching: Watching, chance: Chance): Stay {
  const { fitted } = filter;
  const pace = () => paceOf(filter.knowledge);
  const changeDay = () => dueOn(place.known, place, fitted, pace().lnK);
  const atFitting = bandOn(place, fitted, fitted, pace());
  const half = Math.round((expectedOn(place, fitted, fitted, pace().lnK) - fitted) / 2);
  let atHalfLife = atFitting;
  let changed = changeDay();
  for (let day = fitted + 1; day < changed; day++) {
    if (isLookDay(watching, day - fitted, half)) {
      filter.knowledge = seeing(place, filter, day, chance);
      changed = Math.max(day, changeDay());
    }
    if (day - fitted === half) atHalfLife = bandOn(place, fitted, day, pace());
  }
  filter.knowledge = seeing(place, filter, changed, chance);
  return {
    changed,
    belief: carried(beliefOf(filter.knowledge)),
    told: { atFitting, atHalfLife },
  };
}

type Count = {
  misses: number;
  counted: number;
  changes: number;
  /** Filters whose band is judged, and how many of them it held. */
  judged: number;
  heldAtFitting: number;
  heldAtHalfLife: number;
};

/** Bands are judged from this filter of a place on: before it nothing is learnt yet. */
const FIRST_JUDGED = 3;

/** All the changes of one place over so many days, by one kind of watcher. */
function watchPlace(place: Place, days: number, watching: Watching, eyes: Chance): Count {
  const count = {
    ...{ misses: 0, counted: 0, changes: 0 },
    ...{ judged: 0, heldAtFitting: 0, heldAtHalfLife: 0 },
  };
  let [fitted, belief] = [0, FIRST_BELIEF];
  for (;;) {
    const lnK = place.lnK + place.filterSd * eyes.normal();
    const filter: Filter = { fitted, lnK, knowledge: atFitting(belief) };
    const { changed, belief: after, told } = stay(place, filter, belief, watching, eyes);
    if (changed > days) return count;
    count.changes++;
    if (changed > DAYS_PER_YEAR) {
      const load = place.real[changed]! - place.real[fitted]!;
      count.misses += Math.abs(Math.exp(lnK) * load - 1);
      count.counted++;
    }
    // Where both ends are the day its age sends it nothing is told, and nothing is judged.
    if (told && count.changes >= FIRST_JUDGED && told.atFitting.early < fitted + place.maxAgeDays) {
      const really = dueOn(place.real, place, fitted, lnK);
      const isIn = ({ early, late }: Told) => early <= really && really <= late;
      count.judged++;
      if (isIn(told.atFitting)) count.heldAtFitting++;
      if (isIn(told.atHalfLife)) count.heldAtHalfLife++;
    }
    [fitted, belief] = [changed, after];
  }
}

/**
 * How far from the right day filters are changed by each kind of watcher, as shares of a life, and how often
 * the band held that they were told, in a made-up town whose places load by our own model, each at its own
 * hidden pace. It shows that learning works, not that the rated life is right. The same seed gives the
 * same town.
 *
 * @source docs/sources.md#cohort
 * @example cohort({ watching: ["perfect"], seed: 1, homes: 0, years: 1, media: ["pleated-25"], town: "smooth" }).perfect.meanMiss // 0
 */
export function cohort<W extends Watching>({
  watching,
  seed,
  homes,
  years,
  media,
  town,
}: CohortInput<W>): Readonly<Record<W, CohortResult>> {
  const days = years * DAYS_PER_YEAR;
  const places = Array.from({ length: homes }, (_, home) => {
    const chance = chanceFrom(seed + 7919 * home);
    return placeOf(media[Math.floor(media.length * chance.uniform())]!, days, town, chance);
  });
  const resultOf = (each: Watching): CohortResult => {
    // Every strategy gets the same random looks, so that they are compared on the same luck.
    const counts = places.map((place, home) =>
      watchPlace(place, days, each, chanceFrom(seed + 7919 * home + 104_729)),
    );
    const sum = (key: keyof Count) => counts.reduce((total, count) => total + count[key], 0);
    const judged = sum("judged");
    return {
      meanMiss: sum("counted") === 0 ? 0 : sum("misses") / sum("counted"),
      changesPerYear: homes === 0 ? 0 : sum("changes") / homes / years,
      held:
        judged === 0
          ? null
          : {
              atFitting: sum("heldAtFitting") / judged,
              atHalfLife: sum("heldAtHalfLife") / judged,
            },
    };
  };
  return Object.fromEntries(watching.map((each) => [each, resultOf(each)])) as Record<
    W,
    CohortResult
  >;
}
