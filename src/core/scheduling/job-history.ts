import type { HistoryEvent, HistoryKind } from "../history/history-event";
import type { PlainDate } from "../quantities/plain-date";
import { LOOK, placeKey, RENEW, type TaskPlace } from "./task";

type ByJob<T> = Map<string, Map<string, T>>;

/** What the record says of each job, by its place and its key. */
export type JobHistory = {
  /**
   * The last day it was done. What does not say which job it was stands under an empty key.
   */
  lastDay: (place: TaskPlace, key: string) => PlainDate | undefined;
  /** The first day of which the same is known. */
  firstDay: (place: TaskPlace, key: string) => PlainDate | undefined;
  /** The last time that somebody tried it in vain. */
  deferral: (place: TaskPlace, key: string) => HistoryEvent | undefined;
};

/** The key of a job that an entry counts as done; looks are found by their part. */
const keyOf = ({ kind, taskKey }: HistoryEvent): string =>
  kind === "done" ? (taskKey ?? "") : RENEW;

/** A filter that comes in is looked at. */
const CHANGES: readonly HistoryKind[] = ["fitted", "cleaned"];

function put<T>(byJob: ByJob<T>, place: string, key: string, value: T): void {
  const keys = byJob.get(place);
  if (keys) keys.set(key, value);
  else byJob.set(place, new Map([[key, value]]));
}

/**
 * When each job was last done and last put off, found by place and key: read once and asked for every
 * job.
 *
 * @param entries that count, the oldest of each place first: of a unit, or of a whole home
 * @example jobHistoryOf([event("fitted", -3)]).lastDay({ partId: "slot" }, "renew") // "2026-03-11"
 */
export function jobHistoryOf(entries: readonly HistoryEvent[]): JobHistory {
  const lastDays: ByJob<PlainDate> = new Map();
  const firstDays: ByJob<PlainDate> = new Map();
  const deferrals: ByJob<HistoryEvent> = new Map();
  // The last one set is the latest, as the oldest comes first.
  for (const event of entries) {
    const { kind, partId, date } = event;
    const isChange = CHANGES.includes(kind);
    const done = (place: string, key: string) => {
      put(lastDays, place, key, date);
      if (!firstDays.get(place)?.has(key)) put(firstDays, place, key, date);
    };
    if (kind === "done" || isChange) done(placeKey(event), keyOf(event));
    if (partId !== undefined && (kind === "look" || isChange)) done(placeKey({ partId }), LOOK);
    if (kind === "put-off") put(deferrals, placeKey(event), event.taskKey ?? "", event);
  }
  return {
    lastDay: (place, key) => lastDays.get(placeKey(place))?.get(key),
    firstDay: (place, key) => firstDays.get(placeKey(place))?.get(key),
    deferral: (place, key) => deferrals.get(placeKey(place))?.get(key),
  };
}
