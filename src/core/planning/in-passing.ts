import { windowFrom } from "./route";
import { NO_DAY, type Problem } from "./problem";
import { crewOf, dayOf, Rounds, turnOf, type Turn, type Turns } from "./rounds";

/** Light tasks of a plan: on rounds that are there anyway, by task, and those that found none. */
export type InPassing = { hung: Turns; alone: { task: number; turn: Turn }[] };

/**
 * Hangs what is light on the rounds of a plan, along its chains: on the latest one before it is due, else on the
 * earliest before it closes, else it is done by itself when it is due. No round is made for it, and none moved.
 *
 * @param turns of all other tasks
 * @example inPassing(smallProblem, [[29]]).alone // []
 */
export function inPassing(problem: Problem, turns: Turns): InPassing {
  const { tasks, crews, horizon, days, roundOf } = problem;
  const rounds = new Rounds(problem);
  turns.forEach((each, task) => each.forEach((turn) => rounds.occur(task, turn, 1)));
  const isRound = new Set(problem.locked);
  turns.forEach((each, task) => {
    const { home, returns } = tasks[task]!;
    for (const turn of each) {
      const [crew, day] = [crewOf(problem, turn), dayOf(problem, turn)];
      isRound.add(roundOf(crew, home, day));
      if (returns) isRound.add(roundOf(crew, home, rounds.returnDay(task, crew, day)));
    }
  });
  const hung: Turns = tasks.map(() => []);
  const alone: InPassing["alone"] = [];
  tasks.forEach((task, i) => {
    if (!task.isLight) return;
    const isAllowed = (day: number) => (task.isAllowed?.[day] ?? 1) === 1;
    const withRound = (day: number) =>
      isAllowed(day)
        ? task.crews.find((crew) => isRound.has(roundOf(crew, task.home, day)))
        : undefined;
    const there = (day: number) =>
      isAllowed(day) ? task.crews.find((crew) => crews[crew]!.isCandidate[day] === 1) : undefined;
    /** The first of some days that somebody can use. */
    const first = (
      from: number,
      to: number,
      by: 1 | -1,
      who: (day: number) => number | undefined,
    ) => {
      for (let day = from; by > 0 ? day <= to : day >= to; day += by) {
        const crew = who(day);
        if (crew !== undefined) return turnOf(problem, crew, day);
      }
      return null;
    };
    let before = task.lastDone;
    for (;;) {
      const window = windowFrom(problem, task, before);
      if (!window || window.due === NO_DAY || window.due > horizon) return;
      const { opens, due, closes } = window;
      const from = Math.max(opens, before + 1, 0);
      const onRound =
        first(due, from, -1, withRound) ??
        first(Math.max(from, due + 1), Math.min(closes, days - 1), 1, withRound);
      const turn = onRound ?? first(Math.max(from, due), days - 1, 1, there);
      if (turn === null) return;
      if (onRound === null) alone.push({ task: i, turn });
      else hung[i]!.push(turn);
      before = dayOf(problem, turn);
    }
  });
  return { hung, alone };
}
