import { addDays, fromDay, toDay, type PlainDate } from "../quantities/plain-date";
import { evaluate } from "./evaluate";
import type { Plan, PlanInput } from "./plan-schema";
import { NO_DAY, problemOf, type Problem } from "./problem";
import { earlyCost, lateCost, Routes } from "./route";
import { Rounds, Search, windowOf, type Days, type Found } from "./search";

/** How far a search is: iterations done, and what the best plan so far costs, centi-minutes. */
export type Progress = { done: number; cost: number };

/** Where the search stands, and how to go on. */
export type Hooks = {
  /** Called now and then with how far it is. */
  onProgress?: (progress: Progress) => void;
  /** Whether to stop early: the clock and the user are outside. */
  shouldStop?: () => boolean;
};

const PROGRESS_EVERY = 50;

/**
 * A year in rounds: which task on which day, so that people go few times, on days they like, with each
 * machine switched off once, nothing thrown away early and nothing overdue. The next window of a task
 * follows from the day the one before is really done. The same input gives the same bytes; more iterations
 * never cost more. Costs are centi-minutes and come from `evaluate`, which knows nothing of the search.
 *
 * @source docs/sources.md#rounds
 * @example plan(planInput.parse(smallPlan)).rounds.length // 2
 */
export function plan(input: PlanInput, { onProgress, shouldStop }: Hooks = {}): Plan {
  const steps = planning(input);
  for (let step = steps.next(); ; step = steps.next(shouldStop?.() ?? false)) {
    if (step.done) return step.value;
    if (step.value.done % PROGRESS_EVERY === 0) onProgress?.(step.value);
  }
}

/**
 * The same an iteration at a time: a worker listens in between. What is answered with true ends it with the
 * best plan so far.
 *
 * @example planning(planInput.parse(smallPlan)).next().value.done // 1
 */
export function* planning(input: PlanInput): Generator<Progress, Plan, boolean | undefined> {
  const model = new PlanModel(input);
  const search = new Search(model.problem).steps(input.iterations, input.seed);
  let isStopped = false;
  for (let step = search.next(); ; step = search.next(isStopped)) {
    if (step.done) return model.planOf(step.value, step.value.done < input.iterations);
    isStopped = (yield { done: step.value.done, cost: step.value.price.cost }) ?? false;
  }
}

/** Occurrences as a plan shows them: their rounds, their windows, and what all of it costs. */
export type PlanView = Pick<Plan, "rounds" | "occurrences" | "cost" | "overdue" | "conflicts">;
/** Which task is done on which day. */
export type Occurrence = { task: string; day: PlainDate };

/**
 * A plan’s input with what may be asked of it over and over: what some occurrences come to, whoever chose
 * their days.
 *
 * @example new PlanModel(planInput.parse(smallPlan)).view([]).conflicts.length > 0 // true
 */
export class PlanModel {
  readonly problem: Problem;

  constructor(readonly input: PlanInput) {
    this.problem = problemOf(input);
  }

  /** What some occurrences come to; none lies before today. */
  view(occurrences: readonly Occurrence[]): PlanView {
    const start = toDay(this.input.today);
    const byTask = new Map<string, number[]>();
    for (const { task, day } of occurrences) {
      const days = byTask.get(task) ?? [];
      byTask.set(task, days);
      days.push(toDay(day) - start);
    }
    return this.#viewOf(
      this.input.tasks.map(({ id }) => (byTask.get(id) ?? []).sort((a, b) => a - b)),
    );
  }

  /** What a search found, as the outside reads it. */
  planOf({ days, done }: Found, isTruncated: boolean): Plan {
    const view = this.#viewOf(days);
    return {
      ...view,
      lowerBound: Math.min(lowerBound(this.problem), view.cost.total),
      iterations: done,
      truncated: isTruncated,
    };
  }

  #viewOf(days: Days): PlanView {
    const { input, problem } = this;
    const start = toDay(input.today);
    const date = (day: number): PlainDate => fromDay(start + day);
    const dated = (day: number) => (Math.abs(day) === NO_DAY ? null : date(day));
    const occurrences = input.tasks
      .flatMap((task, i) => {
        let before = problem.tasks[i]!.lastDone;
        return days[i]!.map((day) => {
          const window = windowOf(problem, i, before);
          const it = problem.tasks[i]!;
          const occurrence = {
            task: task.id,
            day: date(day),
            opens: dated(window?.opens ?? NO_DAY),
            due: dated(window?.due ?? NO_DAY),
            closes: dated(window?.closes ?? NO_DAY),
            pinned: it.pins.includes(day),
            early: window ? earlyCost(it, before, day, window.due) : 0,
            late: window ? lateCost(problem, it, day, window.due, window.closes) : 0,
          };
          before = day;
          return { order: i, occurrence };
        });
      })
      .sort((a, b) => compare(a.occurrence.day, b.occurrence.day) || a.order - b.order)
      .map(({ occurrence }) => occurrence);
    const asked = occurrences.map(({ task, day }) => ({ task, day }));
    return {
      rounds: roundsOf(input, problem, days),
      occurrences,
      ...evaluate({ input, occurrences: asked }),
    };
  }
}

const compare = (a: string, b: string): number => (a < b ? -1 : a > b ? 1 : 0);

/** The rounds of a plan, by day, then as crews and homes stand in the input; locked ones though empty. */
function roundsOf(input: PlanInput, problem: Problem, days: Days): Plan["rounds"] {
  const homes = [...new Set(input.units.map(({ home }) => home))];
  const rounds = new Rounds(problem);
  days.forEach((each, task) => each.forEach((day) => rounds.occur(task, day, 1)));
  const at = new Map<number, { done: number[]; back: number[] }>();
  const round = (key: number) => {
    const known = at.get(key) ?? { done: [], back: [] };
    at.set(key, known);
    return known;
  };
  for (const key of problem.locked) round(key);
  problem.tasks.forEach(({ crew, home, returns }, task) => {
    for (const day of days[task]!) {
      round(problem.roundOf(crew, home, day)).done.push(task);
      if (returns) round(problem.roundOf(crew, home, rounds.returnDay(task, day))).back.push(task);
    }
  });
  const minutes = (task: number) => problem.tasks[task]!.handsOn;
  const all = [...at].map(([key, { done, back }]) => {
    const day = key % problem.days;
    const crewAndHome = Math.floor(key / problem.days);
    const [crew, home] = [Math.floor(crewAndHome / problem.homes), crewAndHome % problem.homes];
    const off = new Set(done.filter((i) => problem.tasks[i]!.powerOff));
    return {
      ...{ key, crew, day },
      sum:
        done.reduce((sum, i) => sum + minutes(i), 0) +
        back.reduce((sum, i) => sum + problem.tasks[i]!.returns!.minutes, 0),
      shown: {
        crew: input.crews[crew]!.id,
        home: homes[home]!,
        day: addDays(input.today, day),
        tasks: done.map((i) => input.tasks[i]!.id),
        returns: back.map((i) => input.tasks[i]!.id),
        poweredDown: [...new Set([...off].map((i) => input.tasks[i]!.unit))],
      },
    };
  });
  const ofDay = (crew: number, day: number) =>
    all.reduce((sum, each) => (each.crew === crew && each.day === day ? sum + each.sum : sum), 0);
  return all
    .sort((a, b) => a.day - b.day || a.key - b.key)
    .map(({ crew, day, sum, shown }) => {
      const { cap, isCapOfDay } = problem.crews[crew]!;
      const scope = isCapOfDay ? ofDay(crew, day) : sum;
      return { ...shown, minutes: sum / 100, overCap: Math.max(0, scope - cap) / 100 };
    });
}

/**
 * Less than any plan of a problem costs: each task goes its own cheapest way, and pays of each round only the
 * share that would be left to it if every task of its crew and home came along. Centi-minutes.
 *
 * @example lowerBound(problemOf(planInput.parse(smallPlan))) > 0 // true
 */
export function lowerBound(problem: Problem): number {
  const { tasks, crews, cost } = problem;
  let sum = 0;
  tasks.forEach((task) => {
    const crew = crews[task.crew]!;
    const mates = tasks.filter(
      ({ crew: other, home }) => other === task.crew && home === task.home,
    );
    const powered = mates.filter(({ unit, powerOff }) => unit === task.unit && powerOff).length;
    const days = Int32Array.from(
      new Set([
        ...[...crew.isCandidate.keys()].filter((day) => crew.isCandidate[day]),
        ...task.pins,
      ]),
    )
      .filter(
        (day) =>
          day > task.lastDone && (task.pins.includes(day) || (task.isAllowed?.[day] ?? 1) === 1),
      )
      .sort();
    const routes = new Routes(problem, task, days);
    days.forEach((day, i) => {
      const round = problem.roundOf(task.crew, task.home, day);
      const isLocked = problem.locked.has(round);
      const full = isLocked
        ? 0
        : crew.isOwner
          ? cost.setup + (crew.isLiked[day] ? 0 : cost.weekday)
          : cost.visit;
      routes.dayCost[i] = full / mates.length + (task.powerOff ? cost.powerDown / powered : 0);
    });
    const way = routes.cheapest();
    if (Number.isFinite(way.cost) && way.cost < 1e12) sum += way.cost;
  });
  return Math.floor(sum);
}

/**
 * A plan as people make it who go on each task’s own due day, or on the first liked day from it on: what
 * a good plan is measured against.
 *
 * @param isFirstLiked the first liked day from the due day on; else the due day itself, or the next candidate
 * @example naivePlan(planInput.parse(smallPlan), true).length // 3
 */
export function naivePlan(
  input: PlanInput,
  isFirstLiked: boolean,
): { task: string; day: PlainDate }[] {
  const problem = problemOf(input);
  return problem.tasks.flatMap((task, i) => {
    const crew = problem.crews[task.crew]!;
    const days = [...crew.isCandidate.keys()].filter(
      (day) => crew.isCandidate[day] && (!isFirstLiked || crew.isLiked[day]),
    );
    const done: { task: string; day: PlainDate }[] = [];
    let before = task.lastDone;
    for (;;) {
      const window = windowOf(problem, i, before);
      if (!window || window.due > problem.horizon) return done;
      const wanted = Math.max(window.due, before + 1, 0);
      const day = days.find((each) => each >= wanted && (task.isAllowed?.[each] ?? 1) === 1);
      if (day === undefined) return done;
      done.push({ task: input.tasks[i]!.id, day: addDays(input.today, day) });
      before = day;
    }
  });
}
