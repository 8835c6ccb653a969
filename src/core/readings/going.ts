import type { JudgedReading } from "../history/readings-taken";
import { daysFrom, type PlainDate } from "../quantities/plain-date";
import { trend, type Trend } from "./trend";

/** A value as a trend takes it. */
export type TrendPoint = { date: PlainDate; value: number; instrument: string | undefined };

/**
 * The measured values of some readings with what each was read with; words are passed over.
 *
 * @example trendSeries([]) // []
 */
export const trendSeries = (readings: readonly JudgedReading[]): TrendPoint[] =>
  readings.flatMap(({ event, taken }) =>
    typeof taken.value === "number"
      ? [{ date: event.date, value: taken.value, instrument: taken.conditions?.instrumentId }]
      : [],
  );

/** Where the values of a series are going, and the limit on that side. */
export type Going = {
  trend: Trend;
  limit: number;
  falls: boolean;
  /** The last value lies beyond the limit already: the crossing is when that began. */
  isBeyond: boolean;
};

/** Values closer together than this, days, say nothing of a pace per year. Our choice. */
const LEAST_SPAN_DAYS = 30;

type Limits = Record<string, number | null | undefined>;

/**
 * Where readings of one kind at one place are going, toward the limit they were last judged by; null
 * for words, for fewer than two values or values within a month, and where there is no limit on that side.
 *
 * @param readings of one kind and place, the oldest first
 * @example goingOf([]) // null
 */
export function goingOf(readings: readonly JudgedReading[]): Going | null {
  const series = trendSeries(readings);
  const last = readings.at(-1);
  if (!last || series.length < 2) return null;
  if (daysFrom(series[0]!.date, series.at(-1)!.date) < LEAST_SPAN_DAYS) return null;
  const { watchFrom, watchTo } = last.judgement.facts as Limits;
  const slope = trend({ series, limit: 0, direction: "below" }).slopePerYear ?? 0;
  const falls = slope < 0;
  const limit = falls ? watchFrom : watchTo;
  if (limit === null || limit === undefined) return null;
  const found = trend({ series, limit, direction: falls ? "below" : "above" });
  const value = series.at(-1)!.value;
  return { trend: found, limit, falls, isBeyond: falls ? value < limit : value > limit };
}

/**
 * Readings by kind and place, each series the oldest first.
 *
 * @example seriesByPlace([]) // []
 */
export function seriesByPlace(readings: readonly JudgedReading[]): JudgedReading[][] {
  const all = new Map<string, JudgedReading[]>();
  for (const reading of readings) {
    const { unitId, partId } = reading.event;
    const key = `${partId ?? unitId ?? ""} ${reading.taken.kind}`;
    all.set(key, [...(all.get(key) ?? []), reading]);
  }
  return [...all.values()].map((series) =>
    series.sort((a, b) => (a.event.date < b.event.date ? -1 : a.event.date > b.event.date ? 1 : 0)),
  );
}
