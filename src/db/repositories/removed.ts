import { and, eq, isNotNull } from "drizzle-orm";
import type { Reader } from "../client";
import { homes, parts, units } from "../schema";

export type Removed = {
  kind: "unit" | "slot" | "home";
  id: string;
  name: string;
  deletedAt: string;
};

/** What was taken out of a home, and the homes taken out altogether, the latest first. */
export async function listRemoved(db: Reader, homeId: string): Promise<Removed[]> {
  const inHome = await db
    .select({ id: units.id, name: units.name, deletedAt: units.deletedAt })
    .from(units)
    .where(and(eq(units.homeId, homeId), isNotNull(units.deletedAt)));
  const slots = await db
    .select({ id: parts.id, name: parts.name, unit: units.name, deletedAt: parts.deletedAt })
    .from(parts)
    .innerJoin(units, eq(units.id, parts.unitId))
    .where(and(eq(units.homeId, homeId), isNotNull(parts.deletedAt)));
  const gone = await db
    .select({ id: homes.id, name: homes.name, deletedAt: homes.deletedAt })
    .from(homes)
    .where(isNotNull(homes.deletedAt));
  const removed: Removed[] = [
    ...inHome.map((row) => ({
      kind: "unit" as const,
      id: row.id,
      name: row.name,
      deletedAt: row.deletedAt!,
    })),
    ...slots.map((row) => ({
      kind: "slot" as const,
      id: row.id,
      name: `${row.unit}, ${row.name.toLowerCase()}`,
      deletedAt: row.deletedAt!,
    })),
    ...gone.map((row) => ({
      kind: "home" as const,
      id: row.id,
      name: row.name,
      deletedAt: row.deletedAt!,
    })),
  ];
  return removed.sort((a, b) => (a.deletedAt < b.deletedAt ? 1 : -1));
}
