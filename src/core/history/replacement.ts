import { MEDIA, type MediaFacts } from "../filters/media";
import type { FilterSlot, Item } from "../inventory/inventory";
import type { PlainDate } from "../quantities/plain-date";
import type { HistoryEvent } from "./history-event";

export type ReplacementIds = { event: string; item: string };
export type Happened = Pick<HistoryEvent, "date" | "recordedAt" | "runId" | "words" | "minutes">;

/**
 * What a renewal adds to the record: a new item and its fitting, or, for a medium that is cleaned,
 * that the item which was in place went back.
 *
 * @example replacementOf(slot(), { eventId: "e", itemId: "i" }, { date: today, recordedAt: "2026-03-14T08:00:00Z" }).event.kind // "fitted"
 */
export function replacementOf(
  slot: FilterSlot,
  ids: ReplacementIds,
  happened: Happened,
  itemBefore?: string,
): { event: HistoryEvent; item: Item | null } {
  const facts: MediaFacts = MEDIA[slot.media];
  const base = { id: ids.event, unitId: slot.unitId, partId: slot.id, ...happened };
  if (facts.cleaned && itemBefore)
    return { event: { ...base, kind: "cleaned", itemId: itemBefore }, item: null };
  const item: Item = {
    id: ids.item,
    partId: slot.id,
    media: slot.media,
    sizeText: slot.nominal?.text ?? "",
    ...(slot.rating ? { rating: slot.rating } : {}),
    ...(slot.priceMinor === undefined ? {} : { priceMinor: slot.priceMinor }),
  };
  const cost =
    slot.priceMinor === undefined ? {} : { costMinor: slot.priceMinor * slot.filterCount };
  return { event: { ...base, ...cost, kind: "fitted", itemId: item.id }, item };
}

/**
 * The days on which the filter of a slot was changed, the oldest first.
 *
 * @example changesOf({ ofPart: () => [{ kind: "fitted", date: "2026-03-14" }] }, "slot") // ["2026-03-14"]
 */
export const changesOf = (
  history: { ofPart: (partId: string) => readonly Pick<HistoryEvent, "kind" | "date">[] },
  slotId: string,
): PlainDate[] =>
  history.ofPart(slotId).flatMap(({ kind, date }) => (kind === "fitted" ? [date] : []));
