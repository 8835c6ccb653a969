import {
  seasonDays,
  stretchDays,
  type Climate,
  type SeasonDays,
  type Stretch,
} from "../climate/climate";
import type { DayNumber } from "../quantities/plain-date";

/** Tables are made a little wider than asked, so that the next one who asks finds its days there. */
const MARGIN_DAYS = 800;

type Table<T> = { from: DayNumber; to: DayNumber; value: T };

function widened<T>(
  before: Table<T> | undefined,
  from: DayNumber,
  to: DayNumber,
  make: (from: DayNumber, to: DayNumber) => T,
): Table<T> {
  if (before && before.from <= from && before.to >= to) return before;
  const first = Math.min(from, before?.from ?? from) - MARGIN_DAYS;
  const last = Math.max(to, before?.to ?? to) + MARGIN_DAYS;
  return { from: first, to: last, value: make(first, last) };
}

/**
 * The turns and stretches of the year in one climate, worked out once for all the jobs that hang on
 * them and as far as any of them asks. The climate must not change afterwards.
 *
 * @example new YearTables(asked.climate).seasons(20454, 20818).heatingStart.length > 0 // true
 */
export class YearTables {
  #seasons: Table<SeasonDays> | undefined;
  readonly #stretches = new Map<Stretch, Table<Uint8Array>>();

  constructor(readonly climate: Climate) {}

  /** The turns of the seasons, at least from `from` to `to`. */
  seasons(from: DayNumber, to: DayNumber): SeasonDays {
    this.#seasons = widened(this.#seasons, from, to, (first, last) =>
      seasonDays(this.climate, first, last),
    );
    return this.#seasons.value;
  }

  /** Whether a day lies in a stretch of the year; asked of days from `from` to at most `to`. */
  stretchTest(stretch: Stretch, from: DayNumber, to: DayNumber): (day: DayNumber) => boolean {
    const table = widened(this.#stretches.get(stretch), from, to, (first, last) =>
      stretchDays(this.climate, stretch, first, last),
    );
    this.#stretches.set(stretch, table);
    return (day) => table.value[day - table.from] === 1;
  }
}
