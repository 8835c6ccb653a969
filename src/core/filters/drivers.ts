import { z } from "zod";
import { stretchDays, type Climate } from "../climate/climate";
import { toDay, type DayNumber } from "../quantities/plain-date";
import { checkSpan, countSchema, dateSchema, optional, shareSchema } from "../quantities/schemas";

export const AIR_SIDES = ["recirculated", "outdoor", "extract"] as const;
export type AirSide = (typeof AIR_SIDES)[number];

const id = optional(z.string());
const spell = { from: optional(dateSchema), to: optional(dateSchema) };

const spelled = <K extends string>(kind: K) =>
  z.strictObject({ id, kind: z.literal(kind), ...spell });
const counted = <K extends string>(kind: K) =>
  z.strictObject({ id, kind: z.literal(kind), count: countSchema, ...spell });
const begun = <K extends string>(kind: K) =>
  z.strictObject({ id, kind: z.literal(kind), from: dateSchema, to: optional(dateSchema) });
const dated = <K extends string>(kind: K) =>
  z.strictObject({ id, kind: z.literal(kind), on: dateSchema });

/** What makes a filter load faster or slower here than its rated life supposes, and when. */
export const driverSchema = z
  .discriminatedUnion("kind", [
    counted("shedding-pets"),
    counted("people"),
    spelled("indoor-smoking"),
    spelled("dusty-hobby"),
    begun("renovation"),
    dated("duct-cleaning"),
    dated("moved-in"),
    spelled("dusty-region"),
    spelled("busy-road"),
    begun("smoke-episode"),
    spelled("dryer-or-litter-beside"),
    spelled("cooking-grease"),
    z.strictObject({ id, kind: z.literal("bypass"), fraction: shareSchema, ...spell }),
    begun("building-nearby"),
    spelled("seed-fluff"),
    spelled("dryer-vent-near"),
  ])
  .superRefine((driver, context) => {
    if (!("on" in driver)) checkSpan(driver, context);
  });
export type Driver = z.output<typeof driverSchema>;
export type DriverKind = Driver["kind"];

/** Days of a passing driver, counting its own; practice: the dust of a duct cleaning settles in a fortnight, a new home's in four months. */
const DUCT_CLEANING_DAYS = 14;
const MOVED_IN_DAYS = 120;
const AFTERMATH_DAYS = 30;
/** Past four animals another one adds nothing that shows. */
const MOST_PETS = 4;
/** The base hours already suppose two people. */
const USUAL_PEOPLE = 2;
/** However many drivers meet, a day counts for half to six times its hours. */
const LEAST_MULTIPLIER = 0.5;
const MOST_MULTIPLIER = 6;

type Factors = Record<AirSide, number>;
const factors = (recirculated: number, outdoor: number, extract: number): Factors => ({
  recirculated,
  outdoor,
  extract,
});
/** @source docs/sources.md#drivers: experience of the trade, corrected at each place by its looks */
const FIXED = {
  "indoor-smoking": factors(1.4, 1, 1.3),
  "dusty-hobby": factors(1.3, 1, 1.2),
  renovation: factors(3, 1.2, 2),
  "duct-cleaning": factors(3, 1, 1),
  "moved-in": factors(1.4, 1, 1.2),
  "dusty-region": factors(1.25, 1.5, 1.1),
  "busy-road": factors(1.1, 1.4, 1.05),
  "smoke-episode": factors(1.5, 3, 1.2),
  "dryer-or-litter-beside": factors(1.15, 1, 1.1),
  "cooking-grease": factors(1.05, 1, 1.3),
  "building-nearby": factors(1.1, 2.5, 1.05),
  "seed-fluff": factors(1, 1.6, 1),
  "dryer-vent-near": factors(1, 1.4, 1),
} as const;
const RENOVATION_AFTERMATH = factors(1.5, 1, 1.3);
const PER_PET = factors(0.15, 0, 0.1);
const PER_PERSON = factors(0.05, 0, 0.03);

type Span = {
  from: DayNumber;
  to: DayNumber;
  factor: number;
  /** Acts on days of growth only. */
  grows?: boolean;
};

/** The spans of days on which one driver acts, and by what factor. */
function spansOf(driver: Driver, side: AirSide): Span[] {
  if ("on" in driver) {
    const from = toDay(driver.on);
    const days = driver.kind === "moved-in" ? MOVED_IN_DAYS : DUCT_CLEANING_DAYS;
    return [{ from, to: from + days - 1, factor: FIXED[driver.kind][side] }];
  }
  const from = driver.from === undefined ? -Infinity : toDay(driver.from);
  const to = driver.to === undefined ? Infinity : toDay(driver.to);
  switch (driver.kind) {
    case "shedding-pets":
      return [{ from, to, factor: 1 + PER_PET[side] * Math.min(MOST_PETS, driver.count) }];
    case "people":
      return [
        { from, to, factor: 1 + PER_PERSON[side] * Math.max(0, driver.count - USUAL_PEOPLE) },
      ];
    case "bypass":
      return [{ from, to, factor: 1 - driver.fraction }];
    case "renovation": {
      const work = { from, to, factor: FIXED.renovation[side] };
      const after = { from: to + 1, to: to + AFTERMATH_DAYS, factor: RENOVATION_AFTERMATH[side] };
      return Number.isFinite(to) ? [work, after] : [work];
    }
    case "seed-fluff":
      return [{ from, to, factor: FIXED["seed-fluff"][side], grows: true }];
    default:
      return [{ from, to, factor: FIXED[driver.kind][side] }];
  }
}

/** The days of growth, where a driver acts on those only; null where none does. */
const growthFor = (drivers: readonly Driver[], from: DayNumber, size: number, climate: Climate) =>
  drivers.some(({ kind }) => kind === "seed-fluff")
    ? stretchDays(climate, "growth", from, from + size - 1)
    : null;

/**
 * What one driver alone does to the dust of each day from `from`, `size` days long: 1 where it does not
 * act, and not clamped.
 *
 * @source docs/sources.md#drivers
 * @example [...driverFactors({ kind: "dusty-hobby" }, "recirculated", 0, 2, asked.climate)] // [1.3, 1.3]
 */
export function driverFactors(
  driver: Driver,
  side: AirSide,
  from: DayNumber,
  size: number,
  climate: Climate,
): Float64Array {
  const factors = new Float64Array(size).fill(1);
  const growth = growthFor([driver], from, size, climate);
  for (const span of spansOf(driver, side)) {
    const last = Math.min(size - 1, span.to - from);
    for (let i = Math.max(0, span.from - from); i <= last; i++)
      if (!span.grows || growth?.[i]) factors[i] = span.factor;
  }
  return factors;
}

/**
 * Dust never counts for less than half, nor for more than six times the hours.
 *
 * @example clampDust(9) // 6
 */
export const clampDust = (multiplier: number): number =>
  multiplier < LEAST_MULTIPLIER
    ? LEAST_MULTIPLIER
    : multiplier > MOST_MULTIPLIER
      ? MOST_MULTIPLIER
      : multiplier;

/**
 * The dust multiplier of each day from `from`, `size` days long: the product over the kinds of driver of
 * the strongest of that kind (the furthest from 1), clamped to 0.5 to 6. Drivers of the other side of
 * the machine do not count; the fluff of seeds flies on days of growth.
 *
 * @source docs/sources.md#drivers
 * @example [...dustMultipliers([{ kind: "dusty-hobby" }, { kind: "indoor-smoking" }], "outdoor", 0, 1, asked.climate)] // [1]
 */
export function dustMultipliers(
  drivers: readonly Driver[],
  side: AirSide,
  from: DayNumber,
  size: number,
  climate: Climate,
): Float64Array {
  const growth = growthFor(drivers, from, size, climate);
  const product = new Float64Array(size).fill(1);
  const byKind = new Map<DriverKind, Span[]>();
  for (const driver of drivers) {
    const spans = byKind.get(driver.kind) ?? [];
    spans.push(...spansOf(driver, side));
    byKind.set(driver.kind, spans);
  }
  for (const spans of byKind.values()) {
    const strongest = spans.length > 1 ? new Float64Array(size).fill(1) : null;
    for (const span of spans) {
      const first = Math.max(0, span.from - from);
      const last = Math.min(size - 1, span.to - from);
      for (let i = first; i <= last; i++) {
        if (span.grows && !growth?.[i]) continue;
        if (!strongest) product[i]! *= span.factor;
        else if (Math.abs(span.factor - 1) > Math.abs(strongest[i]! - 1))
          strongest[i] = span.factor;
      }
    }
    if (strongest) for (let i = 0; i < size; i++) product[i]! *= strongest[i]!;
  }
  for (let i = 0; i < size; i++) product[i] = clampDust(product[i]!);
  return product;
}
