import { and, asc, eq, inArray, isNull } from "drizzle-orm";
import { z } from "zod";
import { equipmentSchema } from "@/core/climate/run-hours";
import { dayIn, type PlainDate } from "@/core/quantities/plain-date";
import type { AirSystem, SetUpStep, ShutOff, ShutOffKind, Unit } from "@/core/inventory/inventory";
import type { Reader, Tx } from "../client";
import { withoutNulls, readAttributesColumn, readJson } from "../columns";
import { airSystems, homes, measuredHours, setUpDrafts, shutOffs, units } from "../schema";

/** What an air system is taken to be where what is stored of it cannot be read. */
const STILL = equipmentSchema.parse({ heats: false, cools: false, fan: { mode: "auto" } });
const equipmentOf = (column: string) => {
  const read = equipmentSchema.safeParse(readJson(column));
  return read.success ? read.data : STILL;
};

const typedSchema = z.record(z.string(), z.array(z.string()));

export async function listSystems(db: Reader, homeId: string): Promise<AirSystem[]> {
  const rows = await db.select().from(airSystems).where(eq(airSystems.homeId, homeId));
  return rows.map(({ id, name, ducted, equipment, airflowM3h }) => ({
    id,
    name,
    ducted,
    equipment: equipmentOf(equipment),
    ...withoutNulls({ airflowM3h }),
  }));
}

export async function insertSystem(tx: Tx, homeId: string, system: AirSystem): Promise<void> {
  await tx
    .insert(airSystems)
    .values({ ...system, homeId, equipment: JSON.stringify(system.equipment) });
}

export async function updateSystem(tx: Tx, system: AirSystem): Promise<void> {
  const { id, name, ducted, equipment, airflowM3h = null } = system;
  await tx
    .update(airSystems)
    .set({ name, ducted, equipment: JSON.stringify(equipment), airflowM3h })
    .where(eq(airSystems.id, id));
}

/** The units of a home, each with its shut-offs in order; the deleted ones are left out. */
export async function listUnits(db: Reader, homeId: string): Promise<Unit[]> {
  const found = await db
    .select({ unit: units, timeZone: homes.timeZone })
    .from(units)
    .innerJoin(homes, eq(homes.id, units.homeId))
    .where(and(eq(units.homeId, homeId), isNull(units.deletedAt)))
    .orderBy(asc(units.createdAt), asc(units.id));
  if (found.length === 0) return [];
  const rows = found.map(({ unit, timeZone }) => ({ ...unit, timeZone }));
  const offs = await db
    .select()
    .from(shutOffs)
    .where(
      inArray(
        shutOffs.unitId,
        rows.map((row) => row.id),
      ),
    )
    .orderBy(asc(shutOffs.ordinal));
  return rows.map((row) => ({
    id: row.id,
    levelId: row.levelId,
    systemId: row.systemId,
    kind: row.kind,
    name: row.name,
    attributes: readAttributesColumn(row.answers),
    enteredOn: dayIn(row.timeZone, Date.parse(row.createdAt)),
    ...withoutNulls({
      roomId: row.roomId,
      make: row.make,
      model: row.model,
      serial: row.serial,
      refrigerant: row.refrigerant,
      fittedOn: row.fittedOn as PlainDate | null,
      papers: row.papers,
      warrantyEndsOn: row.warrantyEndsOn as PlainDate | null,
      warrantyRegistered: row.warrantyRegistered,
      contactId: row.contactId,
      access: row.access,
      note: row.note,
      setUpStep: row.setUpStep as SetUpStep | null,
      purchaseMinor: row.purchaseMinor,
      replacementMinor: row.replacementMinor,
      retiredOn: row.retiredOn as PlainDate | null,
      successorId: row.successorId,
    }),
    shutOffs: offs
      .filter((off) => off.unitId === row.id)
      .map((off) => ({
        id: off.id,
        kind: off.kind as ShutOffKind,
        place: off.place,
        ...(off.offPosition === null ? {} : { offPosition: off.offPosition }),
      })),
  }));
}

export async function homeOfUnit(db: Reader, unitId: string): Promise<string | null> {
  const rows = await db.select({ homeId: units.homeId }).from(units).where(eq(units.id, unitId));
  return rows[0]?.homeId ?? null;
}

function toRow(unit: Unit) {
  const { levelId, systemId, kind, name } = unit;
  return {
    levelId,
    systemId,
    kind,
    name,
    roomId: unit.roomId ?? null,
    make: unit.make ?? null,
    model: unit.model ?? null,
    serial: unit.serial ?? null,
    refrigerant: unit.refrigerant ?? null,
    purchaseMinor: unit.purchaseMinor ?? null,
    replacementMinor: unit.replacementMinor ?? null,
    fittedOn: unit.fittedOn ?? null,
    papers: unit.papers ?? null,
    warrantyEndsOn: unit.warrantyEndsOn ?? null,
    warrantyRegistered: unit.warrantyRegistered ?? null,
    contactId: unit.contactId ?? null,
    access: unit.access ?? null,
    note: unit.note ?? null,
    answers: JSON.stringify(unit.attributes),
    setUpStep: unit.setUpStep ?? null,
    retiredOn: unit.retiredOn ?? null,
    successorId: unit.successorId ?? null,
  };
}

export async function insertUnit(
  tx: Tx,
  homeId: string,
  unit: Unit,
  createdAt: string,
): Promise<void> {
  await tx.insert(units).values({ id: unit.id, homeId, ...toRow(unit), createdAt });
  await insertShutOffs(tx, unit.id, unit.shutOffs);
}

/** The shut-offs are the unit's own list and are written anew with it. */
export async function updateUnit(tx: Tx, unit: Unit): Promise<void> {
  await tx.update(units).set(toRow(unit)).where(eq(units.id, unit.id));
  await tx.delete(shutOffs).where(eq(shutOffs.unitId, unit.id));
  await insertShutOffs(tx, unit.id, unit.shutOffs);
}

/** What was typed at a step and not saved yet. */
export async function findDraft(
  db: Reader,
  unitId: string,
  step: SetUpStep,
): Promise<Record<string, string[]> | null> {
  const rows = await db
    .select({ typed: setUpDrafts.typed })
    .from(setUpDrafts)
    .where(and(eq(setUpDrafts.unitId, unitId), eq(setUpDrafts.step, step)));
  return rows[0] ? typedSchema.parse(JSON.parse(rows[0].typed)) : null;
}

export async function saveDraft(
  tx: Tx,
  unitId: string,
  step: SetUpStep,
  typed: Record<string, string[]>,
  savedAt: string,
): Promise<void> {
  const row = { typed: JSON.stringify(typed), savedAt };
  await tx
    .insert(setUpDrafts)
    .values({ unitId, step, ...row })
    .onConflictDoUpdate({ target: [setUpDrafts.unitId, setUpDrafts.step], set: row });
}

export async function dropDraft(tx: Tx, unitId: string, step: SetUpStep): Promise<void> {
  await tx
    .delete(setUpDrafts)
    .where(and(eq(setUpDrafts.unitId, unitId), eq(setUpDrafts.step, step)));
}

async function insertShutOffs(tx: Tx, unitId: string, list: readonly ShutOff[]): Promise<void> {
  if (list.length === 0) return;
  await tx.insert(shutOffs).values(list.map((off, ordinal) => ({ ...off, unitId, ordinal })));
}

export async function markUnitDeleted(tx: Tx, id: string, at: string | null): Promise<void> {
  await tx.update(units).set({ deletedAt: at }).where(eq(units.id, id));
}

export async function listMeasuredHours(db: Reader, systemIds: readonly string[]) {
  if (systemIds.length === 0) return [];
  const rows = await db
    .select()
    .from(measuredHours)
    .where(inArray(measuredHours.systemId, [...systemIds]))
    .orderBy(asc(measuredHours.date));
  return rows.map((row) => ({
    systemId: row.systemId,
    date: row.date as PlainDate,
    hours: row.runHours,
  }));
}
