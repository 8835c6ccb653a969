import type { JudgedReading } from "../history/readings-taken";
import { daysFrom, type PlainDate } from "../quantities/plain-date";
import type { ReadingKind } from "./reading-kinds";
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
/** From so many values on a line says a day: two make a line through anything. */
const LEAST_DATED = 3;
/** A rise by so much is somebody’s doing, in the kind’s own unit: water was let in. Our choice. */
const TOPPED_UP_BY: Partial<Record<ReadingKind, number>> = { "boiler-pressure-bar": 0.25 };

/**
 * The readings since something was put right, and of those that lie close together the last: what a cleaning or a
 * filling moved is no drift.
 *
 * @param since the last day on which a job put right what is read; null where none did
 * @example lately([], null) // []
 */
export function lately(
  readings: readonly JudgedReading[],
  since: PlainDate | null,
): JudgedReading[] {
  const jump = readings[0] && TOPPED_UP_BY[readings[0].taken.kind];
  const valueOf = ({ taken }: JudgedReading) => Number(taken.value);
  const from = readings.findLastIndex(
    (each, i) =>
      (since !== null && each.event.date < since) ||
      (jump !== undefined &&
        i + 1 < readings.length &&
        valueOf(readings[i + 1]!) - valueOf(each) >= jump),
  );
  // From the last one back, so that what was read today counts.
  const kept: JudgedReading[] = [];
  for (const each of readings.slice(from + 1).toReversed()) {
    const after = kept[0];
    if (!after || daysFrom(each.event.date, after.event.date) >= LEAST_SPAN_DAYS)
      kept.unshift(each);
  }
  return kept;
}

type Limits = Record<string, number | null | undefined>;

/**
 * Where readings of one kind at one place are going, toward the limit they were last judged by; null
 * for words, for fewer than two values a month apart, and where there is no limit on that side. Two values say
 * where it goes and no day.
 *
 * @param readings of one kind and place, the oldest first
 * @param since the last day on which a job put right what is read
 * @example goingOf([]) // null
 */
export function goingOf(
  readings: readonly JudgedReading[],
  since: PlainDate | null = null,
): Going | null {
  const counted = lately(readings, since);
  const series = trendSeries(counted);
  const last = counted.at(-1);
  if (!last || series.length < 2) return null;
  const { watchFrom, watchTo } = last.judgement.facts as Limits;
  const slope = trend({ series, limit: 0, direction: "below" }).slopePerYear ?? 0;
  const falls = slope < 0;
  const limit = falls ? watchFrom : watchTo;
  if (limit === null || limit === undefined) return null;
  const found = trend({ series, limit, direction: falls ? "below" : "above" });
  const value = series.at(-1)!.value;
  const isBeyond = falls ? value < limit : value > limit;
  const isDated = isBeyond || series.length >= LEAST_DATED;
  const trendHere = isDated ? found : { ...found, crossing: null };
  return { trend: trendHere, limit, falls, isBeyond };
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
