import type { HistoryEvent } from "../history/history-event";
import { visitState, type Visit } from "./visit";

/** Why a technician comes for something that must not wait for the next service. */
const FOR_IT: readonly Visit["reason"][] = ["breakdown", "finding"];

/**
 * The visits made for something that was seen at a machine: for a breakdown or a finding there, on that day or
 * later. A service that is planned anyway is none.
 *
 * @example visitsMadeFor([], { unitId: "furnace", date: "2026-03-14" }) // []
 */
export const visitsMadeFor = (
  visits: readonly Visit[],
  { unitId, date }: Pick<HistoryEvent, "unitId" | "date">,
): Visit[] =>
  visits.filter(
    ({ reason, unitIds, on }) =>
      FOR_IT.includes(reason) &&
      unitId !== undefined &&
      unitIds.includes(unitId) &&
      (on === undefined || on >= date),
  );

/**
 * Whether such a visit has been, and left the machine fit to be used.
 *
 * @example wasSeenTo([], { unitId: "furnace", date: "2026-03-14" }) // false
 */
export const wasSeenTo = (
  visits: readonly Visit[],
  at: Pick<HistoryEvent, "unitId" | "date">,
): boolean =>
  visitsMadeFor(visits, at).some(
    (visit) => visitState(visit) === "over" && visit.verdict !== "out-of-use",
  );

/**
 * Whether somebody said who saw to a stop and what was found: an entry at its place, written down after it.
 *
 * @example wasSaidSeen([], { date: "2026-03-14", recordedAt: "2026-03-14T08:00:00Z" }) // false
 */
export const wasSaidSeen = (
  entries: readonly HistoryEvent[],
  stop: Pick<HistoryEvent, "unitId" | "partId" | "date" | "recordedAt">,
): boolean =>
  entries.some(
    ({ seenBy, unitId, partId, date, recordedAt }) =>
      seenBy !== undefined &&
      unitId === stop.unitId &&
      partId === stop.partId &&
      date >= stop.date &&
      recordedAt >= stop.recordedAt,
  );
