import { fromDay, toDay, type DayNumber, type PlainDate } from "../quantities/plain-date";
import { isBelow, reaches } from "../quantities/rounding";
import type { Dates } from "./due-calculator";
import type { Trigger } from "./trigger";

/** Weather that a job waits for. */
export type Weather = "snow" | "leaf-fall" | "first-warm-day" | "first-frost";

/** A job that its weather has not called for yet. */
export type WeatherWait = {
  for: Weather;
  /** When it usually comes. */
  usual: PlainDate;
};

type DayMean = { date: PlainDate; meanC: number };

const OF_SEASON: Readonly<Record<string, Weather>> = {
  leafFall: "leaf-fall",
  firstWarmDay: "first-warm-day",
  firstFrost: "first-frost",
};

/**
 * The weather that a job waits for; null for one that has its dates by the calendar or by use.
 *
 * @example weatherOf({ kind: "season", anchor: "leafFall", offsetDays: 14 }) // "leaf-fall"
 */
export function weatherOf(trigger: Trigger): Weather | null {
  if (trigger.kind === "every" && trigger.within === "snow") return "snow";
  return trigger.kind === "season" ? (OF_SEASON[trigger.anchor] ?? null) : null;
}

/** Days whose weather is looked at, and how many of them must be known. Our choice. */
const LOOK_BACK_DAYS = 7;
const KNOWN_DAYS = 4;
/** On a day no warmer than this in the mean what falls may lie. Our choice. */
const SNOW_MAY_LIE_C = 1;
/** The means at which leaves fall, an afternoon is warm, a night freezes; half a usual day’s range apart. */
const LEAF_FALL_MEAN_C = 9;
const WARM_MEAN_C = 15;
const FROST_MEAN_C = 5;
/** Called for, it is done within so many days: at once where snow shuts a flue. Our choice. */
const SNOW_DAYS = 3;
const SEASON_DAYS = 21;

const isCalling: Readonly<Record<Weather, (meanC: number) => boolean>> = {
  snow: (mean) => !reaches(mean, SNOW_MAY_LIE_C),
  "leaf-fall": (mean) => isBelow(mean, LEAF_FALL_MEAN_C),
  "first-warm-day": (mean) => reaches(mean, WARM_MEAN_C),
  "first-frost": (mean) => isBelow(mean, FROST_MEAN_C),
};

/**
 * Whether its weather calls for a job. Where the last days’ weather is known it decides: a season’s work is called
 * by it within the season’s window, and at the window’s end whatever it was; snow is looked for once a week in its
 * season, and only after days on which it may lie. Where nothing is known the usual turn of the year stands in.
 *
 * @param dates as the calendar of usual years has them; their due day is known
 * @param actuals mean temperatures that were recorded, °C; in any order
 * @returns the dates it has now, or what it waits for
 * @example calledByWeather("snow", { opens: 10, due: 10, closes: 12 }, { today: 9, actuals: [], offsetDays: 0 }) // { "for": "snow", "usual": "1970-01-11" }
 */
export function calledByWeather(
  weather: Weather,
  dates: Dates & { due: DayNumber },
  {
    today,
    actuals,
    offsetDays,
  }: { today: DayNumber; actuals: readonly DayMean[]; offsetDays: number },
): Dates | WeatherWait {
  const waits: WeatherWait = { for: weather, usual: fromDay(dates.due) };
  const from = weather === "snow" ? dates.due : (dates.opens ?? dates.due);
  if (today < from) return waits;
  const known = actuals
    .map(({ date, meanC }) => ({ day: toDay(date), meanC }))
    .filter(({ day }) => day <= today && day > today - LOOK_BACK_DAYS);
  const isKnown = known.length >= KNOWN_DAYS;
  if (weather === "snow") {
    if (!isKnown) return dates;
    const lay = known.filter(({ day, meanC }) => day >= from && isCalling.snow(meanC));
    if (lay.length === 0) return waits;
    const due = Math.min(...lay.map(({ day }) => day));
    return { opens: due, due, closes: due + SNOW_DAYS };
  }
  if (!isKnown) return today >= dates.due ? dates : waits;
  if (dates.closes !== null && today >= dates.closes) return dates;
  const turn = actuals
    .map(({ date, meanC }) => ({ day: toDay(date) + offsetDays, meanC }))
    .filter(({ day, meanC }) => day >= from && day <= today && isCalling[weather](meanC))
    .reduce((first, { day }) => Math.min(first, day), Number.POSITIVE_INFINITY);
  return Number.isFinite(turn)
    ? { opens: turn, due: turn, closes: Math.max(dates.closes ?? 0, turn + SEASON_DAYS) }
    : waits;
}
