import { normalOn } from "../climate/climate";
import { isIsolator } from "./loose-ends";
import { daysFrom, toDay, type PlainDate } from "../quantities/plain-date";
import type { HomeEnd } from "./home-ends";
import { systemOf } from "../filters/slot-wear";
import type { Unit } from "../inventory/inventory";
import type { HomeSnapshot } from "../history/home-snapshot";

/** Below this mean a night freezes: half a usual day's range above it, °C. Our choice. */
const FREEZES_BELOW_C = 3;
/** A day that was observed counts for this long, days. */
const OBSERVED_DAYS = 2;

/**
 * Whether the night of a day is likely to freeze: by a mean below 3 °C, observed on the day or up to two
 * days from it, else by the normals. Our choice: half a usual day's range above 0 °C.
 *
 * @example freezesOn(snapshot([], { actuals: [{ date: today, meanC: -8 }] }), today) // true
 */
export function freezesOn(snapshot: HomeSnapshot, today: PlainDate): boolean {
  const last = snapshot.actuals.at(-1);
  const isFresh = last !== undefined && Math.abs(daysFrom(last.date, today)) <= OBSERVED_DAYS;
  const meanC = isFresh ? last.meanC : normalOn(snapshot.home.climate.monthlyMeanC, toDay(today));
  return meanC < FREEZES_BELOW_C;
}

/**
 * The machines that heat and are off, in frost, with the power or the gas that they wait for.
 *
 * @example offInFrost(snapshot([]), [{ id: "r:off", unit: "furnace", end: "switch-off" }], day(-60)).length // 1
 */
export function offInFrost(
  snapshot: HomeSnapshot,
  open: readonly HomeEnd[],
  today: PlainDate,
): Unit[] {
  if (!freezesOn(snapshot, today)) return [];
  return snapshot.units.filter(
    (unit) =>
      systemOf(snapshot, unit)?.equipment.heats === true &&
      open.some((end) => end.unit === unit.id && (isIsolator(end) || end.end === "gas-shut")),
  );
}
