import type { UnitSystem } from "@/core/quantities/length";
import "server-only";
import { movesAir, unitKind } from "@/content/unit-kinds";
import type { PlainDate } from "@/core/quantities/plain-date";
import { degreesText } from "@/core/quantities/temperature";
import { answerText, type Answers, type Question } from "@/core/inventory/attribute";
import type { AirSystem, HomeBook, Part, SetUpStep, Unit } from "@/core/inventory/inventory";
import { appStore } from "@/db/app-store";
import { homeBook } from "@/db/home-book";
import { findDraft } from "@/db/repositories/units";
import { partKind } from "@/content/part-kinds";
import { todayIn } from "@/lib/clock";
import { airflowText } from "../air-systems/system-form";
import { asksForCooling } from "../guided-add/set-up";
import { QUESTION_PREFIX } from "./unit-form";

type Values = Record<string, string[]>;

const answerFields = (
  questions: readonly Question[],
  answers: Answers,
  system: UnitSystem,
): Values =>
  Object.fromEntries(
    questions.map((question) => {
      const answer = answers[question.key];
      return [
        QUESTION_PREFIX + question.key,
        [answer === undefined ? "" : answerText(question, answer, system)],
      ];
    }),
  );

export type UnitPage = { book: HomeBook; unit: Unit; today: PlainDate };

export async function unitPageOf(homeId: string, unitId: string): Promise<UnitPage | null> {
  const book = await homeBook(homeId);
  const unit = book && [...book.units, ...book.retired].find((each) => each.id === unitId);
  return unit ? { book, unit, today: todayIn(book.home.timeZone) } : null;
}

const plain = (unit: Unit, names: readonly (keyof Unit)[]): Values =>
  Object.fromEntries(
    names.map((name) => [name, [typeof unit[name] === "string" ? (unit[name] as string) : ""]]),
  );

/** A unit as the forms that enter or change it show it. */
export function unitFieldsOf({ book, unit }: UnitPage): Values {
  const system = book.systems.find((each) => each.id === unit.systemId);
  const { warrantyRegistered: registered } = unit;
  return {
    kind: [unit.kind],
    ...plain(unit, ["name", "make", "model", "serial", "refrigerant", "fittedOn"]),
    ...plain(unit, ["levelId", "roomId", "access", "papers", "note"]),
    ...plain(unit, ["warrantyEndsOn", "contactId"]),
    warrantyRegistered: [registered === undefined ? "" : registered ? "yes" : "no"],
    ...answerFields(unitKind(unit.kind).questions, unit.answers, book.home.unitSystem),
    ...(system?.equipment.cools ? { cools: ["on"] } : {}),
    shutOffKind: unit.shutOffs.map((off) => off.kind),
    shutOffPlace: unit.shutOffs.map((off) => off.place),
    shutOffPosition: unit.shutOffs.map((off) => off.offPosition ?? ""),
  };
}

/** What stands in a furnace once it cools too. */
const PARTS_OF_COOLING: readonly string[] = ["evaporator-coil", "drain-pan", "condensate-line"];

/** The fields of a step: what was typed and not saved, else what is known, else what is usual. */
export async function stepFieldsOf(page: UnitPage, step: SetUpStep): Promise<Values> {
  const { db } = await appStore();
  const draft = await findDraft(db, page.unit.id, step);
  if (draft) return draft;
  const { book, unit } = page;
  const { parts } = unitKind(unit.kind);
  const system = book.systems.find((each) => each.id === unit.systemId);
  const coolsToo = asksForCooling(unit.kind) && (system?.equipment.cools ?? false);
  const isLikely = (kind: string, usual: boolean) =>
    usual || (coolsToo && PARTS_OF_COOLING.includes(kind));
  const has = book.parts.filter((part) => part.unitId === unit.id).map((part) => part.kind);
  const isFirst = has.length === 0;
  return {
    ...unitFieldsOf(page),
    part: parts
      .filter(({ kind, usual }) => (isFirst ? isLikely(kind, usual) : has.includes(kind)))
      .map((p) => p.kind),
  };
}

/** The systems of other machines that one could run with. */
export const partnersOf = ({ book, unit }: UnitPage): { value: string; label: string }[] =>
  book.systems
    .filter((system) => system.id !== unit.systemId)
    .flatMap((system) => {
      const members = book.units.filter((each) => each.systemId === system.id);
      return system.ducted && members.length > 0
        ? [{ value: system.id, label: `together with ${members.map((m) => m.name).join(", ")}` }]
        : [];
    });

/** A part as its form shows it. */
export function partFieldsOf(book: HomeBook, part: Part): Values {
  const { questions = [] } = partKind(part.kind);
  return {
    name: [part.name],
    place: [part.place ?? ""],
    roomId: [part.roomId ?? ""],
    note: [part.note ?? ""],
    ...answerFields(questions, part.answers, book.home.unitSystem),
  };
}

export async function partPageOf(homeId: string, partId: string) {
  const book = await homeBook(homeId);
  const part = book?.parts.find((each) => each.id === partId);
  if (!book || !part) return null;
  return {
    book,
    part,
    done: partKind(part.kind).done,
    today: todayIn(book.home.timeZone),
    fields: partFieldsOf(book, part),
  };
}

export type SystemRow = { system: AirSystem; members: Unit[]; movesAir: boolean };

/** What runs, with its machines: the air systems, and each boiler by itself. */
export async function systemsOf(
  homeId: string,
): Promise<{ book: HomeBook; rows: SystemRow[] } | null> {
  const book = await homeBook(homeId);
  if (!book) return null;
  const rows = book.systems.flatMap((system) => {
    const members = book.units.filter((unit) => unit.systemId === system.id);
    const runs = members.some((unit) => unitKind(unit.kind).runs);
    const isAir = members.some((unit) => movesAir(unit.kind));
    return runs ? [{ system, members, movesAir: isAir }] : [];
  });
  return { book, rows };
}

const figure = (value: number) => String(Math.round(value * 10) / 10);

/** How a system runs, as its form shows it in the home's own units. */
export function systemFieldsOf(
  book: HomeBook,
  { system, members }: Pick<SystemRow, "system" | "members">,
): Values {
  const { equipment, airflowM3h, name } = system;
  const isUs = book.home.unitSystem === "us";
  const degrees = (celsius: number) => degreesText(celsius, isUs ? "F" : "C");
  const { fan, inUse } = equipment;
  return {
    name: [name],
    members: members.map((unit) => unit.id),
    ...(equipment.heats ? { heats: ["on"] } : {}),
    ...(equipment.cools ? { cools: ["on"] } : {}),
    fanMode: [fan.mode],
    fanHours: [fan.hours === undefined ? "" : figure(fan.hours)],
    fanLevel: [fan.level === undefined ? "" : figure(fan.level * 100)],
    airflow: [airflowM3h === undefined ? "" : airflowText(airflowM3h, book.home.unitSystem)],
    useShare: [figure(equipment.useShare * 100)],
    heatBalance: [degrees(equipment.heatBalanceC)],
    coolBalance: [degrees(equipment.coolBalanceC)],
    inUseFrom: [inUse?.[0]?.from ?? ""],
    inUseTo: [inUse?.[0]?.to ?? ""],
  };
}

/** The machines that may run in an air system. */
export const membersFor = (book: HomeBook, systemId: string): { id: string; name: string }[] =>
  book.units
    .filter((unit) => movesAir(unit.kind) || unit.systemId === systemId)
    .map(({ id, name }) => ({ id, name }));

/** The kinds of part that machines of this sort have. */
export const usualPartsOf = ({ unit }: UnitPage): string[] =>
  unitKind(unit.kind).parts.map(({ kind }) => kind);
