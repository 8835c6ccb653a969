import type { HistoryEvent, HistoryKind } from "../history/history-event";
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

/** The key of a job that an entry counts as done; looks are found by their part. */
const keyOf = ({ kind, taskKey }: HistoryEvent): string =>
  kind === "done" ? (taskKey ?? "") : RENEW;

/** A filter that comes in is looked at. */
const CHANGES: readonly HistoryKind[] = ["fitted", "cleaned"];

/** Looks are most of a long record: the last one of a part is found from its end. */
const lastLook = (history: HistoryRecord, { partId }: TaskPlace): PlainDate | undefined =>
  partId === undefined
    ? undefined
    : history.ofPart(partId).findLast(({ kind }) => kind === "look" || CHANGES.includes(kind))
        ?.date;

function put<T>(byJob: ByJob<T>, place: string, key: string, value: T): void {
  const keys = byJob.get(place);
  if (keys) keys.set(key, value);
  else byJob.set(place, new Map([[key, value]]));
}

/**
 * When each job was last done and last put off, found by place and key: read once for a snapshot and
 * asked for every job.
 *
 * @example jobHistoryOf(snapshot([event("fitted", -3)]).history).lastDay({ partId: "slot" }, "renew") // "2026-03-11"
 */
export function jobHistoryOf(history: HistoryRecord): JobHistory {
  const lastDays: ByJob<PlainDate> = new Map();
  const deferrals: ByJob<HistoryEvent> = new Map();
  for (const kind of ["done", ...CHANGES] as const)
    for (const event of history.ofKind(kind)) {
      const [place, key] = [placeKey(event), keyOf(event)];
      const known = lastDays.get(place)?.get(key);
      if (known === undefined || known < event.date) put(lastDays, place, key, event.date);
    }
  // What counts comes in the order of its days: the last one set is the latest.
  for (const event of history.ofKind("put-off"))
    put(deferrals, placeKey(event), event.taskKey ?? "", event);
  return {
    lastDay: (place, key) => {
      const noted = lastDays.get(placeKey(place))?.get(key);
      const seen = key === LOOK ? lastLook(history, place) : undefined;
      return seen !== undefined && (noted === undefined || seen > noted) ? seen : noted;
    },
    deferral: (place, key) => deferrals.get(placeKey(place))?.get(key),
  };
}
