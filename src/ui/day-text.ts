import { format, isValid, parse } from "date-fns";
import type { DayOrder } from "./day-order";

const SHOWN: Readonly<Record<DayOrder, string>> = {
  "day-first": "dd.MM.yyyy",
  "month-first": "MM/dd/yyyy",
};

/** What is understood, besides what is shown; the year in four figures, so that 12 is no year. */
const READ: Readonly<Record<DayOrder, readonly string[]>> = {
  "day-first": ["d.M.yyyy", "d/M/yyyy", "d-M-yyyy", "d MMM yyyy", "d MMMM yyyy"],
  "month-first": ["M/d/yyyy", "M-d-yyyy", "M.d.yyyy", "MMM d yyyy", "MMMM d yyyy", "MMM d, yyyy"],
};
const ISO = "yyyy-MM-dd";
const FOUR_FIGURES = /(^|\D)\d{4}(\D|$)/;

/** The local midnight of a day written in the home’s order, or as year, month and day; null else. */
export function readDayText(text: string, order: DayOrder): Date | null {
  const plain = text.trim();
  if (!FOUR_FIGURES.test(plain)) return null;
  for (const pattern of [ISO, ...READ[order]]) {
    const date = parse(plain, pattern, new Date(0));
    if (isValid(date)) return date;
  }
  return null;
}

/** A day as `YYYY-MM-DD`, from a text in the home’s order; a text that is no day as it is. */
export function isoOf(text: string, order: DayOrder): string {
  const date = readDayText(text, order);
  return date ? format(date, ISO) : text;
}

/** A day in the home’s order; a text that is no day as it is. */
export function shownDay(text: string, order: DayOrder): string {
  const date = readDayText(text, order);
  return date ? format(date, SHOWN[order]) : text;
}

/** How a day is typed there, as a hint in the empty field. */
export const TYPED_AS: Readonly<Record<DayOrder, string>> = {
  "day-first": "dd.mm.yyyy",
  "month-first": "mm/dd/yyyy",
};
