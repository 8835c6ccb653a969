import { judgeInput, judgeKept, keptBySchema, READING_FLAGS } from "@/core/readings/judge";
import {
  isWordKind,
  MEASURED_KINDS,
  READING_KINDS,
  type MeasuredKind,
  type ReadingKind,
} from "@/core/readings/reading-kinds";
import { unitsFor } from "@/core/readings/reading-units";
import type { UnitSystem } from "@/core/quantities/length";
import type { ReadingTaken } from "@/core/history/history-event";
import { readDecimal } from "@/lib/forms";

/** The fields of a reading, as they stand in the form and in its live judgement. */
export type ReadingFields = Record<
  "kind" | "value" | "word" | "unit" | "rated" | "ratedMin" | "ratedMax" | "school" | "mode",
  string
> & { flags: string[] };

/** The fields as they stand in a form: for the live judgement, and for what is sent. */
export function readingFieldsOf(form: FormData): ReadingFields {
  const one = (name: string) => {
    const value = form.get(name);
    return typeof value === "string" ? value.trim() : "";
  };
  return {
    kind: one("kind"),
    value: one("value"),
    word: one("word"),
    unit: one("unit"),
    rated: one("rated"),
    ratedMin: one("ratedMin"),
    ratedMax: one("ratedMax"),
    school: one("school"),
    mode: one("mode"),
    flags: form.getAll("flags").filter((flag) => typeof flag === "string"),
  };
}

export type ReadReading =
  | { ok: true; taken: ReadingTaken }
  | { ok: false; errors: Partial<Record<keyof ReadingFields, string>> };

const FIELD_OF: Readonly<Record<string, keyof ReadingFields>> = { unit: "unit", rated: "rated" };

/** What a kind is compared with, and so what has to be asked. */
export function ratedOf(kind: ReadingKind): MeasuredKind["rated"] {
  if (kind === "plate-range") return "band";
  if (isWordKind(kind)) return "none";
  const facts: MeasuredKind = MEASURED_KINDS[kind];
  return facts.rated;
}

/**
 * A reading as it was typed, in the unit it is judged in; or what is wrong with which field. The
 * same on the server and while one types. Humidity is judged by the day’s fog limit, percent.
 */
export function readReading(
  fields: ReadingFields,
  system: UnitSystem,
  fogLimit?: number,
): ReadReading {
  const kind = READING_KINDS.find((each) => each === fields.kind);
  if (!kind) return { ok: false, errors: { kind: "Choose what was read." } };
  if (isWordKind(kind)) return parsed(kind, { value: fields.word || null }, null);
  const units = unitsFor(kind, system);
  const unit = units.find((each) => each.value === fields.unit) ?? units[0]!;
  const flags = fields.flags.filter((flag) => READING_FLAGS.some((each) => each === flag));
  const typedValue = readDecimal(fields.value);
  const value = typedValue === null ? null : leadsRight(kind, typedValue);
  if (value === null && flags.length === 0)
    return { ok: false, errors: { value: "Write the number that was read." } };
  const si = (typed: number | null) => (typed === null ? null : round(typed * unit.per));
  const wanted = ratedOf(kind);
  const plate = wanted === "band" ? (["ratedMin", "ratedMax"] as const) : (["rated"] as const);
  const unread = wanted === "none" ? [] : plate.filter((name) => isNoFigure(fields[name]));
  if (unread.length > 0)
    return { ok: false, errors: Object.fromEntries(unread.map((name) => [name, NO_FIGURE])) };
  const end = (name: (typeof plate)[number]) => si(readDecimal(fields[name]));
  const rated =
    wanted === "band"
      ? bandOf(end("ratedMin"), end("ratedMax"))
      : wanted === "value"
        ? end("rated")
        : null;
  const typed = value === null ? null : { value: fields.value.trim(), unit: unit.value };
  return parsed(
    kind,
    {
      value: si(value),
      unit: kind === "plate-range" ? unit.value : MEASURED_KINDS[kind].unit,
      rated,
      flags,
      school: fields.school || null,
      mode: fields.mode || null,
      ...(kind === "relative-humidity" && fogLimit !== undefined ? { limits: { fogLimit } } : {}),
    },
    typed,
  );
}

const NO_FIGURE = "A figure, as it stands on the plate; or nothing, where it is not known.";
const isNoFigure = (text: string): boolean => text !== "" && readDecimal(text) === null;

/** A plate’s range as far as it was read; null where none of it was. */
function bandOf(min: number | null, max: number | null): { min?: number; max?: number } | null {
  if (min === null && max === null) return null;
  return { ...(min === null ? {} : { min }), ...(max === null ? {} : { max }) };
}

/** A meter whose leads are the other way round shows a minus: the pilot gives what it gives. */
const leadsRight = (kind: ReadingKind, value: number): number =>
  areLeadsReversed(kind, value) ? -value : value;
/** Whether a figure is negative only because the meter’s leads were the other way round. */
export const areLeadsReversed = (kind: ReadingKind, value: number): boolean =>
  kind === "thermocouple-mv" && value < 0;
/** What is said of that, beside the verdict. */
export const LEADS_REVERSED =
  "A minus: the meter’s leads were the other way round. It counts without it.";

/** Ten places hide the last bits of a conversion, and nothing that anybody read. */
const round = (value: number) => Number(value.toPrecision(10));

function parsed(
  kind: ReadingKind,
  raw: Record<string, unknown>,
  typed: ReadingTaken["typed"] | null,
): ReadReading {
  const result = judgeInput.safeParse({ kind, ...raw });
  if (result.success)
    return { ok: true, taken: { ...result.data, kind, ...(typed ? { typed } : {}) } };
  const kept = withoutPlate(kind, raw);
  if (kept) return { ok: true, taken: { ...kept, kind, ...(typed ? { typed } : {}) } };
  const errors: Partial<Record<keyof ReadingFields, string>> = {};
  for (const issue of result.error.issues) {
    const path = String(issue.path[0] ?? "value");
    const field = FIELD_OF[path] ?? (isWordKind(kind) ? "word" : "value");
    errors[field] ??= messageOf(path, issue.message, kind);
  }
  return { ok: false, errors };
}

/** What is kept although nobody knows its plate, or only one end of it; null where something else is wrong. */
function withoutPlate(
  kind: ReadingKind,
  { rated, ...raw }: Record<string, unknown>,
): Omit<ReadingTaken, "kind"> | null {
  if (typeof rated === "number") return null;
  const by = keptBySchema.safeParse({
    rated,
    limits: raw["limits"] ?? null,
    school: raw["school"] ?? null,
    flags: raw["flags"] ?? null,
    mode: raw["mode"] ?? null,
  });
  const { value, unit } = raw;
  if (!by.success || typeof value !== "number" || typeof unit !== "string") return null;
  const { min, max } = (by.data.rated ?? {}) as { min?: number; max?: number };
  // The wrong way round is a slip, and no half of a plate.
  if (min !== undefined && max !== undefined) return null;
  const taken = { value, unit, ...by.data };
  return judgeKept({ kind, ...taken }) ? taken : null;
}

/** The core’s message in a householder’s words. */
function messageOf(path: string, message: string, kind: ReadingKind): string {
  if (isWordKind(kind)) return "Choose the word that comes nearest.";
  if (path === "rated") return "Write what is printed on it: more than 0.";
  return `${message.charAt(0).toUpperCase()}${message.slice(1)}.`;
}
