import "server-only";
import { randomUUID } from "node:crypto";
import { partKind } from "@/content/part-kinds";
import type { UnitKind } from "@/content/unit-kinds";
import { equipmentSchema } from "@/core/climate/run-hours";
import type { Part, SetUpStep, Unit } from "@/core/inventory/inventory";
import type { PlainDate } from "@/core/quantities/plain-date";
import { insertPart, insertSlot, movePartsToUnit, updatePart } from "@/db/repositories/parts";
import {
  dropDraft,
  insertSystem,
  insertUnit,
  saveDraft,
  updateSystem,
  updateUnit,
} from "@/db/repositories/units";
import { ownSystemOf } from "./air-systems";
import { createdAt, type OpenHome } from "./home-command";
import { record } from "./records";

/** What is to be changed of a unit; undefined takes a value away. */
export type UnitChange = { [K in keyof Unit]?: Unit[K] | undefined };

/** A unit with some of its fields changed or taken away. */
export function withFields(unit: Unit, change: UnitChange): Unit {
  const entries = Object.entries({ ...unit, ...change });
  return Object.fromEntries(entries.filter(([, value]) => value !== undefined)) as Unit;
}

type NewUnit = Pick<Unit, "kind" | "name" | "levelId"> &
  Partial<Pick<Unit, "roomId" | "attributes" | "setUpStep">>;

/** Enters a unit of which everything is known that there is to ask. Answers its id. */
export async function enterWhole(home: OpenHome, facts: NewUnit): Promise<string> {
  const system = ownSystemOf(facts);
  await insertSystem(home.tx, home.homeId, system);
  const id = randomUUID();
  const unit: Unit = { attributes: {}, ...facts, id, systemId: system.id, shutOffs: [] };
  await insertUnit(home.tx, home.homeId, unit, createdAt(home));
  return id;
}

/** Begins a unit: it is there at once and can be finished any time. Answers its id. */
export const beginUnit = (home: OpenHome, facts: NewUnit): Promise<string> =>
  enterWhole(home, { ...facts, setUpStep: "plate" });

/** Changes what is written of a unit; that it moved to another level is noted in its record. */
export async function changeUnit(home: OpenHome, unit: Unit, change: UnitChange): Promise<void> {
  const changed = withFields(unit, change);
  await updateUnit(home.tx, changed);
  if (changed.levelId === unit.levelId) return;
  const level = (id: string) => home.snapshot.levels.find((each) => each.id === id)?.name ?? "";
  await record(home, {
    kind: "note",
    unitId: unit.id,
    date: home.today,
    words: `Moved from ${level(unit.levelId)} to ${level(changed.levelId)}`,
  });
}

/** A second one of the same, with its slots and parts, and a record of its own. Answers its id. */
export async function copyUnit(home: OpenHome, unit: Unit, name: string): Promise<string> {
  const { tx, homeId, snapshot } = home;
  const id = randomUUID();
  const ownSystem = snapshot.systems.find((system) => system.id === unit.systemId);
  const isShared = snapshot.units.some(
    (each) => each.id !== unit.id && each.systemId === unit.systemId,
  );
  const { serial: _, setUpStep: __, retiredOn: ___, successorId: ____, ...alike } = unit;
  const systemId = isShared ? unit.systemId : randomUUID();
  if (!isShared && ownSystem) await insertSystem(tx, homeId, { ...ownSystem, id: systemId, name });
  const shutOffs = unit.shutOffs.map((off) => ({ ...off, id: randomUUID() }));
  await insertUnit(tx, homeId, { ...alike, id, name, systemId, shutOffs }, createdAt(home));
  const slots = snapshot.slots.filter((slot) => slot.unitId === unit.id);
  for (const [i, slot] of slots.entries())
    await insertSlot(tx, { ...slot, id: randomUUID(), unitId: id }, createdAt(home, i));
  const parts = snapshot.parts.filter((part) => part.unitId === unit.id);
  for (const [i, part] of parts.entries())
    await insertPart(tx, { ...part, id: randomUUID(), unitId: id }, createdAt(home, i));
  return id;
}

/** Takes a unit out of service; its record stays to be read. */
export const retireUnit = ({ tx }: OpenHome, unit: Unit, on: PlainDate): Promise<void> =>
  updateUnit(tx, { ...unit, retiredOn: on });

export const backIntoService = ({ tx }: OpenHome, unit: Unit): Promise<void> =>
  updateUnit(tx, withFields(unit, { retiredOn: undefined }));

/**
 * A new machine in the place of an old one. What belongs to the house goes over with its record;
 * what belonged to the old machine retires with it. Answers the successor's id.
 *
 * @param goingOver the slots and parts that stay in the house; others than the unit's are passed over
 */
export async function replaceUnit(
  home: OpenHome,
  unit: Unit,
  on: PlainDate,
  kind: UnitKind,
  goingOver: readonly string[],
): Promise<string> {
  const { tx, homeId, snapshot } = home;
  const { levelId, roomId, systemId, access, contactId, name } = unit;
  const isShared = snapshot.units.some((each) => each.id !== unit.id && each.systemId === systemId);
  const successor = withFields(
    {
      id: randomUUID(),
      levelId,
      systemId: isShared ? systemId : randomUUID(),
      kind: kind.id,
      name,
      attributes: {},
      shutOffs: unit.shutOffs.map((off) => ({ ...off, id: randomUUID() })),
      setUpStep: "plate",
    },
    { roomId, access, contactId, fittedOn: on },
  );
  if (!isShared) {
    const before = snapshot.systems.find((system) => system.id === systemId);
    const cools = kind.equipment.cools || (before?.equipment.cools ?? false);
    await insertSystem(tx, homeId, {
      id: successor.systemId,
      name,
      ducted: kind.ducted,
      equipment: equipmentSchema.parse({ ...kind.equipment, cools }),
    });
  }
  await insertUnit(tx, homeId, successor, createdAt(home));
  const own = [...snapshot.slots, ...snapshot.parts].flatMap((part) =>
    part.unitId === unit.id && goingOver.includes(part.id) ? part.id : [],
  );
  await movePartsToUnit(tx, own, successor.id);
  const old = { name: `${name}, the old one`, retiredOn: on, successorId: successor.id };
  await updateUnit(tx, { ...unit, ...old });
  return successor.id;
}

export type PartFacts = Omit<Part, "id" | "unitId" | "kind">;

/** Enters a part at a unit of this home; answers its id. */
export async function addPart(
  home: OpenHome,
  unitId: string,
  kind: string,
  facts: PartFacts,
  nth = 0,
): Promise<string> {
  const part: Part = { id: randomUUID(), unitId, kind, ...facts };
  await insertPart(home.tx, part, createdAt(home, nth));
  return part.id;
}

/** Changes what is written of a part; its kind and unit stay, and its plate unless that is told anew. */
export const changePart = (
  { tx }: OpenHome,
  { id, unitId, kind, identity = {} }: Part,
  facts: PartFacts,
): Promise<void> => updatePart(tx, { identity, ...facts, id, unitId, kind });

/** How many parts of a kind a unit is to have. */
export type WantedParts = { kind: string; count: number };

/** Enters the parts that a unit lacks yet. */
export async function addMissingParts(
  home: OpenHome,
  unitId: string,
  wanted: readonly WantedParts[],
): Promise<void> {
  let nth = 0;
  for (const { kind, count } of wanted) {
    const has = home.snapshot.parts.filter(
      (part) => part.unitId === unitId && part.kind === kind,
    ).length;
    const { name } = partKind(kind);
    for (let i = has; i < count; i++)
      await addPart(
        home,
        unitId,
        kind,
        { name: count > 1 ? `${name} ${i + 1}` : name, attributes: {} },
        nth++,
      );
  }
}

/** Keeps what is typed at a step, right or wrong, until the step is saved. */
export async function keepDraft(
  home: OpenHome,
  unitId: string,
  step: SetUpStep,
  typed: Record<string, string[]>,
): Promise<void> {
  if (home.snapshot.units.some((unit) => unit.id === unitId))
    await saveDraft(home.tx, unitId, step, typed, createdAt(home));
}

/** Ends a step of entering a unit: writes down what it asked for, and drops its draft. */
export async function endStep(
  { tx }: OpenHome,
  unit: Unit,
  step: SetUpStep,
  change: UnitChange,
): Promise<void> {
  await updateUnit(tx, withFields(unit, change));
  await dropDraft(tx, unit.id, step);
}

/** What a plate says of the air system: whether it cools, and its name where it was the unit's. */
export async function plateOfSystem(
  { tx, snapshot }: OpenHome,
  unit: Unit,
  { name, cools }: { name: string; cools: boolean | undefined },
): Promise<void> {
  const system = snapshot.systems.find((each) => each.id === unit.systemId);
  if (!system) return;
  await updateSystem(tx, {
    ...system,
    name: system.name === unit.name ? name : system.name,
    equipment: { ...system.equipment, cools: cools ?? system.equipment.cools },
  });
}

/** A machine joins another's air system: what one machine of a system can do, the system can. */
export async function joinSystem(
  { tx, snapshot }: OpenHome,
  unit: Unit,
  partnerId: string,
): Promise<void> {
  const partner = snapshot.systems.find((system) => system.id === partnerId);
  const own = snapshot.systems.find((system) => system.id === unit.systemId);
  if (!partner || !own || partner.id === own.id) return;
  await updateSystem(tx, {
    ...partner,
    equipment: {
      ...partner.equipment,
      heats: partner.equipment.heats || own.equipment.heats,
      cools: partner.equipment.cools || own.equipment.cools,
    },
  });
}
