import type { Chance } from "../quantities/chance";
import type { DayNumber } from "../quantities/plain-date";
import { climateSchema, normals, type Climate } from "./climate";

/** How far a day is off its normal, K, and how much of that is left the next day. Our choice. */
const OFF_K = 4.5;
const MEMORY = 0.8;

/**
 * A climate for a made-up home: from mild to harsh, warmest in July.
 *
 * @example madeUpClimate({ uniform: () => 0 }).heatingDesignC // 6 - 6 - 14
 */
export function madeUpClimate(chance: Chance): Climate {
  const middle = 6 + 10 * chance.uniform();
  const swing = 6 + 10 * chance.uniform();
  return climateSchema.parse({
    monthlyMeanC: Array.from(
      { length: 12 },
      (_, month) => middle - swing * Math.cos((2 * Math.PI * month) / 12),
    ),
    heatingDesignC: middle - swing - 14,
    coolingDesignMeanC: middle + swing + 6,
  });
}

/**
 * The means of days that go up and down about their normals, warm and cold ones in spells, °C; both ends
 * included.
 *
 * @example madeUpWeather(asked.climate, 0, 2, { normal: () => 0 }).length // 3
 */
export function madeUpWeather(
  climate: Climate,
  from: DayNumber,
  to: DayNumber,
  chance: Chance,
): Float64Array {
  const fresh = OFF_K * Math.sqrt(1 - MEMORY ** 2);
  let off = OFF_K * chance.normal();
  return normals(climate.monthlyMeanC, from, to).map((normal) => {
    const mean = normal + off;
    off = MEMORY * off + fresh * chance.normal();
    return mean;
  });
}
