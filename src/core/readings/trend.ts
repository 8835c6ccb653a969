import { mean, median } from "simple-statistics";
import { z } from "zod";
import { fromDay, toDay, type DayNumber, type PlainDate } from "../quantities/plain-date";
import { dateSchema, optional } from "../quantities/schemas";
import { isBelow, roundPhysical } from "../quantities/rounding";

const DAYS_PER_YEAR = 365.25;
/** Past this a straight line says nothing any more, years from the last reading. */
const MOST_YEARS_AHEAD = 30;
/** One in ten of the slopes between two readings lies below, and one above, the band that is given. */
const BAND_SHARE = 0.1;

export const TREND_DIRECTIONS = ["below", "above"] as const;

export const trendInput = z.strictObject({
  series: z.array(
    z.strictObject({
      date: dateSchema,
      value: z.number(),
      /** What it was measured with: two meters differ by an offset that is no drift. */
      instrument: optional(z.string()),
    }),
  ),
  limit: z.number(),
  /** The side of the limit that is bad. */
  direction: z.enum(TREND_DIRECTIONS),
});

const maybeDate = dateSchema.nullable();
export const trendOutput = z.strictObject({
  slopePerYear: z.number().nullable(),
  low: z.number().nullable(),
  high: z.number().nullable(),
  crossing: z.strictObject({ early: maybeDate, likely: maybeDate, late: maybeDate }).nullable(),
  n: z.number().int(),
  confidence: z.enum(["none", "thin", "fair", "good"]),
  /** The days on which another meter took over; only where one did. */
  meterChanges: z.array(dateSchema).optional(),
});
export type Trend = z.output<typeof trendOutput>;

type Point = { day: DayNumber; value: number; instrument: string | undefined };
type Series = z.output<typeof trendInput>["series"];

/** One point a day and meter, in order: readings of the same day are averaged. */
function pointsOf(series: Series): Point[] {
  const byDay = new Map<string, Point & { values: number[] }>();
  for (const { date, value, instrument } of series) {
    const key = `${date} ${instrument ?? ""}`;
    const point = byDay.get(key) ?? { day: toDay(date), value, instrument, values: [] };
    byDay.set(key, { ...point, values: [...point.values, value] });
  }
  return [...byDay.values()]
    .map(({ day, instrument, values }) => ({ day, instrument, value: mean(values) }))
    .sort((a, b) => a.day - b.day);
}

/** The days on which a meter read that was not the one before. */
const meterChangesOf = (points: readonly Point[]): PlainDate[] =>
  points.flatMap(({ day, instrument }, i) =>
    i > 0 && points[i - 1]!.instrument !== instrument ? fromDay(day) : [],
  );

const ascending = (values: readonly number[]) => [...values].sort((a, b) => a - b);

/**
 * The value below which a share of the sorted values lies, on the straight line between the two at
 * (n − 1) · share: the contract's definition, which is none of the library's.
 */
function quantile(sorted: readonly number[], share: number): number {
  const at = (sorted.length - 1) * share;
  const below = Math.floor(at);
  const above = Math.min(sorted.length - 1, below + 1);
  return sorted[below]! + (sorted[above]! - sorted[below]!) * (at - below);
}

function slopesOf(points: readonly Point[]): number[] {
  const slopes = [];
  for (let i = 0; i < points.length; i++)
    for (let j = i + 1; j < points.length; j++)
      if (points[i]!.instrument === points[j]!.instrument)
        slopes.push(
          (points[j]!.value - points[i]!.value) /
            ((points[j]!.day - points[i]!.day) / DAYS_PER_YEAR),
        );
  return ascending(slopes);
}

const confidenceOf = (n: number) => (n < 2 ? "none" : n < 3 ? "thin" : n < 5 ? "fair" : "good");

/**
 * Where a reading is going: the median of the slopes between any two of its values (so that one bad
 * reading bends nothing), in its own unit a year, and when that line crosses a limit; null where it
 * never does within thirty years. Two readings are compared only where one meter took both; the line
 * goes through what the last meter read.
 *
 * @source docs/sources.md#trends
 * @example trend({ series: [], limit: 3, direction: "below" }).confidence // "none"
 */
export function trend({ series, limit, direction }: z.output<typeof trendInput>): Trend {
  const points = pointsOf(series);
  const instrument = points.at(-1)?.instrument;
  const isUsed = (point: Point) =>
    point.instrument === instrument ||
    points.some((each) => each !== point && each.instrument === point.instrument);
  const n = points.filter(isUsed).length;
  const meterChanges = meterChangesOf(points);
  const slopes = slopesOf(points);
  const [slope, low, high] =
    slopes.length === 0
      ? [null, null, null]
      : [quantile(slopes, 0.5), quantile(slopes, BAND_SHARE), quantile(slopes, 1 - BAND_SHARE)];
  const figure = (value: number | null) => (value === null ? null : roundPhysical(value));
  return {
    slopePerYear: figure(slope),
    low: figure(low),
    high: figure(high),
    crossing: crossingOf(points, slope, low, high, limit, direction),
    n,
    confidence: confidenceOf(n),
    ...(meterChanges.length > 0 ? { meterChanges } : {}),
  };
}

function crossingOf(
  points: readonly Point[],
  slope: number | null,
  low: number | null,
  high: number | null,
  limit: number,
  direction: (typeof TREND_DIRECTIONS)[number],
): Trend["crossing"] {
  const last = points.at(-1);
  if (!last) return null;
  const isBeyond = ({ value }: Point) =>
    direction === "below" ? isBelow(value, limit) : isBelow(limit, value);
  if (isBeyond(last)) {
    const since = points[points.findLastIndex((point) => !isBeyond(point)) + 1]!;
    const date = fromDay(since.day);
    return { early: date, likely: date, late: date };
  }
  if (slope === null || low === null || high === null) return null;
  const lately = points.filter((point) => point.instrument === last.instrument);
  const middleDay = median(lately.map((point) => point.day));
  const middle = median(lately.map((point) => point.value));
  const sign = direction === "below" ? -1 : 1;
  const crosses = (perYear: number): PlainDate | null => {
    if (sign * perYear <= 0) return null;
    const day = middleDay + ((limit - middle) / perYear) * DAYS_PER_YEAR;
    // The last bits of a division must not cost a day.
    const whole = Math.max(last.day, Math.ceil(day - 1e-9));
    return whole - last.day > MOST_YEARS_AHEAD * DAYS_PER_YEAR ? null : fromDay(whole);
  };
  if (sign * slope <= 0) return null;
  const [steep, shallow] = direction === "below" ? [low, high] : [high, low];
  return { early: crosses(steep), likely: crosses(slope), late: crosses(shallow) };
}
