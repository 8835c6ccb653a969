import "server-only";
import { randomUUID } from "node:crypto";
import { renewalOf } from "@/content/procedures/library";
import { fittingOf, type Happened } from "@/core/register/fitting";
import type { FilterSlot } from "@/core/register/register";
import type { Tx } from "@/db/client";
import { appendEvent } from "@/db/repositories/history";
import { insertItem } from "@/db/repositories/parts";
import { insertWearTask, listTasks } from "@/db/repositories/tasks";

/** A slot whose medium the library can renew step by step has a task for it. */
export async function ensureTask(
  tx: Tx,
  homeId: string,
  slot: FilterSlot,
  at: string,
): Promise<void> {
  const job = renewalOf(slot.media);
  if (!job) return;
  const has = (await listTasks(tx, homeId)).some(
    (task) => task.partId === slot.id && task.procedureId === job.id,
  );
  if (has) return;
  const ids = { id: randomUUID(), unitId: slot.unitId, partId: slot.id, procedureId: job.id };
  await insertWearTask(tx, homeId, ids, at);
}

/** Writes down that a filter went in, or went back. */
export async function appendFitting(
  tx: Tx,
  homeId: string,
  slot: FilterSlot,
  happened: Happened,
  itemBefore?: string,
): Promise<void> {
  const ids = { event: randomUUID(), item: randomUUID() };
  const { event, item } = fittingOf(slot, ids, happened, itemBefore);
  if (item) await insertItem(tx, item);
  await appendEvent(tx, homeId, event);
}
