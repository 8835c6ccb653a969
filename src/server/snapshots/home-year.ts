import { personFor, homePlan } from "@/core/planning/home-plan";
import { naivePlan, PlanModel, type PlanView } from "@/core/planning/plan";
import type { Occurrence } from "@/core/planning/plan-schema";
import { asOfToday, planLeft, type PlanLeft } from "@/core/planning/published";
import { peopleOf, type Person, type YearPlan } from "@/core/planning/year";
import type { PlainDate } from "@/core/quantities/plain-date";
import type { JobStatus } from "@/core/scheduling/schedule";
import type { HomeStatus } from "@/core/timeline/home-status";
import { jobFactsOf } from "./job-facts";
import { shownOnce, windowsAhead } from "./snapshot-cache";

/** A kept plan as it stands today. */
export type PlanNow = { plan: YearPlan; left: PlanLeft; view: PlanView };

/** A home’s year as it is planned: the input, the plan that counts, and the draft beside it. */
export type HomeYear = {
  people: Person[];
  model: PlanModel;
  /** Jobs that nobody of the home does. */
  nobody: JobStatus[];
  current: PlanNow | null;
  draft: PlanNow | null;
  /** On how many days one would be at it, were each job done on its own due day. */
  errands: number;
};

/** A home’s year, worked out once for as long as its status lives. */
export const homeYear = (status: HomeStatus): HomeYear =>
  shownOnce(status, "year", () => yearOf(status));

function yearOf(status: HomeStatus): HomeYear {
  const { snapshot, today, jobs } = status;
  const { year } = snapshot;
  const { input, nobody } = homePlan(status, jobFactsOf(snapshot), windowsAhead);
  const model = new PlanModel(input);
  const known = new Set(input.tasks.map(({ id }) => id));
  const now = (plan: YearPlan | null): PlanNow | null => {
    if (!plan) return null;
    const stands = planLeft(jobs, today, plan);
    const days = asOfToday({ today }, stands).filter(({ task }) => known.has(task));
    return { plan, left: stands, view: model.view(days) };
  };
  return {
    people: peopleOf(year),
    model,
    nobody,
    current: now(year.current),
    draft: now(year.draft),
    errands: new Set(
      naivePlan(input, false).map(({ task, day }) => `${crewOf(model, task)} ${day}`),
    ).size,
  };
}

const crewOf = ({ input }: PlanModel, id: string): string =>
  input.tasks.find((task) => task.id === id)?.crew ?? "";

/** A round that hangs from the beam: whose, when, what. */
export type HungRound = {
  person: Person;
  day: PlainDate;
  tasks: JobStatus[];
  minutes: number;
  /** What was to be done on a day that has passed. */
  isMissed: boolean;
};

/** The rounds of the plan that counts, as far as they are still to come; null where none was published. */
export const roundsAhead = (status: HomeStatus): HungRound[] | null =>
  shownOnce(status, "rounds", () => roundsOf(status));

function roundsOf({ snapshot, today, jobs }: HomeStatus): HungRound[] | null {
  const { current } = snapshot.year;
  if (!current) return null;
  const people = peopleOf(snapshot.year);
  const factsOf = jobFactsOf(snapshot);
  const byId = new Map(jobs.map((job) => [job.task.id, job]));
  const { ahead, missed } = planLeft(jobs, today, current);
  const rounds = new Map<string, HungRound>();
  const put = ({ task, day }: Occurrence, isMissed: boolean) => {
    const job = byId.get(task);
    const person = job && personFor(people, job, factsOf(job.task), today);
    if (!job || !person) return;
    const key = `${isMissed ? "missed" : "ahead"} ${day} ${person.id}`;
    const round = rounds.get(key) ?? { person, day, tasks: [], minutes: 0, isMissed };
    round.tasks.push(job);
    round.minutes += job.task.handsOn;
    rounds.set(key, round);
  };
  for (const each of missed) put(each, true);
  for (const each of ahead) put(each, false);
  return [...rounds.values()].sort((a, b) => (a.day < b.day ? -1 : a.day > b.day ? 1 : 0));
}
