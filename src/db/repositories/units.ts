import { and, asc, eq, inArray, isNull } from "drizzle-orm";
import { equipmentSchema } from "@/core/climate/run-hours";
import type { PlainDate } from "@/core/quantities/plain-date";
import type { AirSystem, ShutOff, ShutOffKind, Unit } from "@/core/register/register";
import type { Reader, Tx } from "../client";
import { airSystems, measuredHours, shutOffs, units } from "../schema";

export async function listSystems(db: Reader, homeId: string): Promise<AirSystem[]> {
  const rows = await db.select().from(airSystems).where(eq(airSystems.homeId, homeId));
  return rows.map(({ id, name, ducted, equipment }) => ({
    id,
    name,
    ducted,
    equipment: equipmentSchema.parse(JSON.parse(equipment)),
  }));
}

export async function insertSystem(tx: Tx, homeId: string, system: AirSystem): Promise<void> {
  await tx
    .insert(airSystems)
    .values({ ...system, homeId, equipment: JSON.stringify(system.equipment) });
}

export async function updateSystem(tx: Tx, system: AirSystem): Promise<void> {
  const { id, name, ducted, equipment } = system;
  await tx
    .update(airSystems)
    .set({ name, ducted, equipment: JSON.stringify(equipment) })
    .where(eq(airSystems.id, id));
}

/** The units of a home, each with its shut-offs in order; the deleted ones are left out. */
export async function listUnits(db: Reader, homeId: string): Promise<Unit[]> {
  const rows = await db
    .select()
    .from(units)
    .where(and(eq(units.homeId, homeId), isNull(units.deletedAt)))
    .orderBy(asc(units.createdAt));
  if (rows.length === 0) return [];
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
    ...(row.makeModel === null ? {} : { makeModel: row.makeModel }),
    ...(row.access === null ? {} : { access: row.access }),
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

export async function insertUnit(
  tx: Tx,
  homeId: string,
  unit: Unit,
  createdAt: string,
): Promise<void> {
  const { id, levelId, systemId, kind, name, makeModel, access } = unit;
  await tx
    .insert(units)
    .values({ id, homeId, levelId, systemId, kind, name, makeModel, access, createdAt });
  await insertShutOffs(tx, id, unit.shutOffs);
}

/** The shut-offs are the unit's own list and are written anew with it. */
export async function updateUnit(tx: Tx, unit: Unit): Promise<void> {
  const { id, levelId, kind, name, makeModel = null, access = null } = unit;
  await tx.update(units).set({ levelId, kind, name, makeModel, access }).where(eq(units.id, id));
  await tx.delete(shutOffs).where(eq(shutOffs.unitId, id));
  await insertShutOffs(tx, id, unit.shutOffs);
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
