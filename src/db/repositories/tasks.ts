import { eq } from "drizzle-orm";
import type { Task } from "@/core/register/register";
import type { Reader, Tx } from "../client";
import { tasks } from "../schema";

export async function listTasks(db: Reader, homeId: string): Promise<Task[]> {
  const rows = await db.select().from(tasks).where(eq(tasks.homeId, homeId));
  return rows.map((row) => ({
    id: row.id,
    procedureId: row.procedureId,
    ...(row.unitId === null ? {} : { unitId: row.unitId }),
    ...(row.partId === null ? {} : { partId: row.partId }),
  }));
}

/** A task of a part that follows its wear. */
export async function insertWearTask(
  tx: Tx,
  homeId: string,
  task: { id: string; unitId: string; partId: string; procedureId: string },
  createdAt: string,
): Promise<void> {
  await tx.insert(tasks).values({
    ...task,
    homeId,
    cadence: JSON.stringify({ kind: "wear" }),
    alsoSatisfies: "[]",
    createdAt,
  });
}
