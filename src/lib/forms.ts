import { z } from "zod";
import {
  EARLIEST_DAY,
  LATEST_DAY,
  readPlainDate,
  type PlainDate,
} from "@/core/quantities/plain-date";

/** What a form shows after it was sent: what was typed, and what is wrong with which field. */
export type FormState = {
  /** Counts the sendings, so that fields can take the typed values as their new defaults. */
  attempt: number;
  values: Record<string, string[]>;
  errors: Record<string, string>;
  /** What stands there now, where somebody changed it since the form was opened. */
  theirs?: Record<string, string[]>;
  /** The name of what the form asks for, made when it was drawn: sent twice it is done once. */
  commandId?: string;
};

/** The field in which a form says what it asks for by name. */
export const COMMAND_ID = "command-id";

/** The field in which a form says what it was opened with. */
const OPENED_WITH = "opened-with";

/** Only what says something: an empty field and one that is not there are the same. */
const said = (values: Record<string, string[]>): string =>
  JSON.stringify(
    Object.entries(values)
      .map(([name, list]) => [name, list.filter(Boolean)] as const)
      .filter(([, list]) => list.length > 0)
      .sort(([a], [b]) => (a < b ? -1 : 1)),
  );

const openedSchema = z.record(z.string(), z.array(z.string()));

/**
 * The answer to a form whose subject was saved by somebody else since it was opened: both are
 * offered, nothing is written over. Null where nothing came between.
 */
export function overtaken(
  previous: FormState,
  form: FormData,
  now: Record<string, string[]>,
): FormState | null {
  const text = form.get(OPENED_WITH);
  if (typeof text !== "string") return null;
  const opened = openedSchema.safeParse(parseJson(text));
  if (!opened.success || said(opened.data) === said(now)) return null;
  return { attempt: previous.attempt + 1, values: fieldsOf(form), errors: {}, theirs: now };
}

function parseJson(text: string): unknown {
  try {
    return JSON.parse(text);
  } catch {
    return null;
  }
}

export const emptyForm = (values: Record<string, string[]> = {}): FormState => ({
  attempt: 0,
  values,
  errors: {},
  commandId: crypto.randomUUID(),
});

const OWN_FIELDS = [OPENED_WITH, COMMAND_ID];

/** No field of ours is called like what every object has: what comes under such a name is not read. */
const isField = (name: string): boolean =>
  !name.startsWith("$") && !OWN_FIELDS.includes(name) && !(name in Object.prototype);

/** What was typed, from a form or from an address. */
export type Typed = { entries: () => Iterable<[string, FormDataEntryValue]> };

/** Everything typed, by field name; a field that stands several times keeps all its values in order. */
export function fieldsOf(form: Typed): Record<string, string[]> {
  const fields: Record<string, string[]> = {};
  for (const [name, value] of form.entries())
    if (typeof value === "string" && isField(name)) (fields[name] ??= []).push(value);
  return fields;
}

/** The first value of each field, trimmed: for schemas of fields that stand once. */
export const singles = (fields: Record<string, string[]>): Record<string, string> =>
  Object.fromEntries(
    Object.entries(fields).map(([name, values]) => [name, (values[0] ?? "").trim()]),
  );

/** Everything a form holds, by field name. */
export type FormFields = Record<string, string[]>;

/** What was read of a form, and what is wrong with which of its fields. */
export type Read<T> = { values: T; problems: Record<string, string> };

const formFields = z.record(z.string(), z.array(z.string()));

/** A schema of a whole form from one that reads the first value of each field, trimmed. */
export const ofSingles = <T>(schema: z.ZodType<T>): z.ZodType<T, FormFields> =>
  formFields.transform((fields, context) => {
    const parsed = schema.safeParse(singles(fields));
    if (parsed.success) return parsed.data;
    for (const { path, message } of parsed.error.issues)
      context.addIssue({ code: "custom", path: [...path], message });
    return z.NEVER;
  });

/** A schema of a whole form from a reader that names each problem by its field. */
export const ofReader = <T>(read: (fields: FormFields) => Read<T>): z.ZodType<T, FormFields> =>
  formFields.transform((fields, context) => {
    const { values, problems } = read(fields);
    for (const [name, message] of Object.entries(problems))
      context.addIssue({ code: "custom", path: [name], message });
    return Object.keys(problems).length > 0 ? z.NEVER : values;
  });

export function invalid(
  previous: FormState,
  values: Record<string, string[]>,
  error: z.ZodError,
): FormState {
  return { attempt: previous.attempt + 1, values, errors: problemsOf(error) };
}

/** Each problem by the field it belongs to, the first of a field. */
export function problemsOf(error: z.ZodError | undefined): Record<string, string> {
  const problems: Record<string, string> = {};
  for (const { path, message } of error?.issues ?? [])
    problems[String(path[0] ?? "form")] ??= message;
  return problems;
}

/** The answer to a form with problems found outside a schema. */
export const refused = (
  previous: FormState,
  values: Record<string, string[]>,
  errors: Record<string, string>,
): FormState => ({ attempt: previous.attempt + 1, values, errors });

export type DayProblem = "missing" | "unreadable" | "future" | "too-early" | "too-late";

/** A day from a date field, within what a home can hold; a half-typed year is no day. */
export function readDay(text: string): PlainDate | DayProblem {
  if (text === "") return "missing";
  const date = readPlainDate(text);
  if (!date) return "unreadable";
  if (date < EARLIEST_DAY) return "too-early";
  return date > LATEST_DAY ? "too-late" : date;
}

/** A day from a date field, not later than today. */
export function readPastDay(text: string, today: PlainDate): PlainDate | DayProblem {
  const date = readDay(text);
  return isDay(date) && date > today ? "future" : date;
}

const PROBLEMS: readonly string[] = ["missing", "unreadable", "future", "too-early", "too-late"];
export const isDay = (value: PlainDate | DayProblem): value is PlainDate =>
  !PROBLEMS.includes(value);

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
  "too-early": "That is before 1900. Write the year with four figures.",
  "too-late": "That is too far ahead. Look at the year again.",
};

/** Of a day on which something is said to have been fitted in a machine that was not there yet. */
export const LONG_BEFORE = "That is long before its machine was here. Look at the year again.";

/** A whole number as people type one: figures only. “-5”, “0x10” and “1e3” are none; null too. */
export function readWhole(text: string, least: number, most: number): number | null {
  const plain = text.trim();
  if (!/^\d{1,9}$/.test(plain)) return null;
  const value = Number(plain);
  return value >= least && value <= most ? value : null;
}

/** A decimal as people type one, with a point or a comma and either minus sign; null for what is none. */
export function readDecimal(text: string): number | null {
  const plain = text.trim().replace(",", ".").replace("−", "-");
  return /^-?\d{1,9}(\.\d{1,9})?$/.test(plain) ? Number(plain) : null;
}
