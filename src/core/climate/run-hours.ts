import { z } from "zod";
import { civil, fromDay, toDay, type DayNumber } from "../quantities/plain-date";
import {
  checkLength,
  checkSpan,
  dateSchema,
  hoursOfDaySchema,
  monthDaySchema,
  optional,
  positiveSchema,
  shareSchema,
  withDefault,
} from "../quantities/schemas";
import { roundHours } from "../quantities/rounding";
import {
  actualsByDay,
  actualsSchema,
  climateSchema,
  normals,
  type Actual,
  type Climate,
} from "./climate";

export const FAN_MODES = ["auto", "minimum", "continuous"] as const;

export const equipmentSchema = z.strictObject({
  heats: z.boolean(),
  cools: z.boolean(),
  /** Outdoor mean at which heating stops, °C; our choice for houses of ordinary insulation. */
  heatBalanceC: withDefault(z.number(), 16),
  /** Outdoor mean at which cooling starts, °C. */
  coolBalanceC: withDefault(z.number(), 18),
  /** Capacity over the design load; 1.4 and 1.2 are the usual sizing margins of the trade. */
  heatOversize: withDefault(positiveSchema, 1.4),
  coolOversize: withDefault(positiveSchema, 1.2),
  useShare: withDefault(shareSchema, 1),
  fan: z
    .strictObject({
      mode: z.enum(FAN_MODES),
      hours: optional(hoursOfDaySchema),
      level: optional(shareSchema),
    })
    .superRefine((fan, context) => {
      if (fan.mode === "minimum" && fan.hours === undefined)
        context.addIssue({
          code: "custom",
          path: ["hours"],
          message: "a fan that runs a minimum needs its hours a day",
        });
    }),
  inUse: optional(z.array(z.strictObject({ from: monthDaySchema, to: monthDaySchema }))),
});
export type Equipment = z.output<typeof equipmentSchema>;

export const measuredSchema = withDefault(
  z.array(z.strictObject({ date: dateSchema, hours: hoursOfDaySchema })),
  [],
);
export type Measured = z.output<typeof measuredSchema>[number];

export const runHoursInput = z
  .strictObject({
    climate: climateSchema,
    actuals: actualsSchema,
    equipment: equipmentSchema,
    measured: measuredSchema,
    from: dateSchema,
    to: dateSchema,
  })
  .superRefine(checkSpan)
  .superRefine(checkLength);

export const runHoursOutput = z.strictObject({
  days: z.array(
    z.strictObject({
      date: dateSchema,
      heatingHours: z.number(),
      coolingHours: z.number(),
      runHours: z.number(),
      source: z.enum(["model", "measured"]),
    }),
  ),
  totalHours: z.number(),
});
export type RunHoursResult = z.output<typeof runHoursOutput>;

/** Midpoints of five equal slices of a standard normal: how real days scatter about their normal. */
const SCATTER = [-1.2816, -0.5244, 0, 0.5244, 1.2816] as const;
/** The least distance from balance to design temperature, K; keeps a mild climate from dividing by nothing. */
const LEAST_DESIGN_SPAN_K = 5;

/** A line from 0 at the balance temperature, `slope` hours a kelvin, within a day's 24. */
type Line = { slope: number; balanceC: number; fullC: number };

function heatingLine(climate: Climate, equipment: Equipment): Line {
  const span = Math.max(LEAST_DESIGN_SPAN_K, equipment.heatBalanceC - climate.heatingDesignC);
  const slope = equipment.heats ? -24 / equipment.heatOversize / span : 0;
  return lineOf(slope, equipment.heatBalanceC);
}

function coolingLine(climate: Climate, equipment: Equipment): Line {
  const span = Math.max(LEAST_DESIGN_SPAN_K, climate.coolingDesignMeanC - equipment.coolBalanceC);
  const slope = equipment.cools ? 24 / equipment.coolOversize / span : 0;
  return lineOf(slope, equipment.coolBalanceC);
}

const lineOf = (slope: number, balanceC: number): Line => ({
  slope,
  balanceC,
  fullC: slope === 0 ? balanceC : balanceC + 24 / slope,
});

function hoursAt(line: Line, meanC: number): number {
  const hours = line.slope * (meanC - line.balanceC);
  return hours < 0 ? 0 : hours > 24 ? 24 : hours;
}

/** The mean of the hours over real days scattered about a normal; on a straight stretch, its own. */
function scatteredHours(line: Line, meanC: number, spreadC: number): number {
  const reach = SCATTER[4] * spreadC;
  const { balanceC, fullC } = line;
  const [low, high] = balanceC < fullC ? [balanceC, fullC] : [fullC, balanceC];
  const isStraight =
    line.slope === 0 ||
    meanC + reach <= low ||
    meanC - reach >= high ||
    (meanC - reach >= low && meanC + reach <= high);
  if (isStraight) return hoursAt(line, meanC);
  let sum = 0;
  for (const z of SCATTER) sum += hoursAt(line, meanC + spreadC * z);
  return sum / SCATTER.length;
}

/**
 * Whether a day lies inside the spells a unit is in use, given as first and last day of the year and
 * running over New Year's Eve where the last comes first; always, when none are given.
 *
 * @example inUseOn({ inUse: [{ from: "10-01", to: "04-30" }] }, 0) // true
 */
export function inUseOn(equipment: Equipment, day: DayNumber): boolean {
  if (!equipment.inUse) return true;
  const { month, day: dayOfMonth } = civil(day);
  const key = month * 100 + dayOfMonth;
  return equipment.inUse.some((spell) => {
    const from = Number(spell.from.slice(0, 2)) * 100 + Number(spell.from.slice(3));
    const to = Number(spell.to.slice(0, 2)) * 100 + Number(spell.to.slice(3));
    return from <= to ? from <= key && key <= to : key >= from || key <= to;
  });
}

export type RunDays = {
  heating: Float64Array;
  cooling: Float64Array;
  run: Float64Array;
  measured: Uint8Array;
};

/**
 * Unrounded hours of every day from `from` to `to`, both inclusive: what wear is summed from. A meter's
 * reading takes the place of the model on its days.
 *
 * @source docs/sources.md#run-hours
 * @example runDays(snapshot([]).home.climate, [{ date: "2026-03-14", meanC: -24 }], snapshot([]).systems[0].equipment, [], 20526, 20526).heating[0] // 24 / 1.4
 */
export function runDays(
  climate: Climate,
  actuals: readonly Actual[],
  equipment: Equipment,
  measured: readonly Measured[],
  from: DayNumber,
  to: DayNumber,
): RunDays {
  const measuredOn = new Map(measured.map((entry) => [toDay(entry.date), entry.hours]));
  return runDaysBy(climate, actualsByDay(actuals, from, to), equipment, measuredOn, from, to);
}

/**
 * The same with what was observed and measured by day number already: °C, and hours.
 *
 * @example runDaysBy(snapshot([]).home.climate, new Map([[20526, -24]]), snapshot([]).systems[0].equipment, new Map(), 20526, 20526).heating[0] // 24 / 1.4
 */
export function runDaysBy(
  climate: Climate,
  actualOn: ReadonlyMap<DayNumber, number>,
  equipment: Equipment,
  measuredOn: ReadonlyMap<DayNumber, number>,
  from: DayNumber,
  to: DayNumber,
): RunDays {
  const size = Math.max(0, to - from + 1);
  const means = normals(climate.monthlyMeanC, from, to);
  const days: RunDays = {
    heating: new Float64Array(size),
    cooling: new Float64Array(size),
    run: new Float64Array(size),
    measured: new Uint8Array(size),
  };
  const { fan, useShare } = equipment;
  const heatingAt = heatingLine(climate, equipment);
  const coolingAt = coolingLine(climate, equipment);
  for (let i = 0; i < size; i++) {
    const day = from + i;
    const used = inUseOn(equipment, day);
    if (used) {
      const actual = actualOn.get(day);
      const spread = actual === undefined ? climate.spreadC : 0;
      const meanC = actual ?? means[i]!;
      let heating = scatteredHours(heatingAt, meanC, spread);
      let cooling = scatteredHours(coolingAt, meanC, spread);
      heating *= useShare;
      cooling *= useShare;
      days.heating[i] = heating;
      days.cooling[i] = cooling;
      days.run[i] =
        fan.mode === "continuous"
          ? 24 * (fan.level ?? 1)
          : Math.min(
              24,
              fan.mode === "minimum"
                ? Math.max(heating + cooling, fan.hours ?? 0)
                : heating + cooling,
            );
    }
    const read = measuredOn.get(day);
    if (read !== undefined) {
      days.run[i] = read;
      days.measured[i] = 1;
    }
  }
  return days;
}

/**
 * Hours a day that an air system runs: by its model of heating, cooling and fan, replaced by what
 * a meter read on the days there is a reading.
 *
 * @source docs/sources.md#run-hours; hours rise in a straight line from balance to design temperature
 * @example runHours({ climate: snapshot([]).home.climate, actuals: [{ date: today, meanC: -24 }], equipment: snapshot([]).systems[0].equipment, measured: [], from: today, to: today }).totalHours // 17.1429
 */
export function runHours(input: z.output<typeof runHoursInput>): RunHoursResult {
  const from = toDay(input.from);
  const to = toDay(input.to);
  const hours = runDays(input.climate, input.actuals, input.equipment, input.measured, from, to);
  const days = Array.from(hours.run, (run, i) => ({
    date: fromDay(from + i),
    heatingHours: roundHours(hours.heating[i]!),
    coolingHours: roundHours(hours.cooling[i]!),
    runHours: roundHours(run),
    source: hours.measured[i] ? ("measured" as const) : ("model" as const),
  }));
  return { days, totalHours: roundHours(hours.run.reduce((sum, run) => sum + run, 0)) };
}
