import { climateSchema, type Climate } from "../climate/climate";
import { equipmentSchema, runDays } from "../climate/run-hours";
import { chanceFrom, type Chance } from "../quantities/chance";
import { clamp, reaches } from "../quantities/rounding";
import { carried, FIRST_BELIEF, learn, SEEN_BY_GRADE, type Belief, type Seen } from "./belief";
import { dustMultipliers, type Driver } from "./drivers";
import { MEDIA, type Media } from "./media";

/**
 * How people decide when a filter goes: at the learned day with one look at each change, the same
 * with a look every month, at the rated day, at the first monthly look that shows grey, every 90
 * days, or knowing the place perfectly.
 */
export const WATCHING = [
  "look-at-change",
  "look-monthly-and-learn",
  "no-look",
  "change-at-grey",
  "every-90-days",
  "perfect",
] as const;
export type Watching = (typeof WATCHING)[number];

export type CohortInput = {
  seed: number;
  homes: number;
  years: number;
  media: readonly Media[];
};
/** `meanMiss` is the mean of |real load − 1| at the changes after the first year. */
export type CohortResult = { meanMiss: number; changesPerYear: number };

const DAYS_PER_YEAR = 365;
const LOOK_EVERY_DAYS = 30;
const FIXED_DAYS = 90;
/** How places differ from what is rated: ln k is normal with this spread; wider than a first belief says. */
const TRUE_SD = 0.5;
/** Below this load nobody could learn anything. */
const LEAST_RATED_LOAD = 0.05;

function climateOf(chance: Chance): Climate {
  const middle = 6 + 10 * chance.uniform();
  const swing = 6 + 10 * chance.uniform();
  return climateSchema.parse({
    monthlyMeanC: Array.from(
      { length: 12 },
      (_, month) => middle - swing * Math.cos((2 * Math.PI * month) / 12),
    ),
    heatingDesignC: middle - swing - 14,
    coolingDesignMeanC: middle + swing + 6,
  });
}

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

/** A place with its own secret: the rated load of every day, and how much faster it really loads. */
type Place = { ratedLoad: Float64Array; maxAgeDays: number; lnK: number };

function placeOf(media: Media, days: number, chance: Chance): Place {
  const facts = MEDIA[media];
  const span = days + facts.maxAgeDays;
  const equipment = equipmentSchema.parse({ heats: true, cools: true, fan: { mode: "auto" } });
  const climate = climateOf(chance);
  const { run } = runDays(climate, [], equipment, [], 0, span);
  const multiplier = dustMultipliers(driversOf(chance), "recirculated", 0, span + 1, climate);
  const ratedLoad = new Float64Array(span + 1);
  for (let i = 0; i < span; i++)
    ratedLoad[i + 1] = ratedLoad[i]! + (run[i]! * multiplier[i]!) / facts.baseHours;
  return { ratedLoad, maxAgeDays: facts.maxAgeDays, lnK: TRUE_SD * chance.normal() };
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
function look(load: number, chance: Chance): Seen {
  const lnLoad = Math.log(clamp(load, 0.02, 5));
  return nearest(lnLoad + nearest(lnLoad).s * chance.normal());
}

/** The first day after fitting on which a load of k times the rated one reaches due, or age does. */
function dueOn({ ratedLoad: bookLoad, maxAgeDays }: Place, fitted: number, lnK: number): number {
  const due = bookLoad[fitted]! + Math.exp(-lnK);
  let low = fitted + 1;
  let high = fitted + maxAgeDays;
  while (low < high) {
    const middle = (low + high) >> 1;
    if (reaches(bookLoad[middle]!, due)) high = middle;
    else low = middle + 1;
  }
  return low;
}

type Stay = { changed: number; belief: Belief };

/** One filter from its fitting to its change, as one kind of watcher would have it. */
function stay(
  place: Place,
  fitted: number,
  prior: Belief,
  watching: Watching,
  chance: Chance,
): Stay {
  const ratedAt = (day: number) => place.ratedLoad[day]! - place.ratedLoad[fitted]!;
  const realAt = (day: number) => Math.exp(place.lnK) * ratedAt(day);
  const seeing = (belief: Belief, day: number) =>
    ratedAt(day) < LEAST_RATED_LOAD
      ? belief
      : learn(belief, look(realAt(day), chance), ratedAt(day));
  switch (watching) {
    case "perfect":
      return { changed: dueOn(place, fitted, place.lnK), belief: prior };
    case "no-look":
      return { changed: dueOn(place, fitted, FIRST_BELIEF.mu), belief: prior };
    case "every-90-days":
      return { changed: fitted + FIXED_DAYS, belief: prior };
    case "change-at-grey": {
      const end = fitted + place.maxAgeDays;
      for (let day = fitted + LOOK_EVERY_DAYS; day < end; day += LOOK_EVERY_DAYS)
        if (look(realAt(day), chance).load >= SEEN_BY_GRADE.grey.load)
          return { changed: day, belief: prior };
      return { changed: end, belief: prior };
    }
    case "look-at-change": {
      const changed = dueOn(place, fitted, prior.mu);
      return { changed, belief: carried(seeing(prior, changed)) };
    }
    case "look-monthly-and-learn": {
      let belief = prior;
      let changed = dueOn(place, fitted, belief.mu);
      for (let day = fitted + LOOK_EVERY_DAYS; day < changed; day += LOOK_EVERY_DAYS) {
        belief = seeing(belief, day);
        changed = Math.max(day, dueOn(place, fitted, belief.mu));
      }
      return { changed, belief: carried(seeing(belief, changed)) };
    }
  }
}

type Count = { misses: number; counted: number; changes: number };

/** All the changes of one place over so many days, by one kind of watcher. */
function watchPlace(place: Place, days: number, watching: Watching, eyes: Chance): Count {
  const count: Count = { misses: 0, counted: 0, changes: 0 };
  let [fitted, belief] = [0, FIRST_BELIEF];
  for (;;) {
    const { changed, belief: after } = stay(place, fitted, belief, watching, eyes);
    if (changed > days) return count;
    count.changes++;
    if (changed > DAYS_PER_YEAR) {
      const load = place.ratedLoad[changed]! - place.ratedLoad[fitted]!;
      count.misses += Math.abs(Math.exp(place.lnK) * load - 1);
      count.counted++;
    }
    [fitted, belief] = [changed, after];
  }
}

/**
 * How far from the right day filters are changed by each kind of watcher, as shares of a life, in a
 * made-up town whose places load by our own model, each at its own hidden pace. It shows that learning
 * works, not that the rated life is right. The same seed gives the same town.
 *
 * @source docs/sources.md#cohort
 */
export function cohort({
  seed,
  homes,
  years,
  media,
}: CohortInput): Readonly<Record<Watching, CohortResult>> {
  const days = years * DAYS_PER_YEAR;
  const places = Array.from({ length: homes }, (_, home) => {
    const chance = chanceFrom(seed + 7919 * home);
    return placeOf(media[Math.floor(media.length * chance.uniform())]!, days, chance);
  });
  const resultOf = (watching: Watching): CohortResult => {
    // Every strategy gets the same random looks, so that they are compared on the same luck.
    const counts = places.map((place, home) =>
      watchPlace(place, days, watching, chanceFrom(seed + 7919 * home + 104_729)),
    );
    const sum = (key: keyof Count) => counts.reduce((total, count) => total + count[key], 0);
    return {
      meanMiss: sum("counted") === 0 ? 0 : sum("misses") / sum("counted"),
      changesPerYear: sum("changes") / homes / years,
    };
  };
  return Object.fromEntries(WATCHING.map((watching) => [watching, resultOf(watching)])) as Record<
    Watching,
    CohortResult
  >;
}
