import { z } from "zod";
import { readPlainDate, type PlainDate } from "@/core/quantities/plain-date";

/** What a form shows after it was sent: what was typed, and what is wrong with which field. */
export type FormState = {
  /** Counts the sendings, so that fields can take the typed values as their new defaults. */
  attempt: number;
  values: Record<string, string[]>;
  errors: Record<string, string>;
};

export const emptyForm = (values: Record<string, string[]> = {}): FormState => ({
  attempt: 0,
  values,
  errors: {},
});

/** Everything typed, by field name; a field that stands several times keeps all its values in order. */
export function fieldsOf(form: FormData): Record<string, string[]> {
  const fields: Record<string, string[]> = {};
  for (const [name, value] of form.entries())
    if (typeof value === "string" && !name.startsWith("$")) (fields[name] ??= []).push(value);
  return fields;
}

/** The first value of each field, trimmed: for schemas of fields that stand once. */
export const singles = (fields: Record<string, string[]>): Record<string, string> =>
  Object.fromEntries(
    Object.entries(fields).map(([name, values]) => [name, (values[0] ?? "").trim()]),
  );

export function invalid(
  previous: FormState,
  values: Record<string, string[]>,
  error: z.ZodError,
): FormState {
  const errors: Record<string, string> = {};
  for (const issue of error.issues) errors[String(issue.path[0] ?? "form")] ??= issue.message;
  return { attempt: previous.attempt + 1, values, errors };
}

/** The answer to a form with problems found outside a schema. */
export const refused = (
  previous: FormState,
  values: Record<string, string[]>,
  errors: Record<string, string>,
): FormState => ({ attempt: previous.attempt + 1, values, errors });

export type DayProblem = "missing" | "unreadable" | "future";

/** A day from a date field, not later than today. */
export function readPastDay(text: string, today: PlainDate): PlainDate | DayProblem {
  if (text === "") return "missing";
  const date = readPlainDate(text);
  if (!date) return "unreadable";
  return date > today ? "future" : date;
}

export const isDay = (value: PlainDate | DayProblem): value is PlainDate =>
  value !== "missing" && value !== "unreadable" && value !== "future";

/** A date field that has to hold a day, today or earlier. */
export const pastDay = (today: PlainDate) =>
  z.string().transform((text, context): PlainDate => {
    const day = readPastDay(text, today);
    if (isDay(day)) return day;
    context.addIssue({ code: "custom", message: DAY_WORDS[day] });
    return z.NEVER;
  });

export const DAY_WORDS: Readonly<Record<DayProblem, string>> = {
  missing: "Give the day it was done.",
  unreadable: "That is not a day. Write it as year, month and day.",
  future: "That day is still to come. Give today or an earlier day.",
};
