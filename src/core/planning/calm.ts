import { addDays, daysFrom, type PlainDate } from "../quantities/plain-date";
import { CALM_JOBS, CALM_MINUTES } from "../scheduling/first-time";
import { isDeferred, type JobStatus } from "../scheduling/schedule";

/** What comes within so many days is for the first rounds; the rest has its own month. */
const SOON_DAYS = 45;
const WEEK_DAYS = 7;

/**
 * Whether a job should be seen to within the first weeks: past its time or near it, and not of a season to come.
 *
 * @example isSoon({ due: null }, today) // false
 */
export const isSoon = ({ due, state, opens }: JobStatus, today: PlainDate): boolean =>
  due !== null &&
  (state === "past" || due <= addDays(today, SOON_DAYS)) &&
  (opens === null || opens <= addDays(today, SOON_DAYS));

const over = ({ closes, due }: JobStatus, today: PlainDate): number =>
  Math.max(0, daysFrom(closes ?? due ?? today, today));

const rank = ({ task, state }: JobStatus): number => (task.isSafety ? 0 : state === "past" ? 1 : 2);

/**
 * From which day on each job of a house new to its people may be planned: nobody does forty jobs on the
 * first Saturday. What keeps people safe comes first, then what is past its time, the worst first, then
 * what is quickly done; each week takes up to `CALM_JOBS` of them and `CALM_MINUTES`. Only jobs that were
 * never done wait their turn, and only where there is more than one round’s fill of them; a technician’s
 * jobs are bundled by their call-out, and wait for nothing.
 *
 * @returns by the job’s id; what may be planned at once is not in it
 * @example calmFrom([], today).size // 0
 */
export function calmFrom(jobs: readonly JobStatus[], today: PlainDate): Map<string, PlainDate> {
  const never = jobs.filter(
    (job) =>
      job.lastDone === null &&
      job.task.who !== "licensed" &&
      isSoon(job, today) &&
      !isDeferred(job, today),
  );
  const inOrder = never.toSorted(
    (a, b) =>
      rank(a) - rank(b) ||
      (rank(a) === 2 ? 0 : over(b, today) - over(a, today)) ||
      a.task.handsOn - b.task.handsOn,
  );
  const from = new Map<string, PlainDate>();
  let week = 0;
  let count = 0;
  let minutes = 0;
  for (const { task } of inOrder) {
    if (count === CALM_JOBS || (count > 0 && minutes + task.handsOn > CALM_MINUTES)) {
      week++;
      count = 0;
      minutes = 0;
    }
    count++;
    minutes += task.handsOn;
    if (week > 0) from.set(task.id, addDays(today, week * WEEK_DAYS));
  }
  return from;
}
