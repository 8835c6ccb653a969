import "server-only";
import { randomUUID } from "node:crypto";
import type { HistoryEvent } from "@/core/history/history-event";
import { replacementOf, type Happened } from "@/core/history/replacement";
import type { FilterSlot } from "@/core/inventory/inventory";
import type { Grade } from "@/core/filters/belief";
import type { PlainDate } from "@/core/quantities/plain-date";
import { appendEvent, writeAgain } from "@/db/repositories/history";
import { insertItem } from "@/db/repositories/parts";
import { createdAt, placeIn, unitIn, type OpenHome } from "./home-command";

/** What is written down: everything of an entry but its name and its instant. */
export type Entry = Omit<HistoryEvent, "id" | "recordedAt">;

/**
 * Writes something down.
 *
 * @returns the entry's id
 * @throws where the entry names a place that is not of this home: a mistake of ours
 */
export async function record(home: OpenHome, entry: Entry): Promise<string> {
  const { unitId, partId, roomId } = entry;
  if (roomId !== undefined && !home.snapshot.rooms.some(({ id }) => id === roomId))
    throw new Error(`record: room ${roomId} is not of home ${home.homeId}`);
  if (unitId !== undefined && !unitIn(home, unitId))
    throw new Error(`record: unit ${unitId} is not of home ${home.homeId}`);
  if (partId !== undefined && !placeIn(home, partId))
    throw new Error(`record: part ${partId} is not of home ${home.homeId}`);
  const id = randomUUID();
  await appendEvent(home.tx, home.homeId, { ...entry, id, recordedAt: createdAt(home) });
  return id;
}

/**
 * Writes down that a filter went in, or went back, and how the old one looked.
 *
 * @returns the entry's id
 */
export async function recordReplacement(
  home: OpenHome,
  slot: FilterSlot,
  { date, words, grade }: { date: PlainDate; words?: string; grade?: Grade },
): Promise<string> {
  const itemBefore = home.snapshot.history
    .ofPart(slot.id)
    .findLast((event) => event.itemId !== undefined && event.date <= date)?.itemId;
  if (grade)
    await record(home, {
      kind: "look",
      unitId: slot.unitId,
      partId: slot.id,
      ...(itemBefore ? { itemId: itemBefore } : {}),
      date,
      look: { grade },
    });
  const happened = { date, recordedAt: createdAt(home), ...(words ? { words } : {}) };
  return appendReplacement(home, slot, happened, itemBefore);
}

/** The entry of a filter that went in, and the filter itself. */
export async function appendReplacement(
  { tx, homeId }: OpenHome,
  slot: FilterSlot,
  happened: Happened,
  itemBefore?: string,
): Promise<string> {
  const ids = { event: randomUUID(), item: randomUUID() };
  const { event, item } = replacementOf(slot, ids, happened, itemBefore);
  if (item) await insertItem(tx, item);
  await appendEvent(tx, homeId, event);
  return event.id;
}

export type Correction = { date: PlainDate; words: string | undefined; grade: Grade | undefined };

/**
 * Writes an entry anew with another day, words or grade, pointing at the one it corrects.
 *
 * @returns the entry corrected and the new one's id; null where it no longer counts
 */
export async function correctEntry(
  home: OpenHome,
  eventId: string,
  { date, words, grade }: Correction,
): Promise<{ event: HistoryEvent; id: string } | null> {
  const event = countedEntry(home, eventId);
  if (!event) return null;
  const id = randomUUID();
  await appendEvent(home.tx, home.homeId, {
    ...event,
    id,
    date,
    recordedAt: createdAt(home),
    corrects: eventId,
    words: words || undefined,
    ...(event.look && grade ? { look: { ...event.look, grade } } : {}),
  });
  return { event, id };
}

/** An entry that counts; null for one that was corrected or withdrawn, or is none of this home's. */
const countedEntry = ({ snapshot }: OpenHome, eventId: string): HistoryEvent | null =>
  snapshot.history.counted.find(({ id }) => id === eventId) ?? null;

/**
 * Takes an entry out of what counts; the record keeps it, and the withdrawal.
 *
 * @returns the withdrawal's id; null where the entry counts no longer
 */
export async function withdrawEntry(home: OpenHome, eventId: string): Promise<string | null> {
  const event = countedEntry(home, eventId);
  if (!event) return null;
  const { unitId, partId, date } = event;
  const id = randomUUID();
  await appendEvent(home.tx, home.homeId, {
    id,
    kind: "withdrawn",
    unitId,
    partId,
    date,
    recordedAt: createdAt(home),
    corrects: eventId,
  });
  return id;
}

/** Undoes a withdrawal. */
export const restoreEntry = ({ tx, homeId, now }: OpenHome, withdrawalId: string): Promise<void> =>
  writeAgain(tx, homeId, withdrawalId, now);
