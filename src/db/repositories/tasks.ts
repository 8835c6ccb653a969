import { and, eq, isNull } from "drizzle-orm";
import { dayIn } from "@/core/quantities/plain-date";
import { taskChangesSchema, type TaskPlace, type TaskSetting } from "@/core/scheduling/task";
import type { Reader, Tx } from "../client";
import { readJson } from "../columns";
import { homes, tasks } from "../schema";

/** What was changed of a job; what cannot be read leaves the job as it usually is, and says so. */
function changesOf(column: string): Pick<TaskSetting, "changes" | "isUnreadable"> {
  const read = taskChangesSchema.safeParse(readJson(column));
  return read.success ? { changes: read.data } : { changes: {}, isUnreadable: true };
}

export async function listTasks(db: Reader, homeId: string): Promise<TaskSetting[]> {
  const rows = await db
    .select({ task: tasks, timeZone: homes.timeZone })
    .from(tasks)
    .innerJoin(homes, eq(homes.id, tasks.homeId))
    .where(eq(tasks.homeId, homeId));
  return rows.map(({ task: row, timeZone }) => ({
    id: row.id,
    key: row.key,
    ...changesOf(row.changes),
    enteredOn: dayIn(timeZone, Date.parse(row.createdAt)),
    ...(row.unitId === null ? {} : { unitId: row.unitId }),
    ...(row.partId === null ? {} : { partId: row.partId }),
  }));
}

const at = (homeId: string, { unitId, partId }: TaskPlace, key: string) =>
  and(
    eq(tasks.homeId, homeId),
    eq(tasks.key, key),
    unitId === undefined ? isNull(tasks.unitId) : eq(tasks.unitId, unitId),
    partId === undefined ? isNull(tasks.partId) : eq(tasks.partId, partId),
  );

/** The name under which a job is stored; stored now if nothing was ever changed of it. */
export async function ensureTask(
  tx: Tx,
  homeId: string,
  setting: TaskSetting,
  createdAt: string,
): Promise<string> {
  const { id, unitId, partId, key, changes } = setting;
  const [known] = await tx
    .select({ id: tasks.id })
    .from(tasks)
    .where(at(homeId, setting, key));
  if (known) return known.id;
  await tx
    .insert(tasks)
    .values({ id, homeId, unitId, partId, key, changes: JSON.stringify(changes), createdAt });
  return id;
}

/** Puts what was changed of a job in the place of what was changed before; nothing is the default. */
export async function saveTask(
  tx: Tx,
  homeId: string,
  setting: TaskSetting,
  createdAt: string,
): Promise<void> {
  const id = await ensureTask(tx, homeId, setting, createdAt);
  await tx
    .update(tasks)
    .set({ changes: JSON.stringify(setting.changes) })
    .where(eq(tasks.id, id));
}
