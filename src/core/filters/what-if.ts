import {
  addDays,
  daysFrom,
  fromDay,
  toDay,
  type DayNumber,
  type PlainDate,
} from "../quantities/plain-date";
import { reaches } from "../quantities/rounding";
import { carried, SEEN_BY_GRADE, sureness, TENTH, type Pace } from "./belief";
import type { Driver } from "./drivers";
import type { Media } from "./media";
import { MEDIA } from "./media";
import { beliefAfter, paceNow } from "./wear";
import {
  courseOf,
  dueByLoadOrAge,
  horizonOf,
  multipliers,
  wearingHours,
  weatherOf,
  type Course,
} from "./wear-course";
import type { WearInput } from "./wear-schema";

/** What somebody would like to try at a filter’s place. */
export type WhatIf = {
  /** Shedding animals in all; null as it is. */
  pets: number | null;
  /** Colder, below 0, or warmer than usual from today on, K. */
  warmerK: number;
  /** Another filter, as if it went in today; null as it is. */
  media: Media | null;
  /** A look every so many days from today on; null as it is. */
  lookEveryDays: number | null;
};

export type WhatIfResult = {
  /** Of the filter in place, or of another one that went in today. */
  early: PlainDate | null;
  likely: PlainDate | null;
  late: PlainDate | null;
  /** Days that a new filter would last, fitted today. */
  newOneLasts: number | null;
  /** Days, as day numbers, with the likely load of each: 1 due. */
  points: Point[];
};

function withPets(drivers: readonly Driver[], today: PlainDate, pets: number): Driver[] {
  const others = drivers.filter(({ kind }) => kind !== "shedding-pets");
  const yesterday = addDays(today, -1);
  const before = drivers.flatMap((driver) => {
    if (driver.kind !== "shedding-pets" || (driver.from && driver.from >= today)) return [];
    return [{ ...driver, to: driver.to && driver.to < today ? driver.to : yesterday }];
  });
  return [
    ...others,
    ...before,
    { kind: "shedding-pets", count: pets, from: today, to: undefined, id: undefined },
  ];
}

/** The pace as sure as it will be if the filter is looked at every so often until it is due. */
function withLooks({ lnK, spread }: Pace, days: number, every: number): Pace {
  const looks = Math.max(0, Math.floor(days / every));
  // Grey is what most looks before the end show.
  return { lnK, spread: sureness(spread, looks, SEEN_BY_GRADE.grey.s) };
}

const joined = (past: Float64Array, ahead: Float64Array): Float64Array => {
  const all = new Float64Array(past.length + ahead.length);
  all.set(past);
  all.set(ahead, past.length);
  return all;
};

/** The course of a filter as it has been until yesterday, and as it would be from today on. */
function courseWith(input: WearInput, changed: WearInput): Course {
  const fitted = toDay(input.fittedOn);
  const today = Math.max(fitted, toDay(input.today));
  const last = horizonOf(input);
  const hours = joined(
    wearingHours(input, weatherOf(input), fitted, today - 1),
    wearingHours(changed, weatherOf(changed), today, last),
  );
  const multiplier = joined(
    multipliers(input, input.drivers, fitted, today - fitted),
    multipliers(changed, changed.drivers, today, last - today + 1),
  );
  return courseOf(input, hours, multiplier);
}

export type Point = { x: number; y: number };

/** The likely load of each day, 1 due, up to where there is nothing more to see. */
function pointsOf({ load, dueAt }: Course, fitted: DayNumber, lnK: number): Point[] {
  const k = Math.exp(lnK);
  const points = Array.from(load, (each, i) => ({ x: fitted + i, y: (k * each) / dueAt }));
  const end = points.findIndex(({ y }) => reaches(y, END_LOAD));
  return end === -1 ? points : points.slice(0, end + 1);
}

/**
 * The load of what is in place, as it has been until yesterday, and as it would be from today on if it were
 * asked with other things about it.
 *
 * @param ahead the same with what would be otherwise: climate, drivers, the filter before a coil
 * @example otherwise(asked, asked)[0].y // 0
 */
export const otherwise = (input: WearInput, ahead: WearInput): Point[] =>
  pointsOf(courseWith(input, ahead), toDay(input.fittedOn), paceNow(input).lnK);

/** Another filter at the same place, new today, of which no look has told anything. */
const newToday = (input: WearInput, media: Media | null): WearInput => ({
  ...input,
  fittedOn: input.today,
  slot: media === null ? input.slot : slotOf(input, media),
  belief: carried(beliefAfter(input)),
  looks: [],
  reliefs: [],
});

/**
 * When a filter would be due if something about its place were otherwise from today on. What has
 * happened stays as it was; another medium is tried as if it went in today.
 *
 * @example whatIf({ ...asked, equipment: { ...asked.equipment, heats: false, cools: false } }, AS_IT_IS).newOneLasts // 120
 */
export function whatIf(input: WearInput, change: WhatIf): WhatIfResult {
  const asked = change.media === null ? input : newToday(input, change.media);
  const changedOf = (of: WearInput): WearInput => ({
    ...of,
    climate: {
      ...of.climate,
      monthlyMeanC: of.climate.monthlyMeanC.map((mean) => mean + change.warmerK),
    },
    drivers: change.pets === null ? of.drivers : withPets(of.drivers, of.today, change.pets),
  });
  const course = courseWith(asked, changedOf(asked));
  const fitted = toDay(asked.fittedOn);
  const dueAt = (lnK: number): PlainDate | null => {
    const index = dueByLoadOrAge(course, lnK);
    return index === null ? null : fromDay(fitted + index);
  };
  const now = paceNow(asked);
  const likely = dueAt(now.lnK);
  const { lnK, spread } =
    change.lookEveryDays !== null && likely
      ? withLooks(now, daysFrom(input.today, likely), change.lookEveryDays)
      : now;
  const fresh = newToday(input, change.media);
  const freshCourse = courseWith(fresh, changedOf(fresh));
  return {
    early: dueAt(lnK + TENTH * spread),
    likely,
    late: dueAt(lnK - TENTH * spread),
    newOneLasts: dueByLoadOrAge(freshCourse, fresh.belief.mu),
    points: pointsOf(course, fitted, lnK),
  };
}

/** Everything left as it is: what the sliders are compared with. */
export const AS_IT_IS: WhatIf = { pets: null, warmerK: 0, media: null, lookEveryDays: null };

/** Past this there is nothing more to see. */
const END_LOAD = 1.5;

/** Another medium at the same place: what a maker said of this one is not of that. */
function slotOf({ slot }: WearInput, media: Media): WearInput["slot"] {
  const rated: boolean = MEDIA[media].rated;
  return {
    ...slot,
    media,
    rating: rated ? slot.rating : undefined,
    ...{ baseHours: undefined, maxAgeDays: undefined, cleanDropPa: undefined },
  };
}
