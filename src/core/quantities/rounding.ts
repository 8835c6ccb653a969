/**
 * Rounds half away from zero, at the very end of a computation only. The factor of one machine
 * epsilon lets 1.005 (stored just below) round as it is written.
 *
 * @example roundTo(0)(-2.5) // -3
 */
export function roundTo(places: number): (value: number) => number {
  const factor = 10 ** places;
  return (value) => {
    const scaled = Math.round(Math.abs(value) * factor * (1 + Number.EPSILON)) / factor;
    return value < 0 && scaled !== 0 ? -scaled : scaled;
  };
}

export const roundHours = roundTo(4);
/** Loads, beliefs and shares. */
export const roundLoad = roundTo(6);
export const roundPercent = roundTo(1);
/** Physical figures without a rule of their own. */
export const roundPhysical = roundTo(4);

const tolerance = (threshold: number) =>
  threshold > 1 ? 1e-9 * threshold : threshold < -1 ? -1e-9 * threshold : 1e-9;

/**
 * At or above a threshold, forgiving the last bits of a sum.
 *
 * @example reaches(0.9999999999, 1) // true
 */
export const reaches = (value: number, threshold: number) =>
  value >= threshold - tolerance(threshold);

/**
 * At or below a threshold, forgiving the same last bits.
 *
 * @example atMost(1.0000000001, 1) // true
 */
export const atMost = (value: number, threshold: number) =>
  value <= threshold + tolerance(threshold);

/**
 * Strictly below a threshold, by the same tolerance: exactly the opposite of `reaches`.
 *
 * @example isBelow(0.99, 1) // true
 */
export const isBelow = (value: number, threshold: number) => !reaches(value, threshold);

/** @example clamp(7, 0, 5) // 5 */
export const clamp = (value: number, low: number, high: number) =>
  value < low ? low : value > high ? high : value;
