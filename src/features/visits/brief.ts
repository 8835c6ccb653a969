import { SHUT_OFF_WORDS } from "@/content/words";
import { unitKind } from "@/content/unit-kinds";
import type { JudgedReading } from "@/core/history/readings-taken";
import { plateWords, type Unit } from "@/core/inventory/inventory";
import { dateWords, dayAndMonth, inSentence } from "@/core/quantities/words";
import { partNumbers } from "@/presentation/identity-words";
import { crossingWords } from "@/presentation/trend-words";
import { offWords } from "@/presentation/shut-off-words";
import { slotTitle } from "@/presentation/slot-words";
import { likelyWords } from "./likely-words";
import { noticedOf } from "./noticed-words";
import { figureOf, readLines, type VisitPage } from "./visit-queries";

/** A reading of a machine: the last one, those before it, the latest first, and where it is going. */
export type BriefReading = {
  key: string;
  name: string;
  last: string;
  before: string;
  trend: string;
};

/** What a technician wants to know before setting out, in words. */
export type Brief = {
  title: string;
  intro: string;
  /** Parts likely to be needed, with their numbers, and why. */
  bring: { id: string; what: string; why: string }[];
  machines: {
    id: string;
    name: string;
    facts: [name: string, words: string][];
    readings: BriefReading[];
  }[];
  deferred: string[];
  questions: string;
};

function factsOf({ snapshot, today, due }: VisitPage, unit: Unit): [string, string][] {
  const slots = snapshot.slots.filter((slot) => slot.unitId === unit.id);
  const level = snapshot.levels.find(({ id }) => id === unit.levelId)?.name;
  const room = snapshot.rooms.find(({ id }) => id === unit.roomId)?.name;
  const parts = [...slots, ...snapshot.parts.filter(({ unitId }) => unitId === unit.id)];
  const tools = parts.flatMap(({ identity }) =>
    identity?.tool
      ? [`${identity.tool}${identity.toolHangs ? `, hangs ${identity.toolHangs}` : ""}`]
      : [],
  );
  const offs = unit.shutOffs.map(
    (off) => `${SHUT_OFF_WORDS[off.kind]}: ${off.place}, ${offWords(off)}`,
  );
  const jobs = due
    .filter(({ task }) => task.unitId === unit.id)
    .map(({ task, due: day }) => `${inSentence(task.name)} (${dayAndMonth(day!, today)})`);
  const facts: [string, string | undefined][] = [
    ["Plate", [unitKind(unit.kind).name, plateWords(unit), unit.serial].filter(Boolean).join(", ")],
    ["Where", [level, room].filter(Boolean).join(", ")],
    ["To get at it", unit.access],
    ["Refrigerant", unit.refrigerant],
    ["Papers", unit.papers],
    ["Shut off", offs.join("; ")],
    ["Filters", slots.map((slot) => slotTitle(slot)).join("; ")],
    ["Its own tool", tools.join("; ")],
    ["Noticed", noticedOf(snapshot, unit.id, today).join("; ")],
    ["Due", jobs.join("; ")],
  ];
  return facts.flatMap(([name, words]) => (words ? [[name, words] as [string, string]] : []));
}

/** Everything of a planned visit that belongs on one sheet. */
export function briefOf(page: VisitPage): Brief {
  const { snapshot, today, visit, row, units, deferred, likely } = page;
  const lines = readLines(snapshot, visit.unitIds, today);
  const read = (each: JudgedReading) =>
    `${figureOf(snapshot, each)} (${dayAndMonth(each.event.date, today)})`;
  return {
    title: `${snapshot.home.name}: brief for a visit`,
    intro: [
      `${row.why}, ${visit.on ? dateWords(visit.on, today) : "no day yet"}; ${row.who}.`,
      snapshot.home.localRules,
    ]
      .filter(Boolean)
      .join(" "),
    bring: likely.map((part) => ({
      id: part.part.id,
      what: [part.part.name, partNumbers(part.part)].filter(Boolean).join(", "),
      why: likelyWords(part, today),
    })),
    machines: units.map(({ unit }) => ({
      id: unit.id,
      name: unit.name,
      facts: factsOf(page, unit),
      readings: (lines.find(({ unitId }) => unitId === unit.id)?.lines ?? []).map(
        ({ name, kind, now, before, going }) => ({
          key: `${name} ${kind}`,
          name,
          last: read(now),
          before: before.map(read).reverse().join(", "),
          trend: going ? crossingWords(going, today) : "",
        }),
      ),
    })),
    deferred: deferred.map(({ words, advice, until }) =>
      [words, advice, until && `until ${dateWords(until, today)}`].filter(Boolean).join("; "),
    ),
    questions: visit.questions ?? "",
  };
}

/** The brief as plain text, for a letter or a message. */
export function briefText({ title, intro, bring, machines, deferred, questions }: Brief): string {
  const part = (name: string, lines: readonly string[]) =>
    lines.length > 0 ? ["", name.toUpperCase(), ...lines] : [];
  return [
    title,
    intro,
    ...part(
      "Please bring",
      bring.map(({ what, why }) => `- ${what}: ${why}`),
    ),
    ...machines.flatMap(({ name, facts, readings }) =>
      part(name, [
        ...facts.map(([fact, words]) => `${fact}: ${words}`),
        ...readings.map(
          (each) =>
            `${each.name}: ${each.last}${each.before ? `; before: ${each.before}` : ""}${each.trend ? `; ${each.trend}` : ""}`,
        ),
      ]),
    ),
    ...part(
      "Put off before",
      deferred.map((words) => `- ${words}`),
    ),
    ...part("We want to ask", questions === "" ? [] : [questions]),
  ].join("\n");
}
