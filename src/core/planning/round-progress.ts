import { dayIn } from "../quantities/plain-date";
import type { JobStatus } from "../scheduling/schedule";
import type { RoundEntry, Year } from "./year";

/**
 * The round somebody has begun and not ended that a job belongs to; of several the last one begun.
 *
 * @example roundUnderWay({ rounds: [] }, "slot.renew") // null
 */
export const roundUnderWay = ({ rounds }: Pick<Year, "rounds">, task: string): RoundEntry | null =>
  rounds.findLast(
    ({ startedAt, endedAt, order }) => startedAt && !endedAt && order.includes(task),
  ) ?? null;

/** Whether a job was done since a round began: on that day or later, by the home’s own days. */
const isDoneSince = ({ lastDone }: JobStatus, startedAt: string, timeZone: string): boolean =>
  lastDone !== null && lastDone >= dayIn(timeZone, Date.parse(startedAt));

/**
 * The jobs of a round that are still to be done, in its order. Before it is begun that is all of them.
 *
 * @example roundToDo({ order: [] }, [], "Etc/UTC") // []
 */
export const roundToDo = (
  { order, startedAt }: Pick<RoundEntry, "order" | "startedAt">,
  jobs: readonly JobStatus[],
  timeZone: string,
): JobStatus[] =>
  order.flatMap((id) => {
    const job = jobs.find(({ task }) => task.id === id);
    if (!job || job.task.isOff) return [];
    return startedAt && isDoneSince(job, startedAt, timeZone) ? [] : [job];
  });
