import type { UnitSystem } from "@/core/quantities/length";
import { z } from "zod";
import { UNIT_KIND_IDS, unitKind } from "@/content/unit-kinds";
import { readPlainDate, type PlainDate } from "@/core/quantities/plain-date";
import { readAnswers, type Answers, type Question } from "@/core/register/question";
import {
  SHUT_OFF_KINDS,
  type HomeBook,
  type ShutOffKind,
  type Unit,
} from "@/core/register/register";

export const kindForm = z.object({
  kind: z.enum(UNIT_KIND_IDS, "Choose what kind of unit it is."),
});

type Typed = Record<string, string[]>;
/** What was read of some fields, and what is wrong with which of them. */
export type Read<T> = { values: T; problems: Record<string, string> };

const first = (typed: Typed, name: string): string => (typed[name]?.[0] ?? "").trim();

/** A form field of a question carries its key behind this. */
export const QUESTION_PREFIX = "q-";

export function readQuestions(
  questions: readonly Question[],
  typed: Typed,
  system: UnitSystem,
  today: PlainDate,
): Read<Answers> {
  const { answers, problems } = readAnswers(
    questions,
    (key) => first(typed, QUESTION_PREFIX + key),
    system,
    today,
  );
  const named = Object.entries(problems).map(([key, words]) => [QUESTION_PREFIX + key, words]);
  return { values: answers, problems: Object.fromEntries(named) };
}

const LONGEST: Readonly<Record<string, number>> = { note: 1000, access: 300, papers: 200 };
const USUAL_LONGEST = 120;

/** Plain words of some fields; the empty ones are left out. */
function readWords<K extends string>(
  typed: Typed,
  names: readonly K[],
  problems: Record<string, string>,
): Partial<Record<K, string>> {
  const words: Partial<Record<K, string>> = {};
  for (const name of names) {
    const text = first(typed, name);
    const longest = LONGEST[name] ?? USUAL_LONGEST;
    if (text.length > longest) problems[name] = `Shorter, please: up to ${longest} letters.`;
    else if (text !== "") words[name] = text;
  }
  return words;
}

function readDay(
  typed: Typed,
  name: string,
  problems: Record<string, string>,
  latest?: PlainDate,
): PlainDate | undefined {
  const text = first(typed, name);
  if (text === "") return undefined;
  const day = readPlainDate(text);
  if (!day) problems[name] = "That is not a day. Write it as year, month and day.";
  else if (latest && day > latest) problems[name] = "That day is still to come.";
  else return day;
  return undefined;
}

type Asked = { kind: string; system: UnitSystem; today: PlainDate };

/** What is on its plate: the name it goes by, make, model, serial, and what its kind is asked. */
export function readPlate(typed: Typed, { kind, system, today }: Asked) {
  const questions = readQuestions(unitKind(kind).questions, typed, system, today);
  const problems = { ...questions.problems };
  const name = first(typed, "name");
  if (name === "") problems["name"] = "Give it the name you call it by.";
  if (name.length > 60) problems["name"] = "A shorter name, please: up to 60 letters.";
  const values = {
    name,
    ...readWords(typed, ["make", "model", "serial", "refrigerant"], problems),
    fittedOn: readDay(typed, "fittedOn", problems, today),
    answers: questions.values,
  };
  return { values, problems } satisfies Read<unknown>;
}

export function readPlace(typed: Typed, book: Pick<HomeBook, "levels" | "rooms">) {
  const problems: Record<string, string> = {};
  const levelId = first(typed, "levelId");
  const roomId = first(typed, "roomId");
  const room = book.rooms.find((each) => each.id === roomId);
  if (!book.levels.some((level) => level.id === levelId))
    problems["levelId"] = "Choose where it stands.";
  else if (roomId !== "" && room?.levelId !== levelId)
    problems["roomId"] = "That room is on another level.";
  const values = { levelId, roomId: room?.id, ...readWords(typed, ["access"], problems) };
  return { values, problems } satisfies Read<unknown>;
}

/** Its papers: warranty, who services it, notes. */
export function readPapers(typed: Typed, book: Pick<HomeBook, "contacts">) {
  const problems: Record<string, string> = {};
  const registered = first(typed, "warrantyRegistered");
  const contactId = first(typed, "contactId");
  const values = {
    ...readWords(typed, ["papers", "note"], problems),
    warrantyEndsOn: readDay(typed, "warrantyEndsOn", problems),
    warrantyRegistered: registered === "" ? undefined : registered === "yes",
    contactId: book.contacts.find((contact) => contact.id === contactId)?.id,
  };
  return { values, problems } satisfies Read<unknown>;
}

export type ShutOffFields = { kind: ShutOffKind; place: string; offPosition?: string };

const rowSchema = z.object({
  kind: z.enum(SHUT_OFF_KINDS),
  place: z.string().max(200),
  offPosition: z.string().max(120),
});

/** The rows of shut-offs that say where; a row without a place was never filled in. */
export function readShutOffs(fields: Typed): ShutOffFields[] {
  const kindsOf = fields["shutOffKind"] ?? [];
  return kindsOf.flatMap((kind, i) => {
    const row = rowSchema.parse({
      kind,
      place: (fields["shutOffPlace"]?.[i] ?? "").trim(),
      offPosition: (fields["shutOffPosition"]?.[i] ?? "").trim(),
    });
    if (row.place === "") return [];
    const { offPosition, ...rest } = row;
    return [offPosition === "" ? rest : { ...rest, offPosition }];
  });
}

/** A unit with some of its fields read anew: what was emptied is dropped. */
export function withFields(unit: Unit, fields: { [K in keyof Unit]?: Unit[K] | undefined }): Unit {
  const changed = { ...unit, ...fields };
  return Object.fromEntries(
    Object.entries(changed).filter(([, value]) => value !== undefined),
  ) as Unit;
}
