import { addDays, daysFrom, type PlainDate } from "../quantities/plain-date";
import { isDeferred, type JobStatus } from "./schedule";
import { RENEW } from "./task";

/** Due within this many days counts as this week. */
const SOON_DAYS = 7;
/** Nothing further off than this comes closer today. */
const CLOSER_DAYS = 45;

export type When = "past" | "now" | "closer";
export type InOrder = { job: JobStatus; when: When };

/**
 * A filter nobody saw fitted: it asks for a word before it can say a day.
 *
 * @example isUnknownFilter({ task: { key: "renew", isOff: false }, lastDone: null }) // true
 */
export const isUnknownFilter = ({ task, lastDone }: JobStatus): boolean =>
  task.key === RENEW && lastDone === null && !task.isOff;

/** Where a job stands today; null when it is not near. What is deferred waits for its day. */
function whenOf(job: JobStatus, today: PlainDate): When | null {
  const { due, state, deferral, waits } = job;
  if (waits) return waits.usual <= addDays(today, CLOSER_DAYS) ? "closer" : null;
  if (due === null) return isUnknownFilter(job) ? "closer" : null;
  if (isDeferred(job, today))
    return deferral!.until! <= addDays(today, CLOSER_DAYS) ? "closer" : null;
  if (state === "past") return "past";
  if (due <= addDays(today, SOON_DAYS)) return "now";
  return due <= addDays(today, CLOSER_DAYS) ? "closer" : null;
}

const GROUPS: readonly When[] = ["past", "now", "closer"];
const daysOver = ({ due, closes }: JobStatus, today: PlainDate): number =>
  daysFrom(closes ?? due ?? today, today);

/**
 * What is near today, in the one order that every page keeps: past its time, safety before comfort
 * and the worst first; then now and this week; then what comes closer. What is left open or
 * unfinished stands before all of it and is no job.
 *
 * @example todayOrder([], today) // []
 */
export function todayOrder(schedule: readonly JobStatus[], today: PlainDate): InOrder[] {
  const near = schedule.flatMap((job): InOrder[] => {
    const when = whenOf(job, today);
    return when ? [{ job, when }] : [];
  });
  const day = ({ job }: InOrder) => job.due ?? job.waits?.usual ?? today;
  return near.sort((a, b) => {
    const group = GROUPS.indexOf(a.when) - GROUPS.indexOf(b.when);
    if (group !== 0) return group;
    if (a.when !== "past") return day(a) < day(b) ? -1 : day(a) > day(b) ? 1 : 0;
    const safety = Number(b.job.task.isSafety) - Number(a.job.task.isSafety);
    return safety !== 0 ? safety : daysOver(b.job, today) - daysOver(a.job, today);
  });
}
