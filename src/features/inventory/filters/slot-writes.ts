import "server-only";
import { randomUUID } from "node:crypto";
import { fittingOf, type Happened } from "@/core/history/replacement";
import type { FilterSlot } from "@/core/inventory/inventory";
import type { Tx } from "@/db/client";
import { appendEvent } from "@/db/repositories/history";
import { insertItem } from "@/db/repositories/parts";

/** Writes down that a filter went in, or went back. */
export async function appendFitting(
  tx: Tx,
  homeId: string,
  slot: FilterSlot,
  happened: Happened,
  itemBefore?: string,
): Promise<string> {
  const ids = { event: randomUUID(), item: randomUUID() };
  const { event, item } = fittingOf(slot, ids, happened, itemBefore);
  if (item) await insertItem(tx, item);
  await appendEvent(tx, homeId, event);
  return event.id;
}
