import type { HistoryEvent } from "../history/history-event";
import type { HistoryRecord } from "../history/history-record";
import type { PlainDate } from "../quantities/plain-date";
import { LOOK, placeKey, RENEW, type TaskPlace } from "./task";

type ByJob<T> = Map<string, Map<string, T>>;

/** What the record says of each job, by its place and its key. */
export type JobHistory = {
  /**
   * The last day it was done. What does not say which job it was stands under an empty key.
   */
  lastDay: (place: TaskPlace, key: string) => PlainDate | undefined;
  /** The last time that somebody tried it in vain. */
  deferral: (place: TaskPlace, key: string) => HistoryEvent | undefined;
};

const RENEWAL = [RENEW, LOOK];
const LOOKED = [LOOK];
const NONE: string[] = [];

/** The keys of the jobs that an entry counts as done. */
function keysOf({ kind, taskKey }: HistoryEvent): string[] {
  switch (kind) {
    case "done":
      return [taskKey ?? ""];
    case "fitted":
    case "cleaned":
      return RENEWAL;
    case "look":
      return LOOKED;
    default:
      return NONE;
  }
}

function put<T>(byJob: ByJob<T>, place: string, key: string, value: T): void {
  const keys = byJob.get(place);
  if (keys) keys.set(key, value);
  else byJob.set(place, new Map([[key, value]]));
}

/**
 * When each job was last done and last put off, found by place and key: read once for a snapshot and
 * asked for every job.
 */
export function jobHistoryOf(history: HistoryRecord): JobHistory {
  const lastDays: ByJob<PlainDate> = new Map();
  const deferrals: ByJob<HistoryEvent> = new Map();
  // What counts comes in the order of its days: the last one set is the latest.
  for (const event of history.counted) {
    const place = placeKey(event);
    for (const key of keysOf(event)) put(lastDays, place, key, event.date);
    if (event.kind === "put-off") put(deferrals, place, event.taskKey ?? "", event);
  }
  return {
    lastDay: (place, key) => lastDays.get(placeKey(place))?.get(key),
    deferral: (place, key) => deferrals.get(placeKey(place))?.get(key),
  };
}
