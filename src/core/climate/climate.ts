import { z } from "zod";
import {
  civil,
  dayNumber,
  fromDay,
  toDay,
  type DayNumber,
  type PlainDate,
} from "../quantities/plain-date";
import {
  checkLength,
  checkSpan,
  dateSchema,
  monthListSchema,
  withDefault,
} from "../quantities/schemas";
import { isBelow, reaches, roundPhysical } from "../quantities/rounding";

/** Kelvin between the day's low and high where nobody has said; our choice, a mid-latitude mean. */
export const DEFAULT_DAILY_RANGE_K = 10;
/** Standard deviation of real daily means about the normal, K; our choice for inland climates. */
export const DEFAULT_SPREAD_K = 4.5;

export const climateSchema = z.strictObject({
  monthlyMeanC: monthListSchema,
  heatingDesignC: z.number(),
  coolingDesignMeanC: z.number(),
  dailyRangeC: withDefault(
    z.union([z.number().min(0), z.array(z.number().min(0)).length(12)]),
    DEFAULT_DAILY_RANGE_K,
  ),
  spreadC: withDefault(z.number().min(0), DEFAULT_SPREAD_K),
});
export type Climate = z.output<typeof climateSchema>;

export const actualsSchema = withDefault(
  z.array(z.strictObject({ date: dateSchema, meanC: z.number() })),
  [],
);
export type Actual = z.output<typeof actualsSchema>[number];

export const climateInput = z
  .strictObject({
    climate: climateSchema,
    actuals: actualsSchema,
    from: dateSchema,
    to: dateSchema,
  })
  .superRefine(checkSpan)
  .superRefine(checkLength);

export const SEASONS = [
  "heatingStart",
  "heatingEnd",
  "coolingStart",
  "coolingEnd",
  "firstWarmDay",
  "firstFrost",
  "lastFrost",
  "leafFall",
  "snowFrom",
  "snowTo",
] as const;
export type Season = (typeof SEASONS)[number];

const datesSchema = z.array(dateSchema);
export const climateOutput = z.strictObject({
  days: z.array(
    z.strictObject({
      date: dateSchema,
      meanC: z.number(),
      source: z.enum(["normal", "actual"]),
    }),
  ),
  seasons: z.strictObject(
    Object.fromEntries(SEASONS.map((season) => [season, datesSchema])) as Record<
      Season,
      typeof datesSchema
    >,
  ),
});
export type ClimateResult = z.output<typeof climateOutput>;

/** Seven-day mean of normals at which houses here start and stop heating or cooling, °C. */
const HEATING_BOUND_C = 14;
const COOLING_BOUND_C = 18;
const LEAF_FALL_BOUND_C = 9;
const SNOW_BOUND_C = -1;
const WARM_AFTERNOON_C = 20;
const FROST_C = 0;

/**
 * The monthly values at one day: a month's value belongs to its 15th, days between two 15ths lie on the
 * straight line, and December runs on into January. In the unit of the values.
 *
 * @param monthly twelve values, January first
 * @example normalOn([0, 31, 0, 0, 0, 0, 0, 0, 0, 0, 0, 0], Date.UTC(2026, 0, 25) / 86_400_000) // 10
 */
export function normalOn(monthly: readonly number[], day: DayNumber): number {
  const { year, month, day: dayOfMonth } = civil(day);
  const left = dayOfMonth >= 15 ? month : month - 1;
  const start = dayNumber(left === 0 ? year - 1 : year, left === 0 ? 12 : left, 15);
  const end = dayNumber(left === 12 ? year + 1 : year, left === 12 ? 1 : left + 1, 15);
  const before = monthly[(left + 11) % 12]!;
  const after = monthly[left % 12]!;
  return before + ((after - before) * (day - start)) / (end - start);
}

/**
 * Normals of every day from `from` to `to`, both inclusive, °C; the same as `normalOn` for each, a
 * month at a time. Empty where the span ends before it starts.
 *
 * @example [...normals([5, 5, 5, 5, 5, 5, 5, 5, 5, 5, 5, 5], 0, 1)] // [5, 5]
 */
export function normals(monthly: readonly number[], from: DayNumber, to: DayNumber): Float64Array {
  const values = new Float64Array(Math.max(0, to - from + 1));
  let day = from;
  while (day <= to) {
    const { year, month, day: dayOfMonth } = civil(day);
    const left = dayOfMonth >= 15 ? month : month - 1;
    const start = dayNumber(left === 0 ? year - 1 : year, left === 0 ? 12 : left, 15);
    const end = dayNumber(left === 12 ? year + 1 : year, left === 12 ? 1 : left + 1, 15);
    const before = monthly[(left + 11) % 12]!;
    const slope = (monthly[left % 12]! - before) / (end - start);
    for (; day < end && day <= to; day++) values[day - from] = before + slope * (day - start);
  }
  return values;
}

/**
 * The last actual given for each day from one day to another, both inclusive, °C by day number; days
 * without one are missing.
 *
 * @example [...actualsByDay([{ date: "1970-01-02", meanC: 4 }, { date: "1970-01-02", meanC: 6 }], 0, 9)] // [[1, 6]]
 */
export function actualsByDay(
  actuals: readonly Actual[],
  from: DayNumber,
  to: DayNumber,
): ReadonlyMap<DayNumber, number> {
  const byDay = new Map<DayNumber, number>();
  // Days compare as they are written; reading each of three years for a filter of weeks takes longer.
  const [first, last] = [fromDay(from), fromDay(to)];
  for (const { date, meanC } of actuals)
    if (date >= first && date <= last) byDay.set(toDay(date), meanC);
  return byDay;
}

/** Both figures of every day that the seasons hang on, °C. */
type DailyNormals = { from: DayNumber; means: Float64Array; ranges: Float64Array };

function dailyNormals(climate: Climate, from: DayNumber, to: DayNumber): DailyNormals {
  const means = normals(climate.monthlyMeanC, from, to);
  const ranges =
    typeof climate.dailyRangeC === "number"
      ? new Float64Array(means.length).fill(climate.dailyRangeC)
      : normals(climate.dailyRangeC, from, to);
  return { from, means, ranges };
}

/** The mean of the normals of a week ending on a day, °C. */
function weekEnding({ from, means }: DailyNormals, day: DayNumber): number {
  let sum = 0;
  for (let i = day - from - 6; i <= day - from; i++) sum += means[i]!;
  return sum / 7;
}

export type SeasonDays = Readonly<Record<Season, readonly DayNumber[]>>;

/**
 * The days on which the seasons turn. They follow the normals only and are found by the direction
 * of a crossing, never by month, so they hold in either hemisphere and are empty where a bound is
 * never crossed.
 *
 * @example seasonDays(snapshot([]).home.climate, 20454, 20818).heatingStart.length // 1
 */
export function seasonDays(climate: Climate, from: DayNumber, to: DayNumber): SeasonDays {
  const daily = dailyNormals(climate, from - 7, to);
  const week = (day: DayNumber) => weekEnding(daily, day);
  const { means, ranges } = daily;
  const low = (day: DayNumber) => means[day - daily.from]! - ranges[day - daily.from]! / 2;
  const high = (day: DayNumber) => means[day - daily.from]! + ranges[day - daily.from]! / 2;
  const crossings = (
    value: (day: DayNumber) => number,
    bound: number,
    direction: "falls" | "rises",
  ) => {
    const found = [];
    for (let day = from; day <= to; day++) {
      const was = reaches(value(day - 1), bound);
      const is = reaches(value(day), bound);
      if (was !== is && is === (direction === "rises")) found.push(day);
    }
    return found;
  };
  return {
    heatingStart: crossings(week, HEATING_BOUND_C, "falls"),
    heatingEnd: crossings(week, HEATING_BOUND_C, "rises"),
    coolingStart: crossings(week, COOLING_BOUND_C, "rises"),
    coolingEnd: crossings(week, COOLING_BOUND_C, "falls"),
    firstWarmDay: crossings(high, WARM_AFTERNOON_C, "rises"),
    firstFrost: crossings(low, FROST_C, "falls"),
    lastFrost: crossings(low, FROST_C, "rises"),
    leafFall: crossings(week, LEAF_FALL_BOUND_C, "falls"),
    snowFrom: crossings(week, SNOW_BOUND_C, "falls"),
    snowTo: crossings(week, SNOW_BOUND_C, "rises"),
  };
}

/** Stretches of the year by the seven-day mean of the normals. */
export const STRETCHES = ["heating", "cooling", "snow", "growth"] as const;
export type Stretch = (typeof STRETCHES)[number];

/**
 * Whether each day from `from` to `to`, both inclusive, lies in a stretch of the year: 1 or 0 a day, by
 * the usual mean of the week that ends on it.
 *
 * @source docs/sources.md#climate
 * @example [...stretchDays({ monthlyMeanC: Array(12).fill(5), dailyRangeC: 10 }, "heating", 0, 1)] // [1,1]
 */
export function stretchDays(
  climate: Climate,
  stretch: Stretch,
  from: DayNumber,
  to: DayNumber,
): Uint8Array {
  const daily = dailyNormals(climate, from - 6, to);
  const inside = (mean: number) => {
    switch (stretch) {
      case "heating":
        return isBelow(mean, HEATING_BOUND_C);
      case "cooling":
        return reaches(mean, COOLING_BOUND_C);
      case "snow":
        return isBelow(mean, SNOW_BOUND_C);
      case "growth":
        return reaches(mean, LEAF_FALL_BOUND_C);
    }
  };
  return Uint8Array.from({ length: to - from + 1 }, (_, i) =>
    inside(weekEnding(daily, from + i)) ? 1 : 0,
  );
}

/**
 * Whether a home is usually being heated in the week that ends on a day.
 *
 * @source docs/sources.md#climate
 * @example isHeatingWeather(snapshot([]).home.climate, "2026-01-15") // true
 */
export const isHeatingWeather = (climate: Climate, on: PlainDate): boolean =>
  stretchDays(climate, "heating", toDay(on), toDay(on))[0] === 1;

/**
 * Daily mean temperatures over a span, and the days on which the seasons turn.
 *
 * @source docs/sources.md#climate
 * @example climateDays({ climate: snapshot([]).home.climate, actuals: [], from: today, to: today }).days[0].source // "normal"
 */
export function climateDays(input: z.output<typeof climateInput>): ClimateResult {
  const { climate } = input;
  const from = toDay(input.from);
  const to = toDay(input.to);
  const means = normals(climate.monthlyMeanC, from, to);
  const actuals = actualsByDay(input.actuals, from, to);
  const days = [];
  for (let day = from; day <= to; day++) {
    const actual = actuals.get(day);
    days.push({
      date: fromDay(day),
      meanC: roundPhysical(actual ?? means[day - from]!),
      source: actual === undefined ? ("normal" as const) : ("actual" as const),
    });
  }
  const turns = seasonDays(climate, from, to);
  return {
    days,
    seasons: Object.fromEntries(
      SEASONS.map((season) => [season, turns[season].map(fromDay)]),
    ) as ClimateResult["seasons"],
  };
}
