import type { HistoryEvent } from "../history/history-event";
import type { HomeSnapshot } from "../history/home-snapshot";
import type { PlainDate } from "../quantities/plain-date";
import { ledOn, type Lead } from "../readings/leads";
import type { PlannedTask } from "../scheduling/task";
import { stillNoticed } from "./sign";

/** That something which was noticed, or a machine that stopped, brings a job forward. */
export type Call = {
  /** The day it was noticed: the job is due from then on. */
  on: PlainDate;
  /** The entry that calls. */
  event: HistoryEvent;
};

/** By the id of the job. */
export type Calls = ReadonlyMap<string, Call>;
export const NO_CALLS: Calls = new Map();

/**
 * The jobs that are called for before their own time: each by the latest thing that was noticed and holds
 * still, or by a breakdown that names it as what follows. Whether it was done since is for the schedule.
 *
 * @param leads the table of what leads where
 * @example callsOf(snapshot([]), [], []).size // 0
 */
export function callsOf(
  snapshot: HomeSnapshot,
  tasks: readonly PlannedTask[],
  leads: readonly Lead[],
): Calls {
  const { history } = snapshot;
  const calls = new Map<string, Call>();
  const call = (taskId: string, event: HistoryEvent) => {
    const known = calls.get(taskId);
    if (!known || known.on <= event.date) calls.set(taskId, { on: event.date, event });
  };
  for (const event of stillNoticed(history.noticed))
    for (const { jobs } of ledOn(event, snapshot, tasks, leads))
      for (const { id } of jobs) call(id, event);
  for (const event of history.ofKind("breakdown"))
    if (event.breakdown?.follows) call(event.breakdown.follows, event);
  return calls;
}
