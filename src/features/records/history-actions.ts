"use server";

import { randomUUID } from "node:crypto";
import { refresh } from "next/cache";
import type { HistoryEvent } from "@/core/inventory/inventory";
import { appStore } from "@/db/app-store";
import { appendEvent, findEvent, findSuccessor, writeAgain } from "@/db/repositories/history";
import { now } from "@/lib/clock";

/** Takes an entry out of what counts; the record keeps it, and the withdrawal. */
export async function withdrawEntry(homeId: string, eventId: string): Promise<string | null> {
  const store = await appStore();
  const id = randomUUID();
  const done = await store.write(async (tx) => {
    const event = await findEvent(tx, homeId, eventId);
    if (!event || (await findSuccessor(tx, eventId))) return false;
    await appendEvent(tx, homeId, withdrawalOf(event, id));
    return true;
  });
  refresh();
  return done ? id : null;
}

function withdrawalOf(event: HistoryEvent, id: string): HistoryEvent {
  const { unitId, partId, date } = event;
  return {
    id,
    kind: "withdrawn",
    unitId,
    partId,
    date,
    recordedAt: now().toISOString(),
    corrects: event.id,
  };
}

/** Undoes a withdrawal. */
export async function restoreEntry(homeId: string, withdrawalId: string): Promise<void> {
  const store = await appStore();
  await store.write((tx) => writeAgain(tx, homeId, withdrawalId, now()));
  refresh();
}
