import { and, asc, eq, isNull } from "drizzle-orm";
import type { PlainDate } from "@/core/quantities/plain-date";
import type { DriverScope, HouseholdKind, ScopedDriver } from "@/core/inventory/inventory";
import type { Reader, Tx } from "../client";
import { drivers, householdAnswers } from "../schema";

function scopeOf(row: typeof drivers.$inferSelect): DriverScope {
  if (row.scope === "room" && row.roomId) return { scope: "room", roomId: row.roomId };
  if (row.scope === "system" && row.systemId) return { scope: "system", systemId: row.systemId };
  if (row.scope === "part" && row.partId) return { scope: "part", partId: row.partId };
  return { scope: "home" };
}

export async function listDrivers(db: Reader, homeId: string): Promise<ScopedDriver[]> {
  const rows = await db
    .select()
    .from(drivers)
    .where(and(eq(drivers.homeId, homeId), isNull(drivers.deletedAt)))
    .orderBy(asc(drivers.createdAt), asc(drivers.id));
  return rows.map((row) => ({
    ...scopeOf(row),
    id: row.id,
    kind: row.kind as HouseholdKind,
    ...(row.count === null ? {} : { count: row.count }),
    ...(row.fraction === null ? {} : { fraction: row.fraction }),
    ...(row.from === null ? {} : { from: row.from as PlainDate }),
    ...(row.to === null ? {} : { to: row.to as PlainDate }),
    ...(row.label === null ? {} : { label: row.label }),
  }));
}

function toRow(driver: ScopedDriver) {
  return {
    scope: driver.scope,
    roomId: driver.scope === "room" ? driver.roomId : null,
    systemId: driver.scope === "system" ? driver.systemId : null,
    partId: driver.scope === "part" ? driver.partId : null,
    kind: driver.kind,
    count: driver.count ?? null,
    fraction: driver.fraction ?? null,
    from: driver.from ?? null,
    to: driver.to ?? null,
    label: driver.label ?? null,
  };
}

export async function insertDriver(
  tx: Tx,
  homeId: string,
  driver: ScopedDriver,
  createdAt: string,
): Promise<void> {
  await tx.insert(drivers).values({ id: driver.id, homeId, ...toRow(driver), createdAt });
}

export async function updateDriver(tx: Tx, homeId: string, driver: ScopedDriver): Promise<void> {
  await tx
    .update(drivers)
    .set(toRow(driver))
    .where(and(eq(drivers.id, driver.id), eq(drivers.homeId, homeId)));
}

export async function markDriverDeleted(
  tx: Tx,
  homeId: string,
  id: string,
  at: string | null,
): Promise<void> {
  await tx
    .update(drivers)
    .set({ deletedAt: at })
    .where(and(eq(drivers.id, id), eq(drivers.homeId, homeId)));
}

/** The questions about the household that were answered with no. */
export async function listNos(db: Reader, homeId: string): Promise<HouseholdKind[]> {
  const rows = await db
    .select({ kind: householdAnswers.kind })
    .from(householdAnswers)
    .where(eq(householdAnswers.homeId, homeId));
  return rows.map((row) => row.kind as HouseholdKind);
}

export async function recordNo(
  tx: Tx,
  homeId: string,
  kind: HouseholdKind,
  answeredAt: string,
): Promise<void> {
  await tx
    .insert(householdAnswers)
    .values({ homeId, kind, answeredAt })
    .onConflictDoUpdate({
      target: [householdAnswers.homeId, householdAnswers.kind],
      set: { answeredAt },
    });
}

export async function takeBackNo(tx: Tx, homeId: string, kind: HouseholdKind): Promise<void> {
  await tx
    .delete(householdAnswers)
    .where(and(eq(householdAnswers.homeId, homeId), eq(householdAnswers.kind, kind)));
}
