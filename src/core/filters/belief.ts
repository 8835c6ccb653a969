import { z } from "zod";
import { reaches } from "../quantities/rounding";

/**
 * What is known of a place's own factor k: ln k is normal with mean `mu` and spread `sd`. k says
 * how many times as fast this slot loads as its rated life supposes.
 */
export const beliefSchema = z.strictObject({ mu: z.number(), sd: z.number().positive() });
export type Belief = z.output<typeof beliefSchema>;

/** Before any look: right on average, and between 0.6 and 1.7 times the rated pace in eight places of ten. */
export const FIRST_BELIEF: Belief = { mu: 0, sd: 0.4 };

/** Where one in ten lies below, or above, on a standard normal. */
export const TENTH = 1.2816;

/** A belief of a place never grows surer than this. */
const LEAST_SD = 0.05;
/** How much less sure it is of the next filter. Our choice. */
const DRIFT_SD = 0.05;
/** The same where animals, people, smoking or the like came or went in between. Our choice. */
const CHANGED_SD = 0.15;
const MOST_SD_CARRIED = 0.6;
/** How filters of one make differ in one place, spread of ln k. @source docs/sources.md#looks */
const FILTER_SD = 0.15;
/**
 * What no look tells: the weather to come, and one's own eye. It widens what is said of days and takes
 * no part in the learning. @source docs/sources.md#looks
 */
const UNTOLD_SD = 0.2;

export const GRADES = [
  "clean",
  "light",
  "grey",
  "loaded",
  "blocked",
  "collapsed",
  "white-powder",
] as const;
export type Grade = (typeof GRADES)[number];

/**
 * What a look says of the load (1 = due), and the spread of ln load it leaves. “At most” speaks against a
 * higher load only: a filter that looks clean may hold much less than that.
 */
export type Seen = { load: number; s: number; isAtMost?: boolean };
const BLOCKED: Seen = { load: 1.2, s: 0.25 };
/** @source docs/sources.md#looks */
export const SEEN_BY_GRADE: Readonly<Record<Grade, Seen>> = {
  clean: { load: 0.2, s: 0.4, isAtMost: true },
  light: { load: 0.3, s: 0.4 },
  grey: { load: 0.6, s: 0.3 },
  loaded: { load: 0.9, s: 0.25 },
  blocked: BLOCKED,
  collapsed: { load: 1.5, s: 0.25 },
  "white-powder": BLOCKED,
};

/** How a coil is seen to stand; clean means the same as of a filter. */
export const COIL_GRADES = ["clean", "dusty", "matted"] as const;
export type CoilGrade = (typeof COIL_GRADES)[number];
/** @source docs/sources.md#coils */
export const SEEN_ON_COIL: Readonly<Record<CoilGrade, Seen>> = {
  clean: SEEN_BY_GRADE.clean,
  dusty: { load: 0.55, s: 0.4 },
  matted: { load: 1.1, s: 0.3 },
};

/** Drop at due over drop when clean; twice is what the trade calls spent. */
export const FINAL_RATIO = 2;

/** Below this a pressure drop cannot be told from a clean filter's. */
const LEAST_LOAD_BY_PRESSURE = 0.45;
const S_BY_PRESSURE = 0.25;

/**
 * The load a pressure drop speaks of: the drop grows with the square of the load and reaches
 * `finalRatio` times the clean one when the filter is due. A small rise says no more than “at most 0.45”.
 *
 * @param dropPa, cleanDropPa in Pa; clean above 0
 * @param finalRatio above 1
 * @source docs/sources.md#looks
 * @example seenByPressure(100, 50, 2) // { load: 1, s: 0.25 }
 */
export function seenByPressure(dropPa: number, cleanDropPa: number, finalRatio: number): Seen {
  const load = Math.sqrt(Math.max(0, dropPa / cleanDropPa - 1) / (finalRatio - 1));
  return reaches(load, LEAST_LOAD_BY_PRESSURE)
    ? { load, s: S_BY_PRESSURE }
    : { load: LEAST_LOAD_BY_PRESSURE, s: S_BY_PRESSURE, isAtMost: true };
}

/**
 * What is known while a filter is in place: of the place, of how this filter differs from it, and how the
 * two errors go together (variances and covariance of ln k). Their sum is the pace of this filter.
 */
export type Knowledge = {
  place: number;
  own: number;
  ofPlace: number;
  ofOwn: number;
  ofBoth: number;
};

/**
 * What is known of a filter as it goes in: of its place what the ones before taught, of itself nothing.
 *
 * @example atFitting({ mu: 0.1, sd: 0.4 }).place // 0.1
 */
export const atFitting = ({ mu, sd }: Belief): Knowledge => ({
  place: mu,
  own: 0,
  ofPlace: sd ** 2,
  ofOwn: FILTER_SD ** 2,
  ofBoth: 0,
});

/** More than this no look can show. */
const MOST_SEEN_LOAD = 1.5;

/**
 * What a look teaches of the place and of this filter: one filter says less about its place than about
 * itself. A Kalman filter of two states, with the look as its one measurement; a look that only says
 * “at most” never makes the pace faster, and none at a filter that is fuller than a look can show.
 *
 * @param ratedLoad the load that the rated life supposes on the day of the look (k = 1), above 0
 * @source docs/sources.md#looks
 * @example learn(atFitting({ mu: 0, sd: 0.4 }), { load: 1, s: 0.4 }, 1).place // 0
 */
export function learn(known: Knowledge, seen: Seen, ratedLoad: number): Knowledge {
  const { place, own, ofPlace, ofOwn, ofBoth } = known;
  const all = ofPlace + 2 * ofBoth + ofOwn + seen.s ** 2;
  const [toPlace, toOwn] = [(ofPlace + ofBoth) / all, (ofBoth + ofOwn) / all];
  const expected = Math.min(place + own + Math.log(ratedLoad), Math.log(MOST_SEEN_LOAD));
  const said = Math.log(seen.load) - expected;
  const surprise = seen.isAtMost ? Math.min(0, said) : said;
  return {
    place: place + toPlace * surprise,
    own: own + toOwn * surprise,
    ofPlace: ofPlace - toPlace * (ofPlace + ofBoth),
    ofOwn: ofOwn - toOwn * (ofBoth + ofOwn),
    ofBoth: ofBoth - toPlace * (ofBoth + ofOwn),
  };
}

/** How fast the filter in place loads: ln k, and the spread within which days are given. */
export type Pace = { lnK: number; spread: number };

/**
 * The pace of the filter in place, with what no look tells in its spread.
 *
 * @example Number(paceOf(atFitting({ mu: 0, sd: 0.4 })).spread.toFixed(4)) // 0.4717
 */
export const paceOf = ({ place, own, ofPlace, ofOwn, ofBoth }: Knowledge): Pace => ({
  lnK: place + own,
  spread: Math.sqrt(ofPlace + 2 * ofBoth + ofOwn + UNTOLD_SD ** 2),
});

/**
 * The spread of a pace once so many more looks have told of it.
 *
 * @param s spread of ln load that one look leaves
 * @example sureness(0.5, 0, 0.3) // 0.5
 */
export const sureness = (spread: number, looks: number, s: number): number => {
  const told = spread ** 2 - UNTOLD_SD ** 2;
  return Math.sqrt(1 / (1 / told + looks / s ** 2) + UNTOLD_SD ** 2);
};

/**
 * What is known of the place, whatever sits in it.
 *
 * @example beliefOf(atFitting({ mu: 0.1, sd: 0.01 })) // { mu: 0.1, sd: 0.05 }
 */
export const beliefOf = ({ place, ofPlace }: Knowledge): Belief => ({
  mu: place,
  sd: Math.max(LEAST_SD, Math.sqrt(ofPlace)),
});

/**
 * The belief a new filter in the same place starts with: what the last one taught, a little less sure;
 * much less where something lasting about the home changed meanwhile.
 *
 * @example carried({ mu: 0.3, sd: 0.9 }) // { mu: 0.3, sd: 0.6 }
 */
export const carried = ({ mu, sd }: Belief, hasChanged = false): Belief => ({
  mu,
  sd: Math.min(MOST_SD_CARRIED, Math.sqrt(sd ** 2 + (hasChanged ? CHANGED_SD : DRIFT_SD) ** 2)),
});
