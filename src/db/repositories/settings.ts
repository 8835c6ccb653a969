import { randomUUID } from "node:crypto";
import { asc, eq } from "drizzle-orm";
import type { NotedSetting } from "@/core/inventory/as-it-should-be";
import type { PlainDate } from "@/core/quantities/plain-date";
import type { Reader, Tx } from "../client";
import { withoutNulls } from "../columns";
import { settings } from "../schema";

/** Every note of how something is set, in the order in which they were made. */
export async function listSettings(db: Reader, homeId: string): Promise<NotedSetting[]> {
  const rows = await db
    .select()
    .from(settings)
    .where(eq(settings.homeId, homeId))
    .orderBy(asc(settings.ordinal));
  return rows.map(({ id, key, label, notedOn, unitId, partId, value, runId }) => ({
    id,
    key,
    label,
    on: notedOn as PlainDate,
    ...withoutNulls({ unitId, partId, value, runId }),
  }));
}

export async function insertSetting(
  tx: Tx,
  homeId: string,
  setting: NotedSetting,
  createdAt: string,
): Promise<void> {
  const { on: notedOn, ...rest } = setting;
  await tx.insert(settings).values({ ...rest, homeId, notedOn, createdAt });
}

/** Takes a line off the sheet, or puts it on again as it stood: a further note, as all that is written. */
export async function markSettingOff(
  tx: Tx,
  homeId: string,
  id: string,
  at: Date,
  isOff: boolean,
): Promise<void> {
  const note = (await listSettings(tx, homeId)).find((each) => each.id === id);
  if (!note) return;
  const { value, runId: _, ...rest } = note;
  const again = { ...rest, id: randomUUID(), ...(isOff || value === undefined ? {} : { value }) };
  await insertSetting(tx, homeId, again, at.toISOString());
}
