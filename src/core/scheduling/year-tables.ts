import {
  seasonDays,
  stretchDays,
  type Climate,
  type SeasonDays,
  type Stretch,
} from "../climate/climate";
import type { DayNumber } from "../quantities/plain-date";

/** Tables are made a little wider than asked, so that the next question finds its answer there. */
const MARGIN_DAYS = 800;

type Table<T> = { from: DayNumber; to: DayNumber; value: T };

/** Keeps one table for each climate, as wide as anybody has asked for. */
function remembered<T>(make: (climate: Climate, from: DayNumber, to: DayNumber) => T) {
  const known = new WeakMap<Climate, Table<T>>();
  return (climate: Climate, from: DayNumber, to: DayNumber): Table<T> => {
    const before = known.get(climate);
    if (before && before.from <= from && before.to >= to) return before;
    const table = {
      from: Math.min(from, before?.from ?? from) - MARGIN_DAYS,
      to: Math.max(to, before?.to ?? to) + MARGIN_DAYS,
    };
    const made = { ...table, value: make(climate, table.from, table.to) };
    known.set(climate, made);
    return made;
  };
}

const rememberedSeasons = remembered(seasonDays);
const rememberedStretch: Readonly<Record<Stretch, ReturnType<typeof remembered<Uint8Array>>>> = {
  heating: remembered((climate, from, to) => stretchDays(climate, "heating", from, to)),
  cooling: remembered((climate, from, to) => stretchDays(climate, "cooling", from, to)),
  snow: remembered((climate, from, to) => stretchDays(climate, "snow", from, to)),
  growth: remembered((climate, from, to) => stretchDays(climate, "growth", from, to)),
};

/** The turns of the seasons, at least from `from` to `to`. A climate must not change afterwards. */
export const seasonsAround = (climate: Climate, from: DayNumber, to: DayNumber): SeasonDays =>
  rememberedSeasons(climate, from, to).value;

/** Whether a day lies in a stretch of the year; asked of days at most `to`. */
export function stretchTest(
  climate: Climate,
  stretch: Stretch,
  from: DayNumber,
  to: DayNumber,
): (day: DayNumber) => boolean {
  const table = rememberedStretch[stretch](climate, from, to);
  return (day) => table.value[day - table.from] === 1;
}
