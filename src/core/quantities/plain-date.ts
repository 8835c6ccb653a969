import { UTCDate } from "@date-fns/utc";
import { addMonths as monthsAfter } from "date-fns";

/** A local calendar day, `YYYY-MM-DD`. Not an instant: it has no hour and no zone. */
export type PlainDate = string & { readonly __brand: "PlainDate" };

/** Whole days since 1 January 1970; the form dates take inside loops. */
export type DayNumber = number;

/** Nothing in a house that is kept here is older, and no plan reaches further. Our choice. */
export const EARLIEST_DAY = "1900-01-01" as PlainDate;
export const LATEST_DAY = "2200-12-31" as PlainDate;

const MS_PER_DAY = 86_400_000;
const SHAPE = /^(\d{4})-(\d{2})-(\d{2})$/;

/** The instant at which a day begins in UTC, where every day has 24 hours. */
const startOf = (day: DayNumber): UTCDate => new UTCDate(day * MS_PER_DAY);

/**
 * The calendar parts of a day number, by the proleptic Gregorian calendar; month 1 to 12.
 *
 * @example civil(0) // {"year":1970,"month":1,"day":1}
 */
export function civil(day: DayNumber): { year: number; month: number; day: number } {
  const date = new Date(day * MS_PER_DAY);
  return { year: date.getUTCFullYear(), month: date.getUTCMonth() + 1, day: date.getUTCDate() };
}

/**
 * The day number of a calendar date; month 1 to 12, day may run over its month.
 *
 * @example dayNumber(1970, 1, 32) // 31
 */
export function dayNumber(year: number, month: number, day: number): DayNumber {
  const date = new Date(0);
  // Date.UTC takes the years 0 to 99 for those of the last century.
  return date.setUTCFullYear(year, month - 1, day) / MS_PER_DAY;
}

const two = (n: number) => (n < 10 ? `0${n}` : `${n}`);

/**
 * Days that were written or read before: a plan of a year names the same few hundred days 170,000 times, and doing
 * it anew was half of what it took (1.1 s of 2.1). What is asked again is answered the same: nothing depends on it.
 */
const before = {
  written: new Map<DayNumber, PlainDate>(),
  read: new Map<string, DayNumber>(),
  real: new Set<string>(),
};
/** Days of fifty years; then each begins anew. */
const MOST_KEPT = 20_000;

/** @example fromDay(toDay("2024-02-29") + 1) // "2024-03-01" */
export function fromDay(day: DayNumber): PlainDate {
  const { written } = before;
  const known = written.get(day);
  if (known !== undefined) return known;
  const date = new Date(day * MS_PER_DAY).toISOString().slice(0, 10) as PlainDate;
  if (written.size >= MOST_KEPT) written.clear();
  written.set(day, date);
  return date;
}

/**
 * Every day from one to another, both included.
 *
 * @example datesBetween(0, 1) // ["1970-01-01","1970-01-02"]
 */
export function datesBetween(from: DayNumber, to: DayNumber): PlainDate[] {
  const dates: PlainDate[] = [];
  let day = from;
  while (day <= to) {
    // Within a month only the last two figures change.
    const { year, month, day: first } = civil(day);
    const stem = fromDay(day).slice(0, 8);
    const next = dayNumber(month === 12 ? year + 1 : year, month === 12 ? 1 : month + 1, 1);
    for (let i = first; day < next && day <= to; day++, i++)
      dates.push((stem + two(i)) as PlainDate);
  }
  return dates;
}

/**
 * Null when the text is not a day that exists.
 *
 * @example readPlainDate("2026-02-29") // null
 */
export function readPlainDate(text: string): PlainDate | null {
  const { real } = before;
  if (real.has(text)) return text as PlainDate;
  const match = SHAPE.exec(text);
  if (!match) return null;
  const day = dayNumber(Number(match[1]), Number(match[2]), Number(match[3]));
  if (fromDay(day) !== text) return null;
  if (real.size >= MOST_KEPT) real.clear();
  real.add(text);
  return text as PlainDate;
}

/** @example toDay("1970-01-02") // 1 */
export function toDay(date: PlainDate): DayNumber {
  const { read } = before;
  const known = read.get(date);
  if (known !== undefined) return known;
  const day = Date.parse(date) / MS_PER_DAY;
  if (read.size >= MOST_KEPT) read.clear();
  read.set(date, day);
  return day;
}

/**
 * For dates written in code; a day that doesn't exist is a mistake of ours and throws.
 *
 * @example plainDate("2026-03-14") // "2026-03-14"
 */
export function plainDate(text: string): PlainDate {
  const date = readPlainDate(text);
  if (!date) throw new Error(`plainDate: "${text}" is not a day`);
  return date;
}

/** @example addDays("2026-02-27", 2) // "2026-03-01" */
export const addDays = (date: PlainDate, days: number): PlainDate => fromDay(toDay(date) + days);

/**
 * Days from the first to the second; negative when the second is earlier.
 *
 * @example daysFrom("2026-03-14", "2026-03-01") // -13
 */
export const daysFrom = (first: PlainDate, second: PlainDate): number =>
  toDay(second) - toDay(first);

/**
 * 0 Sunday to 6 Saturday.
 *
 * @example weekday("2026-03-14") // 6
 */
export const weekday = (date: PlainDate): number => (((toDay(date) + 4) % 7) + 7) % 7;

/**
 * The day of the week as people who plan count it: 1 Monday to 7 Sunday.
 *
 * @example isoWeekday(plainDate("2026-03-14")) // 6
 */
export const isoWeekday = (date: PlainDate): number => ((weekday(date) + 6) % 7) + 1;

/** Making a formatter takes fifty times as long as using it; there are as many as there are zones. */
const formatters = new Map<string, Intl.DateTimeFormat>();
function formatterOf(timeZone: string): Intl.DateTimeFormat {
  const known = formatters.get(timeZone);
  if (known) return known;
  const made = new Intl.DateTimeFormat("en-GB", {
    timeZone,
    year: "numeric",
    month: "2-digit",
    day: "2-digit",
  });
  formatters.set(timeZone, made);
  return made;
}

/**
 * The calendar day an instant falls on in a time zone given by its IANA name.
 *
 * @example dayIn("Asia/Tokyo", 1773446400000) // "2026-03-14"
 */
export function dayIn(timeZone: string, instant: number): PlainDate {
  const parts = formatterOf(timeZone).formatToParts(instant);
  const part = (type: string) => Number(parts.find((each) => each.type === type)?.value);
  return fromDay(dayNumber(part("year"), part("month"), part("day")));
}

/** @example hoursBetween(0, 5_400_000) // 1.5 */
export const hoursBetween = (fromMs: number, toMs: number): number =>
  ((toMs - fromMs) / MS_PER_DAY) * 24;

/**
 * The same day so many months on; the end of a shorter month stands for the days it lacks.
 *
 * @example addMonths("2024-01-31", 1) // "2024-02-29"
 */
export const addMonths = (date: PlainDate, months: number): PlainDate =>
  fromDay(monthsAfter(startOf(toDay(date)), months).getTime() / MS_PER_DAY);
