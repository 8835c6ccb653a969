import { humidityLimit } from "../calculators/humidity-limit";
import { actualsByDay, normalOn } from "../climate/climate";
import { toDay, type PlainDate } from "../quantities/plain-date";
import type { HomeSnapshot } from "../history/home-snapshot";

/** How warm rooms are kept, °C; our choice. */
const ROOM_C = 21;

/**
 * The humidity at which ordinary double panes fog on a day, percent: by its observed mean, else by
 * the normals.
 *
 * @source docs/sources.md#humidity
 * @example Math.round(fogLimitOn(snapshot([], { actuals: [{ date: today, meanC: 0 }] }), today)) // 67
 */
export function fogLimitOn(
  { home, actuals }: Pick<HomeSnapshot, "home" | "actuals">,
  date: PlainDate,
): number {
  const day = toDay(date);
  const outdoorC =
    actualsByDay(actuals, day, day).get(day) ?? normalOn(home.climate.monthlyMeanC, day);
  return humidityLimit({ indoorC: ROOM_C, outdoorC, uValue: "double", indoorRh: undefined }).rhMax;
}
