import type { HistoryEvent } from "../inventory/inventory";

/**
 * What the history amounts to: each event in its last corrected form, without those withdrawn, by
 * date, then in the order recorded. Nothing in the record itself is ever changed.
 */
export function effectiveHistory(events: readonly HistoryEvent[]): HistoryEvent[] {
  const superseded = new Set(events.flatMap((event) => event.corrects ?? []));
  return events
    .filter((event) => event.kind !== "withdrawn" && !superseded.has(event.id))
    .sort((a, b) => (a.date < b.date ? -1 : a.date > b.date ? 1 : 0));
}
