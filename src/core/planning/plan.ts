import { addDays, fromDay, toDay, type PlainDate } from "../quantities/plain-date";
import { evaluate } from "./evaluate";
import type { Occurrence, Plan, PlanInput } from "./plan-schema";
import { inPassing } from "./in-passing";
import { searching, type Found } from "./parts";
import { NO_DAY, problemOf, type Problem } from "./problem";
import { earlyCost, lateCost, Routes } from "./route";
import { crewOf, dayOf, Rounds, turnOf, windowOf, type Turns } from "./rounds";

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
  const search = searching(model.problem, input.iterations, input.seed);
  let isStopped = false;
  for (let step = search.next(); ; step = search.next(isStopped)) {
    if (step.done) return model.planOf(step.value, step.value.done < input.iterations);
    isStopped = (yield { done: step.value.done, cost: step.value.price.cost }) ?? false;
  }
}

/** Occurrences as a plan shows them: their rounds, their windows, and what all of it costs. */
export type PlanView = Pick<
  Plan,
  "rounds" | "occurrences" | "inPassing" | "cost" | "overdue" | "conflicts"
>;

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

  /** What some occurrences come to; none lies before today. What is light is hung on them anew. */
  view(occurrences: readonly Occurrence[]): PlanView {
    const { input, problem } = this;
    const start = toDay(input.today);
    const taskAt = new Map(input.tasks.map(({ id }, i) => [id, i]));
    const crewAt = new Map(input.crews.map(({ id }, i) => [id, i]));
    const turns: Turns = input.tasks.map(() => []);
    for (const { task, day, crew } of occurrences) {
      const at = taskAt.get(task);
      if (at === undefined || problem.tasks[at]!.isLight) continue;
      const by = crew ? crewAt.get(crew)! : problem.tasks[at]!.crews[0]!;
      turns[at]!.push(turnOf(problem, by, toDay(day) - start));
    }
    return this.#viewOf(turns.map((each) => each.sort((a, b) => a - b)));
  }

  /** What a search found, as the outside reads it. */
  planOf({ turns, done }: Found, isTruncated: boolean): Plan {
    const view = this.#viewOf(turns);
    return {
      ...view,
      lowerBound: Math.min(lowerBound(this.problem), view.cost.total),
      iterations: done,
      truncated: isTruncated,
    };
  }

  #viewOf(turns: Turns): PlanView {
    const { input, problem } = this;
    const start = toDay(input.today);
    const date = (day: number): PlainDate => fromDay(start + day);
    const dated = (day: number) => (Math.abs(day) === NO_DAY ? null : date(day));
    const { hung, alone } = inPassing(problem, turns);
    const isHung = new Set(hung.flatMap((each, i) => each.map((turn) => `${i} ${turn}`)));
    const byTask = turns.map((each, i) => {
      const own = alone.flatMap(({ task, turn }) => (task === i ? [turn] : []));
      return problem.tasks[i]!.isLight ? [...hung[i]!, ...own].sort((a, b) => a - b) : each;
    });
    const occurrences = input.tasks
      .flatMap((task, i) => {
        const it = problem.tasks[i]!;
        let before = it.lastDone;
        return byTask[i]!.map((turn) => {
          const [crew, day] = [crewOf(problem, turn), dayOf(problem, turn)];
          const window = windowOf(problem, i, before);
          const isPriced = window !== null && !it.isLight;
          const occurrence: Plan["occurrences"][number] = {
            task: task.id,
            day: date(day),
            opens: dated(window?.opens ?? NO_DAY),
            due: dated(window?.due ?? NO_DAY),
            closes: dated(window?.closes ?? NO_DAY),
            pinned: it.pins.includes(day),
            early: isPriced ? earlyCost(it, before, day, window.due) : 0,
            late: isPriced ? lateCost(problem, it, day, window.due, window.closes) : 0,
            ...(crew === it.crews[0] ? {} : { crew: input.crews[crew]!.id }),
            ...(it.isLight ? { light: true as const } : {}),
          };
          before = day;
          return { order: i, isShown: !it.isLight || isHung.has(`${i} ${turn}`), occurrence };
        });
      })
      .filter(({ isShown }) => isShown)
      .sort((a, b) => compare(a.occurrence.day, b.occurrence.day) || a.order - b.order)
      .map(({ occurrence }) => occurrence);
    return {
      rounds: roundsOf(input, problem, { turns, hung }),
      occurrences,
      inPassing: alone
        .map(({ task, turn }) => ({
          task: input.tasks[task]!.id,
          day: date(dayOf(problem, turn)),
          crew: input.crews[crewOf(problem, turn)]!.id,
        }))
        .sort((a, b) => compare(a.day, b.day)),
      ...evaluate({ input, occurrences }),
    };
  }
}

const compare = (a: string, b: string): number => (a < b ? -1 : a > b ? 1 : 0);

/** The rounds of a plan, by day, then as crews and homes stand in the input; locked ones though empty. */
function roundsOf(
  input: PlanInput,
  problem: Problem,
  { turns, hung }: { turns: Turns; hung: Turns },
): Plan["rounds"] {
  const homes = [...new Set(input.units.map(({ home }) => home))];
  const rounds = new Rounds(problem);
  turns.forEach((each, task) => each.forEach((turn) => rounds.occur(task, turn, 1)));
  const at = new Map<number, { done: number[]; back: number[] }>();
  const round = (key: number) => {
    const known = at.get(key) ?? { done: [], back: [] };
    at.set(key, known);
    return known;
  };
  for (const key of problem.locked) round(key);
  problem.tasks.forEach(({ home, returns }, task) => {
    for (const turn of [...turns[task]!, ...hung[task]!]) {
      const [crew, day] = [crewOf(problem, turn), dayOf(problem, turn)];
      round(problem.roundOf(crew, home, day)).done.push(task);
      if (returns && !problem.tasks[task]!.isLight)
        round(problem.roundOf(crew, home, rounds.returnDay(task, crew, day))).back.push(task);
    }
  });
  const minutes = (task: number) => problem.tasks[task]!.handsOn;
  const all = [...at].map(([key, { done, back }]) => {
    const day = key % problem.days;
    const crewAndHome = Math.floor(key / problem.days);
    const [crew, home] = [Math.floor(crewAndHome / problem.homes), crewAndHome % problem.homes];
    const off = new Set(
      done.filter((i) => problem.tasks[i]!.powerOff && !problem.tasks[i]!.isLight),
    );
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
  const searched = tasks.filter(({ isLight }) => !isLight);
  let sum = 0;
  for (const task of searched) {
    const days = Int32Array.from(
      new Set([
        ...Array.from({ length: problem.days }, (_, day) => day).filter((day) =>
          task.crews.some((crew) => crews[crew]!.isCandidate[day]),
        ),
        ...task.pins,
      ]),
    )
      .filter(
        (day) =>
          day > task.lastDone && (task.pins.includes(day) || (task.isAllowed?.[day] ?? 1) === 1),
      )
      .sort();
    const routes = new Routes(problem, task, days);
    routes.dayCost.fill(Number.POSITIVE_INFINITY);
    for (const by of task.crews) {
      const { isOwner, isLiked, isCandidate } = crews[by]!;
      const mates = searched.filter(
        ({ crews: able, home }) => able.includes(by) && home === task.home,
      );
      const powered = mates.filter(({ unit, powerOff }) => unit === task.unit && powerOff).length;
      const other = by === task.crews[0] ? 0 : cost.otherCrew;
      days.forEach((day, i) => {
        if (!isCandidate[day]) return;
        const isLocked = problem.locked.has(problem.roundOf(by, task.home, day));
        const full = isLocked
          ? 0
          : isOwner
            ? cost.setup + (isLiked[day] ? 0 : cost.weekday)
            : cost.visit;
        const share = other + full / mates.length + (task.powerOff ? cost.powerDown / powered : 0);
        routes.dayCost[i] = Math.min(routes.dayCost[i]!, share);
      });
    }
    const way = routes.cheapest();
    if (Number.isFinite(way.cost) && way.cost < 1e12) sum += way.cost;
  }
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
    const crew = problem.crews[task.crews[0]!]!;
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
