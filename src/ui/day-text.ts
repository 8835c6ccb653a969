import { format, isValid, parse } from "date-fns";
import type { DayOrder } from "./day-order";

const SHOWN: Readonly<Record<DayOrder, string>> = {
  "day-first": "dd.MM.yyyy",
  "month-first": "MM/dd/yyyy",
};

/** What is understood, besides what is shown; the year in four figures, so that 12 is no year. */
const READ: Readonly<Record<DayOrder, readonly string[]>> = {
  "day-first": ["d.M.yyyy", "d/M/yyyy", "d-M-yyyy"],
  "month-first": ["M/d/yyyy", "M-d-yyyy", "M.d.yyyy"],
};
/** Where the month is a word its order is no riddle anywhere. */
const IN_WORDS = ["d MMM yyyy", "d MMMM yyyy", "MMM d yyyy", "MMMM d yyyy"];
/** A month stands for its first day. */
const MONTHS = ["MMM yyyy", "MMMM yyyy", "yyyy-M", "M/yyyy", "M.yyyy"];
const YEARS = ["yyyy"];
const ISO = "yyyy-MM-dd";
const FOUR_FIGURES = /(^|\D)\d{4}(\D|$)/;

/**
 * The local midnight of a day written in the home’s order, with the month as a word, or as year, month and day;
 * null else. A month alone is its first day; so is a year, where nobody knows better.
 *
 * @param mayBeYear a year alone is enough, as for a machine somebody found in the house
 */
export function readDayText(text: string, order: DayOrder, mayBeYear = false): Date | null {
  // “Sept.” is a month that the patterns write with three letters; commas and the ends of ordinals mean nothing.
  const plain = text
    .trim()
    .replace(/[,.](?=\s)/g, "")
    .replace(/\bsept\b/i, "Sep")
    .replace(/(\d)(st|nd|rd|th)\b/i, "$1")
    .replace(/\s+/g, " ");
  if (!FOUR_FIGURES.test(plain)) return null;
  const patterns = [ISO, ...READ[order], ...IN_WORDS, ...MONTHS, ...(mayBeYear ? YEARS : [])];
  for (const pattern of patterns) {
    const date = parse(plain, pattern, new Date(2000, 0, 1));
    if (isValid(date)) return date;
  }
  return null;
}

/** A day as `YYYY-MM-DD`, from a text in the home’s order; a text that is no day as it is. */
export function isoOf(text: string, order: DayOrder, mayBeYear = false): string {
  const date = readDayText(text, order, mayBeYear);
  return date ? format(date, ISO) : text;
}

/** A day in the home’s order; a text that is no day as it is. */
export function shownDay(text: string, order: DayOrder, mayBeYear = false): string {
  const date = readDayText(text, order, mayBeYear);
  return date ? format(date, SHOWN[order]) : text;
}

/** How a day is typed there, as a hint in the empty field. */
export const TYPED_AS: Readonly<Record<DayOrder, string>> = {
  "day-first": "dd.mm.yyyy",
  "month-first": "mm/dd/yyyy",
};
