import { daysFrom, type PlainDate } from "../quantities/plain-date";
import type { PlanView } from "./plan";
import type { JobStatus } from "../scheduling/schedule";
import type { Occurrence, PlanInput } from "./plan-schema";
import type { PlannedDay, YearPlan } from "./year";

/** A published plan on a later day. */
export type PlanLeft = {
  /** What is still to come of it. */
  ahead: Occurrence[];
  /** What was to be done on a day that has passed, and was not: the first of each job. */
  missed: Occurrence[];
};

/**
 * What is left of a plan: what was done since, or is covered by what was done, has gone. Where a job was done
 * since the plan was made, an occurrence before the window after that time was done early; others stay, in
 * order, pinned before their window though they may be.
 *
 * @param jobs as they stand today; what nothing calls for has gone too
 * @example planLeft([], "2026-03-14", { madeOn: "2026-02-14", days: [{ task: "filter", n: 1, day: "2026-04-12" }] }).ahead.length // 0
 */
export function planLeft(
  jobs: readonly Pick<JobStatus, "task" | "opens" | "due" | "lastDone">[],
  today: PlainDate,
  { madeOn, days }: Pick<YearPlan, "madeOn" | "days">,
): PlanLeft {
  const ahead: Occurrence[] = [];
  const missed: Occurrence[] = [];
  const daysOf = new Map<string, PlainDate[]>();
  for (const { task, day } of days) daysOf.set(task, [...(daysOf.get(task) ?? []), day]);
  for (const { task, opens, due, lastDone } of jobs) {
    const { id } = task;
    if (due === null || task.isOff) continue;
    const isDoneSince = lastDone !== null && lastDone >= madeOn;
    const own = (daysOf.get(id) ?? []).filter(
      (day) =>
        (lastDone === null || day > lastDone) && !(isDoneSince && opens !== null && day < opens),
    );
    ahead.push(...own.filter((day) => day >= today).map((day) => ({ task: id, day })));
    const first = own.filter((day) => day < today).sort()[0];
    if (first) missed.push({ task: id, day: first });
  }
  const byDay = (a: Occurrence, b: Occurrence) => (a.day < b.day ? -1 : a.day > b.day ? 1 : 0);
  return { ahead: ahead.sort(byDay), missed: missed.sort(byDay) };
}

/**
 * A published plan as it is looked at today: what was missed counts as done today, the soonest it can be.
 *
 * @example asOfToday({ today: "2026-03-14" }, { ahead: [], missed: [{ task: "filter", day: "2026-03-07" }] }) // [{"task":"filter","day":"2026-03-14"}]
 */
export function asOfToday(
  { today }: Pick<PlanInput, "today">,
  { ahead, missed }: PlanLeft,
): Occurrence[] {
  const at = (task: string, day: PlainDate) =>
    ahead.some((each) => each.task === task && each.day === day);
  return [
    ...missed.flatMap(({ task }) => (at(task, today) ? [] : [{ task, day: today }])),
    ...ahead,
  ];
}

/**
 * Each occurrence with the how manieth of its job it is, from 1, in the order of days: as a plan is kept.
 *
 * @example numbered([{ task: "a", day: "2026-03-14" }]) // [{"task":"a","n":1,"day":"2026-03-14"}]
 */
export function numbered(occurrences: readonly Occurrence[]): PlannedDay[] {
  const count = new Map<string, number>();
  return occurrences
    .toSorted((a, b) => (a.day < b.day ? -1 : a.day > b.day ? 1 : 0))
    .map(({ task, day }) => {
      const n = (count.get(task) ?? 0) + 1;
      count.set(task, n);
      return { task, n, day };
    });
}

/** An occurrence that a draft has on another day, or one that only one of them has. */
export type PlanChange = { task: string; from: PlainDate | null; to: PlainDate | null };

/**
 * What is different in a second plan, by task: occurrences are matched in order, the ones nearest to each
 * other where one plan has more of them. What lies past `until` is not compared.
 *
 * @example planChanges([{ task: "a", day: "2026-03-14" }], [{ task: "a", day: "2026-03-21" }], "2026-12-31") // [{"task":"a","from":"2026-03-14","to":"2026-03-21"}]
 */
export function planChanges(
  before: readonly Occurrence[],
  after: readonly Occurrence[],
  until: PlainDate,
): PlanChange[] {
  const daysOf = (plan: readonly Occurrence[], id: string) =>
    plan
      .filter(({ task }) => task === id)
      .map(({ day }) => day)
      .toSorted();
  const tasks = new Set([...before, ...after].map(({ task }) => task));
  return [...tasks]
    .flatMap((task) =>
      matched(daysOf(before, task), daysOf(after, task)).map(({ from, to }) => ({
        task,
        from,
        to,
      })),
    )
    .filter(({ from, to }) => from !== to && (from ?? to!) <= until && (to ?? from!) <= until)
    .sort((a, b) => ((a.to ?? a.from!) < (b.to ?? b.from!) ? -1 : 1));
}

type Pair = { from: PlainDate | null; to: PlainDate | null };

/** Two lists of days in order, paired so that they are moved the least in sum; what is over stays alone. */
function matched(from: readonly PlainDate[], to: readonly PlainDate[]): Pair[] {
  const isTurned = from.length > to.length;
  const [few, many] = isTurned ? [to, from] : [from, to];
  // cost[i][j]: the first i of the few placed among the first j of the many.
  const cost = few.reduce<number[][]>(
    (rows, day) => {
      const above = rows.at(-1)!;
      const row = [Number.POSITIVE_INFINITY];
      many.forEach((other, j) => {
        row.push(Math.min(row[j]!, above[j]! + Math.abs(daysFrom(day, other))));
      });
      return [...rows, row];
    },
    [new Array<number>(many.length + 1).fill(0)],
  );
  const pairs: Pair[] = [];
  let i = few.length;
  for (let j = many.length; j > 0; j--) {
    const isPaired = i > 0 && cost[i]![j]! < cost[i]![j - 1]!;
    const one = isPaired ? few[--i]! : null;
    const other = many[j - 1]!;
    pairs.push(isTurned ? { from: other, to: one } : { from: one, to: other });
  }
  return pairs.reverse();
}

/** What a plan comes to, for setting two of them side by side. */
export type PlanSums = {
  rounds: number;
  visits: number;
  /** At work, one’s own rounds. */
  minutes: number;
  /** How many jobs it does after their window has closed. */
  late: number;
};

/**
 * What a plan comes to up to a day, its own rounds apart from a technician’s visits.
 *
 * @example planSums({ rounds: [], overdue: [] }, new Set(), "2026-12-31") // {"rounds":0,"visits":0,"minutes":0,"late":0}
 */
export function planSums(
  { rounds, overdue }: Pick<PlanView, "rounds" | "overdue">,
  technicians: ReadonlySet<string>,
  until: PlainDate,
): PlanSums {
  const within = rounds.filter(
    ({ day, tasks, returns }) => day <= until && tasks.length + returns.length > 0,
  );
  const own = within.filter(({ crew }) => !technicians.has(crew));
  return {
    rounds: own.length,
    visits: within.length - own.length,
    minutes: own.reduce((sum, { minutes }) => sum + minutes, 0),
    late: overdue.filter(({ day }) => day <= until).length,
  };
}
