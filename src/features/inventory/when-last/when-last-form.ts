import {
  LONG_BEFORE,
  isDay,
  DAY_WORDS,
  readPastDay,
  type FormFields,
  type Read,
} from "@/lib/forms";
import type { PlainDate } from "@/core/quantities/plain-date";

/** A job whose past is asked for, as far as its field needs it. */
export type AskedJob = { id: string; earliest: PlainDate | null };

/** What is known of one: the day, or that nobody ever did it. What nobody knows is not in it. */
export type Known = { id: string; last: PlainDate } | { id: string; last: "never" };

/** The field of a job; a dot in a name would part it. */
export const lastField = (id: string): string => `last-${id.replaceAll(".", "~")}`;
export const NEVER_FIELD = "never";

/** Reads when each job was last done; an empty field is one that nobody knows. */
export function readWhenLast(
  typed: FormFields,
  jobs: readonly AskedJob[],
  today: PlainDate,
): Read<Known[]> {
  const problems: Record<string, string> = {};
  const values = jobs.flatMap(({ id, earliest }): Known[] => {
    const text = (typed[lastField(id)]?.[0] ?? "").trim();
    if (text === "") return typed[NEVER_FIELD]?.includes(id) ? [{ id, last: "never" }] : [];
    const day = readPastDay(text, today);
    if (!isDay(day)) problems[lastField(id)] = DAY_WORDS[day];
    else if (earliest && day < earliest) problems[lastField(id)] = LONG_BEFORE;
    else return [{ id, last: day }];
    return [];
  });
  return { values, problems };
}
