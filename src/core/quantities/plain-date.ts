/** A local calendar day, `YYYY-MM-DD`. Not an instant: it has no hour and no zone. */
export type PlainDate = string & { readonly __brand: "PlainDate" };

/** Whole days since 1 January 1970; the form dates take inside loops. */
export type DayNumber = number;

/** Nothing in a house that is kept here is older, and no plan reaches further. Our choice. */
export const EARLIEST_DAY = "1900-01-01" as PlainDate;
export const LATEST_DAY = "2200-12-31" as PlainDate;

const MS_PER_DAY = 86_400_000;
const SHAPE = /^(\d{4})-(\d{2})-(\d{2})$/;

/** The calendar parts of a day number, by the proleptic Gregorian calendar; month 1 to 12. */
export function civil(day: DayNumber): { year: number; month: number; day: number } {
  // Days counted from 1 March 0000 put the leap day last in its year, which makes months regular.
  const z = day + 719_468;
  const era = Math.floor(z / 146_097);
  const dayOfEra = z - era * 146_097;
  const yearOfEra = Math.floor(
    (dayOfEra -
      Math.floor(dayOfEra / 1460) +
      Math.floor(dayOfEra / 36_524) -
      Math.floor(dayOfEra / 146_096)) /
      365,
  );
  const dayOfYear =
    dayOfEra - (365 * yearOfEra + Math.floor(yearOfEra / 4) - Math.floor(yearOfEra / 100));
  const shifted = Math.floor((5 * dayOfYear + 2) / 153);
  const month = shifted < 10 ? shifted + 3 : shifted - 9;
  return {
    year: yearOfEra + era * 400 + (month <= 2 ? 1 : 0),
    month,
    day: dayOfYear - Math.floor((153 * shifted + 2) / 5) + 1,
  };
}

/** The day number of a calendar date; month 1 to 12, day may run over its month. */
export function dayNumber(year: number, month: number, day: number): DayNumber {
  const y = month <= 2 ? year - 1 : year;
  const era = Math.floor(y / 400);
  const yearOfEra = y - era * 400;
  const dayOfYear = Math.floor((153 * (month > 2 ? month - 3 : month + 9) + 2) / 5) + day - 1;
  const dayOfEra =
    yearOfEra * 365 + Math.floor(yearOfEra / 4) - Math.floor(yearOfEra / 100) + dayOfYear;
  return era * 146_097 + dayOfEra - 719_468;
}

const two = (n: number) => (n < 10 ? `0${n}` : `${n}`);

/** @example fromDay(toDay("2024-02-29") + 1) // "2024-03-01" */
export function fromDay(day: DayNumber): PlainDate {
  const date = civil(day);
  return `${String(date.year).padStart(4, "0")}-${two(date.month)}-${two(date.day)}` as PlainDate;
}

/** Every day from one to another, both included. */
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

/** Null when the text is not a day that exists. */
export function readPlainDate(text: string): PlainDate | null {
  const match = SHAPE.exec(text);
  if (!match) return null;
  const day = dayNumber(Number(match[1]), Number(match[2]), Number(match[3]));
  return fromDay(day) === text ? (text as PlainDate) : null;
}

export function toDay(date: PlainDate): DayNumber {
  return dayNumber(Number(date.slice(0, 4)), Number(date.slice(5, 7)), Number(date.slice(8, 10)));
}

/** For dates written in code; a day that doesn't exist is a mistake of ours and throws. */
export function plainDate(text: string): PlainDate {
  const date = readPlainDate(text);
  if (!date) throw new Error(`plainDate: "${text}" is not a day`);
  return date;
}

export const addDays = (date: PlainDate, days: number): PlainDate => fromDay(toDay(date) + days);

/** Days from the first to the second; negative when the second is earlier. */
export const daysFrom = (first: PlainDate, second: PlainDate): number =>
  toDay(second) - toDay(first);

/** 0 Sunday to 6 Saturday. */
export const weekday = (date: PlainDate): number => (((toDay(date) + 4) % 7) + 7) % 7;

/** The calendar day an instant falls on in a time zone given by its IANA name. */
export function dayIn(timeZone: string, instant: number): PlainDate {
  const parts = new Intl.DateTimeFormat("en-GB", {
    timeZone,
    year: "numeric",
    month: "2-digit",
    day: "2-digit",
  }).formatToParts(instant);
  const part = (type: string) => Number(parts.find((p) => p.type === type)?.value);
  return fromDay(dayNumber(part("year"), part("month"), part("day")));
}

export const hoursBetween = (fromMs: number, toMs: number): number =>
  ((toMs - fromMs) / MS_PER_DAY) * 24;

/** The same day so many months on; the end of a shorter month stands for the days it lacks. */
export function addMonths(date: PlainDate, months: number): PlainDate {
  const { year, month, day } = civil(toDay(date));
  const count = year * 12 + (month - 1) + months;
  const first = dayNumber(Math.floor(count / 12), (((count % 12) + 12) % 12) + 1, 1);
  const next = dayNumber(Math.floor((count + 1) / 12), ((((count + 1) % 12) + 12) % 12) + 1, 1);
  return fromDay(Math.min(first + day - 1, next - 1));
}
