import { normals, type Climate } from "@/core/climate/climate";
import { fromDay, type DayNumber, type PlainDate } from "@/core/quantities/plain-date";
import type { Chance } from "@/core/quantities/chance";

/** How much of a day's departure from normal the next day keeps. */
const PERSISTENCE = 0.75;
const COLD_SPELL_DAYS = 75;
const SPELL_K = 3.2;
const COOL_BELOW_C = 10;
const WARM_ABOVE_C = 17;

/**
 * Made-up daily means: the normals with weather about them. The last weeks are colder than usual in
 * a cool season and hotter in a warm one, so that there is something to explain.
 */
export function demoWeather(
  climate: Climate,
  from: DayNumber,
  to: DayNumber,
  chance: Chance,
): { date: PlainDate; meanC: number }[] {
  let departure = 0;
  return Array.from(normals(climate.monthlyMeanC, from, to), (normal, i) => {
    departure =
      PERSISTENCE * departure + Math.sqrt(1 - PERSISTENCE ** 2) * climate.spreadC * chance.normal();
    const inSpell = to - (from + i) < COLD_SPELL_DAYS;
    const spell = !inSpell
      ? 0
      : normal < COOL_BELOW_C
        ? -SPELL_K
        : normal > WARM_ABOVE_C
          ? SPELL_K
          : 0;
    return { date: fromDay(from + i), meanC: Math.round((normal + departure + spell) * 10) / 10 };
  });
}
