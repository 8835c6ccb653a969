import { findDraft } from "@/server/snapshots/beside";
import type { UnitSystem } from "@/core/quantities/length";
import "server-only";
import type { Identity } from "@/core/inventory/identity";
import { kindAtPlate } from "@/presentation/identity-words";
import { movesAir, partsToExpect, unitKind } from "@/content/unit-kinds";
import type { PlainDate } from "@/core/quantities/plain-date";
import { degreesText } from "@/core/quantities/temperature";
import { attributeText, type Attributes, type Attribute } from "@/core/inventory/attribute";
import type { AirSystem, Part, SetUpStep, Unit } from "@/core/inventory/inventory";
import type { HomeSnapshot } from "@/core/history/home-snapshot";
import { homeSnapshot } from "@/server/snapshots/snapshot-cache";
import { partKind } from "@/content/part-kinds";
import { todayIn } from "@/lib/clock";
import { airflowText } from "../air-systems/system-form";
import { asksForCooling } from "../guided-add/set-up";
import { attributeField } from "./unit-names";

type Values = Record<string, string[]>;

const attributeFields = (
  definitions: readonly Attribute[],
  attributes: Attributes,
  system: UnitSystem,
): Values =>
  Object.fromEntries(
    definitions.map((attribute) => {
      const answer = attributes[attribute.key];
      return [
        attributeField(attribute.key),
        [answer === undefined ? "" : attributeText(attribute, answer, system)],
      ];
    }),
  );

export type UnitPage = { snapshot: HomeSnapshot; unit: Unit; today: PlainDate };

export async function unitPageOf(homeId: string, unitId: string): Promise<UnitPage | null> {
  const snapshot = await homeSnapshot(homeId);
  const unit =
    snapshot && [...snapshot.units, ...snapshot.retired].find((each) => each.id === unitId);
  return unit ? { snapshot, unit, today: todayIn(snapshot.home.timeZone) } : null;
}

const plain = (unit: Unit, names: readonly (keyof Unit)[]): Values =>
  Object.fromEntries(
    names.map((name) => [name, [typeof unit[name] === "string" ? (unit[name] as string) : ""]]),
  );

/** A unit as the forms that enter or change it show it. */
export function unitFieldsOf({ snapshot: book, unit }: UnitPage): Values {
  const system = book.systems.find((each) => each.id === unit.systemId);
  const { warrantyRegistered: registered } = unit;
  return {
    kind: [unit.kind],
    ...plain(unit, ["name", "make", "model", "serial", "refrigerant", "fittedOn"]),
    ...plain(unit, ["levelId", "roomId", "access", "papers", "note"]),
    ...plain(unit, ["warrantyEndsOn", "contactId"]),
    warrantyRegistered: [registered === undefined ? "" : registered ? "yes" : "no"],
    ...attributeFields(unitKind(unit.kind).attributes, unit.attributes, book.home.unitSystem),
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
  const draft = await findDraft(page.unit.id, step);
  if (draft) return draft;
  const { snapshot: book, unit } = page;
  const parts = partsToExpect(unit.kind, unit.attributes);
  const system = book.systems.find((each) => each.id === unit.systemId);
  const coolsToo = asksForCooling(unit.kind) && (system?.equipment.cools ?? false);
  const isLikely = (kind: string, usual: boolean) =>
    usual || (coolsToo && PARTS_OF_COOLING.includes(kind));
  const has = book.parts.filter((part) => part.unitId === unit.id).map((part) => part.kind);
  // The coil of a furnace that cools is one, whichever of the two machines it is entered at.
  const mates = book.units.filter(
    ({ id, systemId }) => systemId === unit.systemId && id !== unit.id,
  );
  const isElsewhere = (kind: string) =>
    PARTS_OF_COOLING.includes(kind) &&
    book.parts.some((part) => part.kind === kind && mates.some(({ id }) => id === part.unitId));
  // One that is being entered may have a part already, found outside on the first walk.
  const isFirst = has.length === 0 || unit.setUpStep !== undefined;
  return {
    ...unitFieldsOf(page),
    part: parts
      .filter(
        ({ kind, usual }) =>
          has.includes(kind) || (isFirst && isLikely(kind, usual) && !isElsewhere(kind)),
      )
      .map((p) => p.kind),
  };
}

/** The systems of other machines that one could run with. */
export const partnersOf = ({
  snapshot: book,
  unit,
}: UnitPage): { value: string; label: string }[] =>
  book.systems
    .filter((system) => system.id !== unit.systemId)
    .flatMap((system) => {
      const members = book.units.filter((each) => each.systemId === system.id);
      return system.ducted && members.length > 0
        ? [{ value: system.id, label: `together with ${members.map((m) => m.name).join(", ")}` }]
        : [];
    });

/** A part as its form shows it. */
export function partFieldsOf(snapshot: HomeSnapshot, part: Part): Values {
  const { attributes: questions = [] } = partKind(part.kind);
  return {
    name: [part.name],
    place: [part.place ?? ""],
    roomId: [part.roomId ?? ""],
    note: [part.note ?? ""],
    ...attributeFields(questions, part.attributes, snapshot.home.unitSystem),
  };
}

export async function partPageOf(homeId: string, partId: string) {
  const snapshot = await homeSnapshot(homeId);
  const part = snapshot?.parts.find((each) => each.id === partId);
  if (!snapshot || !part) return null;
  return {
    snapshot,
    part,
    done: partKind(part.kind).done,
    today: todayIn(snapshot.home.timeZone),
    fields: partFieldsOf(snapshot, part),
  };
}

/** What the plate of a part or a filter’s slot says, so far. */
export async function identityPageOf(
  homeId: string,
  partId: string,
): Promise<{ name: string; kind: string; identity: Identity } | null> {
  const snapshot = await homeSnapshot(homeId);
  const slot = snapshot?.slots.find(({ id }) => id === partId);
  const part = snapshot?.parts.find(({ id }) => id === partId);
  const found = slot ?? part;
  return found
    ? { name: found.name, kind: kindAtPlate(slot, part), identity: found.identity ?? {} }
    : null;
}

export type SystemRow = { system: AirSystem; members: Unit[]; movesAir: boolean };

/** What runs, with its machines: the air systems, and each boiler by itself. */
export async function systemsOf(
  homeId: string,
): Promise<{ snapshot: HomeSnapshot; rows: SystemRow[] } | null> {
  const snapshot = await homeSnapshot(homeId);
  if (!snapshot) return null;
  const rows = snapshot.systems.flatMap((system) => {
    const members = snapshot.units.filter((unit) => unit.systemId === system.id);
    const runs = members.some((unit) => unitKind(unit.kind).runs);
    const isAir = members.some((unit) => movesAir(unit.kind));
    return runs ? [{ system, members, movesAir: isAir }] : [];
  });
  return { snapshot, rows };
}

const figure = (value: number) => String(Math.round(value * 10) / 10);

/** How a system runs, as its form shows it in the home's own units. */
export function systemFieldsOf(
  snapshot: HomeSnapshot,
  { system, members }: Pick<SystemRow, "system" | "members">,
): Values {
  const { equipment, airflowM3h, name } = system;
  const isUs = snapshot.home.unitSystem === "us";
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
    airflow: [airflowM3h === undefined ? "" : airflowText(airflowM3h, snapshot.home.unitSystem)],
    useShare: [figure(equipment.useShare * 100)],
    heatBalance: [degrees(equipment.heatBalanceC)],
    coolBalance: [degrees(equipment.coolBalanceC)],
    inUseFrom: [inUse?.[0]?.from ?? ""],
    inUseTo: [inUse?.[0]?.to ?? ""],
  };
}

/** The machines that may run in an air system. */
export const membersFor = (
  snapshot: HomeSnapshot,
  systemId: string,
): { id: string; name: string }[] =>
  snapshot.units
    .filter((unit) => movesAir(unit.kind) || unit.systemId === systemId)
    .map(({ id, name }) => ({ id, name }));

/** The kinds of part that machines of this sort have. */
export const usualPartsOf = ({ unit }: UnitPage): string[] =>
  unitKind(unit.kind).parts.map(({ kind }) => kind);
