import { addDays, type PlainDate } from "../quantities/plain-date";
import type { JobStatus } from "../scheduling/schedule";
import type { PlanView } from "./plan";

/** So many days the first rounds are told one by one; the rest has its month. */
const FIRST_DAYS = 60;
const YEAR_DAYS = 365;

export type FirstRound = { day: PlainDate; minutes: number; jobs: JobStatus[] };
export type MonthOfJobs = {
  /** Its first day. */
  month: PlainDate;
  minutes: number;
  /** Each job once, however often it comes in that month. */
  jobs: JobStatus[];
};

export type FirstYear = {
  /** The first rounds of one’s own: safety first, then what is past, then what is quickly done. */
  rounds: FirstRound[];
  /** What only a technician may do, the first time one is called. */
  technician: FirstRound | null;
  /** What comes after them, month by month, without what comes every month anyway. */
  months: MonthOfJobs[];
  /** What comes round in most months. */
  always: JobStatus[];
};

/** Comes in at least so many of the twelve months: it is no news of any one of them. */
const MOST_MONTHS = 6;

/**
 * A calm first year with a house, told from its plan: the first rounds one by one, what a technician is
 * called for, then month by month. That nobody does forty jobs on the first Saturday is the plan’s own
 * doing: see `calmFrom`.
 *
 * @param jobs every job of the home as it stands
 * @param technicians the crews whose rounds are visits
 * @example firstYear([], { rounds: [] }, new Set(), today) // {"rounds":[],"technician":null,"months":[],"always":[]}
 */
export function firstYear(
  jobs: readonly JobStatus[],
  { rounds }: Pick<PlanView, "rounds">,
  technicians: ReadonlySet<string>,
  today: PlainDate,
): FirstYear {
  const byId = new Map(jobs.map((job) => [job.task.id, job]));
  const told = rounds
    .filter(({ tasks }) => tasks.length > 0)
    .map(({ crew, day, tasks, minutes }) => ({
      isVisit: technicians.has(crew),
      ...{ day, minutes: Math.round(minutes) },
      jobs: tasks.flatMap((id) => byId.get(id) ?? []),
    }));
  const until = addDays(today, FIRST_DAYS);
  const first = told.filter(({ isVisit, day }) => !isVisit && day <= until);
  const visit = told.find(({ isVisit }) => isVisit);
  const later = told.filter((round) => !first.includes(round) && round !== visit);
  return {
    rounds: first.map(({ isVisit: _, ...round }) => round),
    technician: visit ? { day: visit.day, minutes: visit.minutes, jobs: visit.jobs } : null,
    ...monthsOf(told, later, today),
  };
}

function monthsOf(
  told: readonly FirstRound[],
  later: readonly FirstRound[],
  today: PlainDate,
): Pick<FirstYear, "months" | "always"> {
  const until = addDays(today, YEAR_DAYS);
  const monthOf = (day: PlainDate) => `${day.slice(0, 7)}-01` as PlainDate;
  const monthsOfJob = new Map<JobStatus, Set<PlainDate>>();
  for (const { day, jobs } of told)
    for (const job of jobs)
      if (day <= until) monthsOfJob.set(job, (monthsOfJob.get(job) ?? new Set()).add(monthOf(day)));
  const always = [...monthsOfJob]
    .filter(([, months]) => months.size >= MOST_MONTHS)
    .map(([job]) => job);
  const months = new Map<PlainDate, Set<JobStatus>>();
  for (const { day, jobs } of later)
    for (const job of jobs)
      if (day <= until && !always.includes(job))
        months.set(monthOf(day), (months.get(monthOf(day)) ?? new Set()).add(job));
  return {
    always,
    months: [...months]
      .sort(([a], [b]) => (a < b ? -1 : 1))
      .map(([month, set]) => ({
        month,
        jobs: [...set],
        minutes: [...set].reduce((sum, { task }) => sum + task.handsOn, 0),
      })),
  };
}
