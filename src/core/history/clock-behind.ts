import { addDays, dayIn, type PlainDate } from "../quantities/plain-date";
import type { HistoryEvent } from "./history-event";

/** So many of the newest entries are looked at: one made by another device’s wrong clock is soon out of sight. */
const NEWEST = 10;

/**
 * The day on which one of the newest entries was made, where that is still to come by the clock of now: then the
 * clock is behind, or was ahead at that time. Null where all is in order; a day is let pass, for clocks of
 * different zones.
 *
 * @param entries in the order of their days
 * @example clockBehind([{ recordedAt: "2026-03-14T08:30:00Z" }], "2025-03-14", "Etc/UTC") // "2026-03-14"
 */
export function clockBehind(
  entries: readonly Pick<HistoryEvent, "recordedAt">[],
  today: PlainDate,
  timeZone: string,
): PlainDate | null {
  const days = entries
    .slice(-NEWEST)
    .map(({ recordedAt }) => dayIn(timeZone, Date.parse(recordedAt)))
    .toSorted();
  const newest = days.at(-1);
  return newest !== undefined && newest > addDays(today, 1) ? newest : null;
}
