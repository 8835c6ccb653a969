import type { HistoryEvent } from "../history/history-event";
import type { HistoryRecord } from "../history/history-record";
import type { PlainDate } from "../quantities/plain-date";
import { LOOK, RENEW, taskId } from "./task";

/** What the record says of each job, by the job's id: place and key. */
export type JobHistory = {
  /**
   * The last day it was done. What does not say which job it was stands under its place alone, with
   * an empty key.
   */
  lastDays: ReadonlyMap<string, PlainDate>;
  /** The last time that somebody tried it in vain. */
  deferrals: ReadonlyMap<string, HistoryEvent>;
};

/** The keys of the jobs that an entry counts as done. */
function keysOf({ kind, taskKey }: HistoryEvent): string[] {
  switch (kind) {
    case "done":
      return [taskKey ?? ""];
    case "fitted":
    case "cleaned":
      return [RENEW, LOOK];
    case "look":
      return [LOOK];
    default:
      return [];
  }
}

export function jobHistoryOf(history: HistoryRecord): JobHistory {
  const lastDays = new Map<string, PlainDate>();
  const deferrals = new Map<string, HistoryEvent>();
  // What counts comes in the order of its days: the last one set is the latest.
  for (const event of history.counted) {
    for (const key of keysOf(event)) lastDays.set(taskId(event, key), event.date);
    if (event.kind === "put-off") deferrals.set(taskId(event, event.taskKey ?? ""), event);
  }
  return { lastDays, deferrals };
}
