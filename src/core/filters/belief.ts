import { z } from "zod";

/**
 * What is known of a place's own factor k: ln k is normal with mean `mu` and spread `sd`. k says
 * how many times as fast this slot loads as its rated life supposes.
 */
export const beliefSchema = z.strictObject({ mu: z.number(), sd: z.number().positive() });
export type Belief = z.output<typeof beliefSchema>;

/** Before any look: right on average, and between 0.6 and 1.7 times the rated pace in eight homes of ten. */
export const FIRST_BELIEF: Belief = { mu: 0, sd: 0.4 };

/** Where one in ten lies below, or above, on a standard normal. */
export const TENTH = 1.2816;

/** A belief never grows surer than this: next winter is not this one. */
const LEAST_SD = 0.08;
const DRIFT_SD = 0.05;
const MOST_SD_CARRIED = 0.6;

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

/** What an eye's grade says of the load (1 = due), and the spread of ln load it leaves. */
export type Seen = { load: number; s: number };
const BLOCKED: Seen = { load: 1.2, s: 0.25 };
/** @source docs/sources.md#looks */
export const SEEN_BY_GRADE: Readonly<Record<Grade, Seen>> = {
  clean: { load: 0.1, s: 0.6 },
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
const LEAST_LOAD_BY_PRESSURE = 0.15;
const LEAST_S_BY_PRESSURE = 0.2;
/** Relative error of a drop read on a house gauge. */
const GAUGE_ERROR = 0.035;

/**
 * The load a pressure drop speaks of: the drop grows with the square of the load and reaches
 * `finalRatio` times the clean one when the filter is due. `s` is the spread of the load's logarithm.
 *
 * @param dropPa, cleanDropPa in Pa; clean above 0
 * @param finalRatio above 1
 * @source docs/sources.md#looks
 * @example seenByPressure(100, 50, 2).load // 1
 */
export function seenByPressure(dropPa: number, cleanDropPa: number, finalRatio: number): Seen {
  const share = Math.max(0, (dropPa / cleanDropPa - 1) / (finalRatio - 1));
  const load = Math.max(LEAST_LOAD_BY_PRESSURE, Math.sqrt(share));
  const rise = (finalRatio - 1) * load * load;
  return { load, s: Math.max(LEAST_S_BY_PRESSURE, (GAUGE_ERROR * (1 + rise)) / rise) };
}

/**
 * What a look teaches, as a belief weighed with the one before by how sure each is. Never surer than
 * 0.08: next winter is not this one.
 *
 * @param ratedLoad the load that the rated life supposes on the day of the look (k = 1), above 0
 * @source docs/sources.md#looks; normal beliefs of ln k, combined by their inverse variances
 * @example learn({ mu: 0, sd: 0.4 }, { load: 1, s: 0.4 }, 1).mu // 0
 */
export function learn(belief: Belief, seen: Seen, ratedLoad: number): Belief {
  const before = 1 / belief.sd ** 2;
  const weight = 1 / seen.s ** 2;
  const said = Math.log(seen.load) - Math.log(ratedLoad);
  return {
    mu: (before * belief.mu + weight * said) / (before + weight),
    sd: Math.max(LEAST_SD, 1 / Math.sqrt(before + weight)),
  };
}

/**
 * The belief a new filter in the same place starts with: what the last one taught, a little less sure.
 *
 * @example carried({ mu: 0.3, sd: 0.9 }) // { mu: 0.3, sd: 0.6 }
 */
export const carried = (belief: Belief): Belief => ({
  mu: belief.mu,
  sd: Math.min(MOST_SD_CARRIED, Math.sqrt(belief.sd ** 2 + DRIFT_SD ** 2)),
});
