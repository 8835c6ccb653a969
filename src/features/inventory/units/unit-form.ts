import type { UnitSystem } from "@/core/quantities/length";
import { z } from "zod";
import { UNIT_KIND_IDS, unitKind } from "@/content/unit-kinds";
import type { PlainDate } from "@/core/quantities/plain-date";
import {
  DAY_WORDS,
  isDay,
  ofReader,
  readDay as readHomeDay,
  type FormFields,
  type Read,
} from "@/lib/forms";
import { readAttributes, type Attributes, type Attribute } from "@/core/inventory/attribute";
import { SHUT_OFF_KINDS, type ShutOffKind } from "@/core/inventory/inventory";
import { type HomeSnapshot } from "@/core/history/home-snapshot";
import { attributeField } from "./unit-names";

export const kindForm = z.object({
  kind: z.enum(UNIT_KIND_IDS, "Choose what kind of unit it is."),
});

type Typed = FormFields;

const first = (typed: Typed, name: string): string => (typed[name]?.[0] ?? "").trim();

export function readUnitAttributes(
  definitions: readonly Attribute[],
  typed: Typed,
  system: UnitSystem,
  today: PlainDate,
): Read<Attributes> {
  const { attributes, problems } = readAttributes(
    definitions,
    (key) => first(typed, attributeField(key)),
    system,
    today,
  );
  const named = Object.entries(problems).map(([key, words]) => [attributeField(key), words]);
  return { values: attributes, problems: Object.fromEntries(named) };
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
  const day = readHomeDay(text);
  if (!isDay(day)) problems[name] = DAY_WORDS[day];
  else if (latest && day > latest) problems[name] = "That day is still to come.";
  else return day;
  return undefined;
}

type FormContext = { kind: string; system: UnitSystem; today: PlainDate };

/** What is on its plate: the name it goes by, make, model, serial, and what its kind is asked. */
export function readPlate(typed: Typed, { kind, system, today }: FormContext) {
  const questions = readUnitAttributes(unitKind(kind).attributes, typed, system, today);
  const problems = { ...questions.problems };
  const name = first(typed, "name");
  if (name === "") problems["name"] = "Give it the name you call it by.";
  if (name.length > 60) problems["name"] = "A shorter name, please: up to 60 letters.";
  const values = {
    name,
    ...readWords(typed, ["make", "model", "serial", "refrigerant"], problems),
    fittedOn: readDay(typed, "fittedOn", problems, today),
    attributes: questions.values,
  };
  return { values, problems } satisfies Read<unknown>;
}

export function readPlace(typed: Typed, snapshot: Pick<HomeSnapshot, "levels" | "rooms">) {
  const problems: Record<string, string> = {};
  const levelId = first(typed, "levelId");
  const roomId = first(typed, "roomId");
  const room = snapshot.rooms.find((each) => each.id === roomId);
  if (!snapshot.levels.some((level) => level.id === levelId))
    problems["levelId"] = "Choose where it stands.";
  else if (roomId !== "" && room?.levelId !== levelId)
    problems["roomId"] = "That room is on another level.";
  const values = { levelId, roomId: room?.id, ...readWords(typed, ["access"], problems) };
  return { values, problems } satisfies Read<unknown>;
}

/** Its papers: warranty, who services it, notes. */
export function readPapers(typed: Typed, snapshot: Pick<HomeSnapshot, "contacts">) {
  const problems: Record<string, string> = {};
  const registered = first(typed, "warrantyRegistered");
  const contactId = first(typed, "contactId");
  const values = {
    ...readWords(typed, ["papers", "note"], problems),
    warrantyEndsOn: readDay(typed, "warrantyEndsOn", problems),
    warrantyRegistered: registered === "" ? undefined : registered === "yes",
    contactId: snapshot.contacts.find((contact) => contact.id === contactId)?.id,
  };
  return { values, problems } satisfies Read<unknown>;
}

export type ShutOffFields = { kind: ShutOffKind; place: string; offPosition?: string };

const LONGEST_PLACE = 200;
const LONGEST_POSITION = 120;
const MOST_SHUT_OFFS = 12;

/**
 * The rows of shut-offs, each problem at its own field; a row in which nothing was filled in is not
 * there, one that says which position is off but not where asks for the place.
 */
export function readShutOffs(fields: Typed): Read<ShutOffFields[]> {
  const problems: Record<string, string> = {};
  const values = (fields["shutOffKind"] ?? []).flatMap((typed, i): ShutOffFields[] => {
    const kind = SHUT_OFF_KINDS.find((each) => each === typed);
    const place = (fields["shutOffPlace"]?.[i] ?? "").trim();
    const offPosition = (fields["shutOffPosition"]?.[i] ?? "").trim();
    if (place === "" && offPosition === "") return [];
    if (place === "") problems[`shutOffPlace-${i}`] = "Say where it is.";
    if (place.length > LONGEST_PLACE)
      problems[`shutOffPlace-${i}`] = `Shorter, please: up to ${LONGEST_PLACE} letters.`;
    if (offPosition.length > LONGEST_POSITION)
      problems[`shutOffPosition-${i}`] = `Shorter, please: up to ${LONGEST_POSITION} letters.`;
    if (i >= MOST_SHUT_OFFS)
      problems[`shutOffPlace-${i}`] = `${MOST_SHUT_OFFS} shut-offs are enough for one machine.`;
    return kind ? [{ kind, place, ...(offPosition === "" ? {} : { offPosition }) }] : [];
  });
  return { values, problems };
}

export type UnitContext = FormContext & Pick<HomeSnapshot, "levels" | "rooms" | "contacts">;

/** Everything that is written down of a unit; without a kind of its own it stays what it was. */
export const unitForm = ({ kind: before, system, today, ...home }: UnitContext) =>
  ofReader((typed) => {
    const kind = kindForm.safeParse({ kind: first(typed, "kind") }).data?.kind ?? before;
    const plate = readPlate(typed, { kind, system, today });
    const place = readPlace(typed, home);
    const papers = readPapers(typed, home);
    const offs = readShutOffs(typed);
    return {
      values: {
        ...{ make: undefined, model: undefined, serial: undefined, refrigerant: undefined },
        ...{ access: undefined, papers: undefined, note: undefined },
        ...plate.values,
        ...place.values,
        ...papers.values,
        kind,
        shutOffs: offs.values,
      },
      problems: { ...plate.problems, ...place.problems, ...papers.problems, ...offs.problems },
    };
  });
