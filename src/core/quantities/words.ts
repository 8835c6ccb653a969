import { civil, daysFrom, toDay, weekday, type PlainDate } from "./plain-date";

const WEEKDAYS = ["Sun", "Mon", "Tue", "Wed", "Thu", "Fri", "Sat"];
const LONG_WEEKDAYS = [
  "Sunday",
  "Monday",
  "Tuesday",
  "Wednesday",
  "Thursday",
  "Friday",
  "Saturday",
];
export const MONTHS = [
  "January",
  "February",
  "March",
  "April",
  "May",
  "June",
  "July",
  "August",
  "September",
  "October",
  "November",
  "December",
];
const SHORT_MONTHS = MONTHS.map((month) => month.slice(0, 3));

/**
 * “Sat 14 Mar”, with the year when it is not the year of `today`.
 *
 * @example dateWords("2026-04-01", "2026-03-14") // "Wed 1 Apr"
 */
export function dateWords(date: PlainDate, today: PlainDate): string {
  return `${WEEKDAYS[weekday(date)]} ${dayAndMonth(date, today)}`;
}

/**
 * “14 Mar”, with the year when it is not the year of `today`.
 *
 * @example dayAndMonth("2025-12-28", "2026-03-14") // "28 Dec 2025"
 */
export function dayAndMonth(date: PlainDate, today: PlainDate): string {
  const { year, month, day } = civil(toDay(date));
  const yearWord = date.slice(0, 4) === today.slice(0, 4) ? "" : ` ${year}`;
  return `${day} ${SHORT_MONTHS[month - 1]}${yearWord}`;
}

/**
 * “Feb 2025”: for what is known to the month.
 *
 * @example monthWords("2026-04-01") // "Apr 2026"
 */
export function monthWords(date: PlainDate): string {
  const { year, month } = civil(toDay(date));
  return `${SHORT_MONTHS[month - 1]} ${year}`;
}

/**
 * A day of any year, `MM-DD`, as “14 Mar”.
 *
 * @example monthDayWords("04-01") // "1 Apr"
 */
export function monthDayWords(monthDay: string): string {
  const [month, day] = monthDay.split("-").map(Number);
  return `${day} ${SHORT_MONTHS[month! - 1]}`;
}

/**
 * “Saturday 14 March”
 *
 * @example longDate("2026-04-01") // "Wednesday 1 April"
 */
export function longDate(date: PlainDate): string {
  const { month, day } = civil(toDay(date));
  return `${LONG_WEEKDAYS[weekday(date)]} ${day} ${MONTHS[month - 1]}`;
}

/** Up to this many days a span is counted in days, then in weeks, in months, and in years. */
const DAYS_AS_DAYS = 13;
const DAYS_AS_WEEKS = 75;
const DAYS_AS_MONTHS = 730;
const DAYS_PER_MONTH = 30.44;
const DAYS_PER_YEAR = 365.25;

const counted = (n: number, noun: string) => `${n} ${noun}${n === 1 ? "" : "s"}`;

/**
 * A length of time, as coarse as it is long: “1 day”, “3 weeks”, “5 months”, “3 years”.
 *
 * @example spanWords(65) // "9 weeks"
 */
export function spanWords(days: number): string {
  const length = Math.abs(days);
  if (length <= DAYS_AS_DAYS) return counted(length, "day");
  if (length <= DAYS_AS_WEEKS) return counted(Math.round(length / 7), "week");
  if (length <= DAYS_AS_MONTHS) return counted(Math.round(length / DAYS_PER_MONTH), "month");
  return counted(Math.round(length / DAYS_PER_YEAR), "year");
}

/**
 * How far off a day is: “today”, “in 9 days”, “in about 3 weeks”, “9 days over”.
 *
 * @example awayWords("2026-03-23", "2026-03-14") // "in 9 days"
 */
export function awayWords(date: PlainDate, today: PlainDate): string {
  const days = daysFrom(today, date);
  if (days === 0) return "today";
  if (days === 1) return "tomorrow";
  if (days < 0) return `${spanWords(days)} over`;
  return days <= DAYS_AS_DAYS ? `in ${spanWords(days)}` : `in about ${spanWords(days)}`;
}

/**
 * How long ago a day was: “today”, “3 weeks ago”.
 *
 * @example agoWords("2026-03-01", "2026-03-14") // "13 days ago"
 */
export function agoWords(date: PlainDate, today: PlainDate): string {
  const days = daysFrom(date, today);
  return days <= 0 ? "today" : `${spanWords(days)} ago`;
}

/**
 * “12 – 20 Mar” or “28 Feb – 4 Mar”
 *
 * @example bandWords("2026-03-12", "2026-04-02", "2026-03-14") // "12 Mar – 2 Apr"
 */
export function bandWords(early: PlainDate, late: PlainDate, today: PlainDate): string {
  if (early === late) return dayAndMonth(early, today);
  const sameMonth = early.slice(0, 7) === late.slice(0, 7);
  const first = sameMonth ? String(Number(early.slice(8))) : dayAndMonth(early, today);
  return `${first} – ${dayAndMonth(late, today)}`;
}

/**
 * “between 12 and 20 Mar”; “on 12 Mar” where both are the same day.
 *
 * @example betweenWords("2026-03-12", "2026-04-02", "2026-03-14") // "between 12 Mar and 2 Apr"
 */
export function betweenWords(early: PlainDate, late: PlainDate, today: PlainDate): string {
  if (early === late) return `on ${dayAndMonth(early, today)}`;
  const sameMonth = early.slice(0, 7) === late.slice(0, 7);
  const first = sameMonth ? String(Number(early.slice(8))) : dayAndMonth(early, today);
  return `between ${first} and ${dayAndMonth(late, today)}`;
}

/**
 * “a”, “a and b”, “a, b and c”
 *
 * @example listWords(["a", "b", "c"]) // "a, b and c"
 */
export function listWords(words: readonly string[]): string {
  if (words.length <= 1) return words[0] ?? "";
  return `${words.slice(0, -1).join(", ")} and ${words.at(-1)}`;
}

const SMALL = ["no", "one", "two", "three", "four", "five", "six", "seven", "eight", "nine"];
/**
 * Small counts as words, for sentences.
 *
 * @example countWords(3) // "three"
 */
export const countWords = (n: number): string => SMALL[n] ?? String(n);

/**
 * A name inside a sentence: “Left mesh” is “left mesh”, but “HEPA cylinder” stays as it is.
 *
 * @example inSentence("Change the filter") // "change the filter"
 */
export const inSentence = (name: string): string =>
  /^\p{Lu}(?!\p{Lu})/u.test(name) ? name.charAt(0).toLowerCase() + name.slice(1) : name;

/** @example capitalised("now") // "Now" */
export const capitalised = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);

/**
 * A name that none of those taken has: “Furnace”, then “Furnace 2”.
 *
 * @example freeName("Furnace", ["furnace", "Furnace 2"]) // "Furnace 3"
 */
export function freeName(wanted: string, taken: readonly string[]): string {
  const isTaken = (name: string) => taken.some((each) => each.toLowerCase() === name.toLowerCase());
  if (!isTaken(wanted)) return wanted;
  const bare = wanted.replace(/ \d+$/, "");
  for (let n = 2; ; n++) if (!isTaken(`${bare} ${n}`)) return `${bare} ${n}`;
}
