import { addDays, daysFrom, weekday, type PlainDate } from "../quantities/plain-date";
import { isDeferred, type JobStatus } from "../scheduling/schedule";

/** Minutes of work one of the first Saturdays takes at most. Our choice: an hour and a half is a morning. */
export const SATURDAY_MINUTES = 90;
/** Jobs one of them takes at most, however short they are. Our choice, for the same reason. */
export const SATURDAY_JOBS = 5;
/** What comes within so many days is for the first Saturdays; the rest has its own month. */
const SOON_DAYS = 45;
const YEAR_DAYS = 365;

export type FirstSaturday = { day: PlainDate; minutes: number; jobs: JobStatus[] };
export type MonthOfJobs = {
  /** Its first day. */
  month: PlainDate;
  minutes: number;
  /** Each job once, however often it comes in that month. */
  jobs: JobStatus[];
};

export type FirstYear = {
  /** The first Saturdays: safety first, then what is past, then what is quickly done. */
  saturdays: FirstSaturday[];
  /** What only a technician may do, bundled into one call. */
  technician: JobStatus[];
  /** What comes after them, month by month, without what comes every month anyway. */
  months: MonthOfJobs[];
  /** What comes round in most months. */
  always: JobStatus[];
};

/** Of the week as `weekday` counts it. */
const SATURDAY = 6;
const saturdayFrom = (today: PlainDate): PlainDate => addDays(today, SATURDAY - weekday(today));

/** Whether somebody should see to it within the first weeks. */
const isSoon = ({ due, state, opens }: JobStatus, today: PlainDate): boolean =>
  due !== null &&
  (state === "past" || due <= addDays(today, SOON_DAYS)) &&
  // What may not be done yet, such as a job of a season to come, waits for its window.
  (opens === null || opens <= addDays(today, SOON_DAYS));

/**
 * A calm first year with a house: nobody does forty jobs on the first Saturday. What keeps people safe
 * comes first, then what is past its time, the worst first, then what is quickly done; a Saturday takes
 * `SATURDAY_MINUTES` and `SATURDAY_JOBS`. What only a technician may do is asked for in one call.
 *
 * @param schedule every job of the home as it stands, with the days ahead
 * @example firstYear([], today) // {"saturdays":[],"technician":[],"months":[],"always":[]}
 */
export function firstYear(schedule: readonly JobStatus[], today: PlainDate): FirstYear {
  const wanted = schedule.filter(
    (job) => job.due !== null && !job.task.isOff && !isDeferred(job, today),
  );
  const soon = wanted.filter((job) => isSoon(job, today));
  const over = ({ closes, due }: JobStatus) => Math.max(0, daysFrom(closes ?? due ?? today, today));
  const rank = ({ task, state }: JobStatus) => (task.isSafety ? 0 : state === "past" ? 1 : 2);
  const inOrder = soon
    .filter(({ task }) => task.who !== "licensed")
    .sort(
      (a, b) =>
        rank(a) - rank(b) ||
        (rank(a) === 2 ? 0 : over(b) - over(a)) ||
        a.task.handsOn - b.task.handsOn,
    );
  const saturdays: FirstSaturday[] = [];
  for (const job of inOrder) {
    const opens = job.opens ?? today;
    const takes = ({ day, minutes, jobs }: FirstSaturday) =>
      opens <= day && jobs.length < SATURDAY_JOBS && minutes + job.task.handsOn <= SATURDAY_MINUTES;
    let open = saturdays.find(takes);
    while (!open) {
      const last = saturdays.at(-1)?.day;
      const next = { day: last ? addDays(last, 7) : saturdayFrom(today), minutes: 0, jobs: [] };
      saturdays.push(next);
      // A job longer than a Saturday has one to itself.
      if (opens <= next.day) open = next;
    }
    open.jobs.push(job);
    open.minutes += job.task.handsOn;
  }
  const kept = saturdays.filter(({ jobs }) => jobs.length > 0);
  return {
    saturdays: kept,
    technician: soon.filter(({ task }) => task.who === "licensed"),
    ...monthsOf(wanted, new Set(soon), today),
  };
}

/** Comes in at least so many of the twelve months: it is no news of any one of them. */
const MOST_MONTHS = 6;

function monthsOf(
  wanted: readonly JobStatus[],
  soon: ReadonlySet<JobStatus>,
  today: PlainDate,
): Pick<FirstYear, "months" | "always"> {
  const until = addDays(today, YEAR_DAYS);
  const monthsOfJob = new Map(
    wanted.map((job) => {
      // The round that a first Saturday takes is not said again.
      const days = (soon.has(job) ? job.ahead.slice(1) : job.ahead).filter((day) => day <= until);
      return [job, new Set(days.map((day) => `${day.slice(0, 7)}-01` as PlainDate))] as const;
    }),
  );
  const always = wanted.filter((job) => monthsOfJob.get(job)!.size >= MOST_MONTHS);
  const byMonth = new Map<PlainDate, JobStatus[]>();
  for (const [job, months] of monthsOfJob)
    if (!always.includes(job))
      for (const month of months) byMonth.set(month, [...(byMonth.get(month) ?? []), job]);
  const months = [...byMonth]
    .sort(([a], [b]) => (a < b ? -1 : 1))
    .map(([month, jobs]) => ({
      month,
      jobs,
      minutes: jobs.reduce((sum, { task }) => sum + task.handsOn, 0),
    }));
  return { months, always };
}
