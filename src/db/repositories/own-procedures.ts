import { and, asc, eq, isNull } from "drizzle-orm";
import { z } from "zod";
import type { OwnProcedure } from "@/core/runs/own-procedure";
import { procedureSchema } from "@/core/runs/procedure";
import type { Reader, Tx } from "../client";
import { readJson } from "../columns";
import { ownProcedures } from "../schema";

const jobsSchema = z.array(z.string()).catch([]);

/** The procedures of a home’s own; one that cannot be read any more is passed over. */
export async function listOwnProcedures(db: Reader, homeId: string): Promise<OwnProcedure[]> {
  const rows = await db
    .select()
    .from(ownProcedures)
    .where(and(eq(ownProcedures.homeId, homeId), isNull(ownProcedures.deletedAt)))
    .orderBy(asc(ownProcedures.createdAt), asc(ownProcedures.id));
  return rows.flatMap((row) => {
    const procedure = procedureSchema.safeParse(readJson(row.procedure));
    if (!procedure.success) return [];
    return {
      id: row.id,
      procedure: procedure.data,
      jobs: jobsSchema.parse(readJson(row.jobs)),
      ...(row.basedOn === null ? {} : { basedOn: row.basedOn }),
    };
  });
}

const toRow = ({ procedure, jobs, basedOn }: OwnProcedure) => ({
  procedure: JSON.stringify(procedure),
  jobs: JSON.stringify(jobs),
  basedOn: basedOn ?? null,
});

export async function insertOwnProcedure(
  tx: Tx,
  homeId: string,
  own: OwnProcedure,
  createdAt: string,
): Promise<void> {
  await tx.insert(ownProcedures).values({ id: own.id, homeId, createdAt, ...toRow(own) });
}

export async function updateOwnProcedure(tx: Tx, homeId: string, own: OwnProcedure): Promise<void> {
  await tx
    .update(ownProcedures)
    .set(toRow(own))
    .where(and(eq(ownProcedures.homeId, homeId), eq(ownProcedures.id, own.id)));
}

export async function markOwnProcedureDeleted(
  tx: Tx,
  homeId: string,
  id: string,
  at: string | null,
): Promise<void> {
  await tx
    .update(ownProcedures)
    .set({ deletedAt: at })
    .where(and(eq(ownProcedures.homeId, homeId), eq(ownProcedures.id, id)));
}
