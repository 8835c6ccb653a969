import { seasonDays } from "../climate/climate";
import { fromDay, toDay, type PlainDate } from "../quantities/plain-date";
import { CAPACITOR_STRATEGIES } from "./judge";
import { trendSeries } from "./going";
import { trend } from "./trend";
import type { JudgedReading } from "../history/readings-taken";
import type { HomeSnapshot } from "../history/home-snapshot";

/** What a capacitor’s `after` trigger waits for: the day by which a drifting one is to be replaced. */
export const DRIFTING_OUT = "drifting-out";
/** The attribute of the capacitor, and the value that follows the drifting strategy. */
export const REPLACE_WHEN = { key: "replace-when", drifting: "drifting" } as const;

/** Replaced three weeks before the heat; our choice, as the outdoor coil’s rinsing. */
const BEFORE_HEAT_DAYS = 21;
/** A season of cooling after any day is over within two years. */
const SEASON_WITHIN_DAYS = 760;

export type Drift = {
  /** When it likely leaves its label’s limit. */
  likely: PlainDate;
  /** The end of the cooling season it would not last through. */
  seasonEnd: PlainDate;
  /** The day before that season by which it is to be replaced. */
  by: PlainDate;
};

/**
 * The drifting strategy: what leaves its label’s limit before a cooling season is over goes before
 * that season. Null where fewer than two values are known, it holds, or no summer is warm.
 *
 * @example driftOf(snapshot([]), []) // null
 */
export function driftOf(
  { home }: Pick<HomeSnapshot, "home">,
  readings: readonly JudgedReading[],
): Drift | null {
  const series = trendSeries(readings);
  const last = readings.at(-1);
  if (!last || series.length < 2 || typeof last.taken.rated !== "number") return null;
  // The strategy it was judged by; a tolerance printed on it beats both.
  const school = last.taken.school ?? home.capacitorStrategy ?? "label";
  const tolerance = last.taken.limits.tolerancePercent ?? CAPACITOR_STRATEGIES[school];
  const limit = last.taken.rated * (1 - tolerance / 100);
  const { crossing } = trend({ series, limit, direction: "below" });
  if (!crossing?.likely) return null;
  const cross = Math.max(toDay(crossing.likely), toDay(last.event.date));
  const [end] = seasonDays(home.climate, cross, cross + SEASON_WITHIN_DAYS).coolingEnd;
  if (end === undefined) return null;
  const starts = seasonDays(home.climate, end - SEASON_WITHIN_DAYS, end).coolingStart;
  const before = (starts.at(-1) ?? end) - BEFORE_HEAT_DAYS;
  const by = Math.max(before, toDay(last.event.date));
  return { likely: crossing.likely, seasonEnd: fromDay(end), by: fromDay(by) };
}
