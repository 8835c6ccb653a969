import { effectiveHistory } from "./effective-history";
import type { HistoryEvent, HomeBook } from "../inventory/inventory";

const byPart = new WeakMap<readonly HistoryEvent[], Map<string, HistoryEvent[]>>();

/** Everything recorded at one part, sorted out once for a record of tens of thousands of entries. */
export function eventsOfPart(events: readonly HistoryEvent[], partId: string): HistoryEvent[] {
  let sorted = byPart.get(events);
  if (!sorted) {
    sorted = new Map();
    for (const event of events) {
      if (event.partId === undefined) continue;
      const list = sorted.get(event.partId);
      if (list) list.push(event);
      else sorted.set(event.partId, [event]);
    }
    byPart.set(events, sorted);
  }
  return sorted.get(partId) ?? [];
}

/** Everything that counts of what was recorded at one part. */
export const historyOf = (book: HomeBook, partId: string): HistoryEvent[] =>
  effectiveHistory(eventsOfPart(book.events, partId));

/** Everything that counts of what was recorded at a unit, its parts included. */
export const historyOfUnit = (book: HomeBook, unitId: string): HistoryEvent[] =>
  effectiveHistory(book.events.filter((event) => event.unitId === unitId));
