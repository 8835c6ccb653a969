import { earlyCost, lateCost, movedCost, windowFrom } from "./route";
import { NO_DAY, type Problem, type ProblemWindow } from "./problem";

// Taken once: a look into a global object costs more than the sum, where tests run in a box of their own.
const { floor, max, min } = Math;

/** Who does a task on which day, as one number that grows with the day. */
export type Turn = number;
/** A plan: by task, its turns in order. */
export type Turns = Turn[][];
/** What a plan costs: less over a cap is better than any cost, then less cost. Centi-minutes. */
export type Price = { excess: number; cost: number };

/**
 * A crew on a day as one number; `dayOf` and `crewOf` read it.
 *
 * @example dayOf(smallProblem, turnOf(smallProblem, 0, 7)) // 7
 */
export const turnOf = ({ crews }: Problem, crew: number, day: number): Turn =>
  day * crews.length + crew;

/** @example dayOf(smallProblem, 29) // 29 */
export const dayOf = ({ crews }: Problem, turn: Turn): number => floor(turn / crews.length);

/** @example crewOf(smallProblem, 29) // 0 */
export const crewOf = ({ crews }: Problem, turn: Turn): number => turn % crews.length;

/**
 * The rounds of a plan while it is searched: how many tasks are in each, which units are without power,
 * how many minutes it has. Occurrences are added and taken out one by one.
 *
 * @example new Rounds(smallProblem).opening(0, 0, 7) // 1500
 */
export class Rounds {
  /** By round: tasks in it, second errands on it, minutes of both. */
  readonly tasks: Int16Array;
  readonly returns: Int16Array;
  readonly minutes: Int32Array;
  /** By crew and day: rounds anywhere, and minutes. */
  readonly crewRounds: Int16Array;
  readonly crewMinutes: Int32Array;
  /** By crew, unit and day: tasks for which it is without power. */
  readonly powered: Int16Array;

  constructor(readonly problem: Problem) {
    const { days, homes, units, crews } = problem;
    const rounds = crews.length * homes * days;
    this.tasks = new Int16Array(rounds);
    this.returns = new Int16Array(rounds);
    this.minutes = new Int32Array(rounds);
    this.crewRounds = new Int16Array(crews.length * days);
    this.crewMinutes = new Int32Array(crews.length * days);
    this.powered = new Int16Array(crews.length * units * days);
  }

  /** Adds an occurrence of a task, or takes it out with `by` −1. */
  occur(task: number, turn: Turn, by: 1 | -1): void {
    const { problem } = this;
    const { home, unit, handsOn, powerOff } = problem.tasks[task]!;
    const [crew, day] = [crewOf(problem, turn), dayOf(problem, turn)];
    this.#enter(this.tasks, crew, home, day, by, handsOn);
    if (powerOff) this.powered[(crew * problem.units + unit) * problem.days + day]! += by;
  }

  /** Adds a second errand, or takes it out. */
  return(task: number, turn: Turn, by: 1 | -1): void {
    const { problem } = this;
    const { home, returns } = problem.tasks[task]!;
    const [crew, day] = [crewOf(problem, turn), dayOf(problem, turn)];
    this.#enter(this.returns, crew, home, day, by, returns!.minutes);
  }

  #enter(
    counts: Int16Array,
    crew: number,
    home: number,
    day: number,
    by: 1 | -1,
    minutes: number,
  ): void {
    const round = this.problem.roundOf(crew, home, day);
    const was = this.tasks[round]! + this.returns[round]!;
    counts[round]! += by;
    const is = this.tasks[round]! + this.returns[round]!;
    const at = crew * this.problem.days + day;
    if (was === 0 && is === 1 && !this.problem.locked.has(round)) this.crewRounds[at]!++;
    if (was === 1 && is === 0 && !this.problem.locked.has(round)) this.crewRounds[at]!--;
    this.minutes[round]! += by * minutes;
    this.crewMinutes[at]! += by * minutes;
  }

  /** The day of the second errand of a task that a crew does on a day, as the rounds are. */
  returnDay(task: number, crew: number, day: number): number {
    const { problem } = this;
    const { home, returns } = problem.tasks[task]!;
    const { isLiked, isExcepted } = problem.crews[crew]!;
    const first = day + returns!.first;
    let liked = NO_DAY;
    let free = NO_DAY;
    for (let on = first; on <= day + returns!.last; on++) {
      if (on >= problem.days) break;
      const round = problem.roundOf(crew, home, on);
      if (this.tasks[round]! > 0 || problem.locked.has(round)) return on;
      if (free === NO_DAY && !isExcepted[on]) free = on;
      if (liked === NO_DAY && !isExcepted[on] && isLiked[on]) liked = on;
    }
    const on = liked !== NO_DAY ? liked : free !== NO_DAY ? free : first;
    return min(on, problem.days - 1);
  }

  /** What a round on a day would cost that is not there yet; 0 for one that is. */
  opening(crew: number, home: number, day: number): number {
    const { problem } = this;
    const { isOwner, isLiked, isCalledOut } = problem.crews[crew]!;
    const round = problem.roundOf(crew, home, day);
    if (problem.locked.has(round) || this.tasks[round]! + this.returns[round]! > 0) return 0;
    const { setup, weekday, callOut, visit } = problem.cost;
    if (isOwner) return setup + (isLiked[day] ? 0 : weekday);
    const isThere = this.crewRounds[crew * problem.days + day]! > 0 || isCalledOut[day] === 1;
    return visit + (isThere ? 0 : callOut);
  }

  /** How much of some minutes more would lie over the cap. */
  excess(crew: number, home: number, day: number, minutes: number): number {
    const { problem } = this;
    const { cap, isCapOfDay } = problem.crews[crew]!;
    const before = isCapOfDay
      ? this.crewMinutes[crew * problem.days + day]!
      : this.minutes[problem.roundOf(crew, home, day)]!;
    return max(0, before + minutes - cap) - max(0, before - cap);
  }
}

/**
 * The window of the occurrence after `before`; null where the chain has ended.
 *
 * @example windowOf(smallProblem, 0, -1).due // 29
 */
export const windowOf = (problem: Problem, task: number, before: number): ProblemWindow | null =>
  windowFrom(problem, problem.tasks[task]!, before);

/** What was left out weighs more than any minutes over a cap: nothing is gained by it. */
const LEFT_OUT = 1e9;

/**
 * What a plan costs, from its rounds as they stand with every occurrence in them.
 *
 * @example priceOf(new Rounds(smallProblem), [[]]).excess > 0 // true
 */
export function priceOf(rounds: Rounds, turns: Turns): Price {
  const { problem } = rounds;
  const { cost, lastPublished, tasks, days, units } = problem;
  const count = problem.crews.length;
  const opened = new Set<number>();
  const called = new Set<number>();
  const scopes = new Set<number>();
  const off = new Set<number>();
  let sum = 0;
  let excess = 0;
  const open = (crew: number, home: number, day: number, isOccurrence: boolean) => {
    const round = problem.roundOf(crew, home, day);
    if (opened.has(round)) return;
    opened.add(round);
    const { isOwner, isLiked, isCalledOut, isCapOfDay } = problem.crews[crew]!;
    scopes.add(isCapOfDay ? -1 - (crew * days + day) : round);
    if (problem.locked.has(round)) return;
    if (isOccurrence && day <= lastPublished && !problem.published.has(round)) sum += cost.newRound;
    if (isOwner) sum += cost.setup + (isLiked[day] ? 0 : cost.weekday);
    else {
      sum += cost.visit;
      const on = crew * days + day;
      if (!isCalledOut[day] && !called.has(on)) sum += cost.callOut;
      called.add(on);
    }
  };
  for (let i = 0; i < tasks.length; i++) {
    const task = tasks[i]!;
    let before = task.lastDone;
    for (const turn of turns[i]!) {
      const [crew, day] = [turn % count, floor(turn / count)];
      const window = windowFrom(problem, task, before);
      if (window)
        sum +=
          earlyCost(task, before, day, window.due) +
          lateCost(problem, task, day, window.due, window.closes);
      if (crew !== task.crews[0]) sum += cost.otherCrew;
      sum += movedCost(problem, task, day);
      open(crew, task.home, day, true);
      if (task.powerOff) off.add((crew * units + task.unit) * days + day);
      before = day;
    }
    const next = windowFrom(problem, task, before);
    const isPinnedAhead = task.pins.some((pin) => pin > before);
    if (isPinnedAhead || (next && next.due <= problem.horizon)) excess += LEFT_OUT;
  }
  sum += off.size * cost.powerDown;
  // All find their day first: a second errand is no round for another’s.
  const returns = tasks.flatMap((task, i) =>
    task.returns
      ? turns[i]!.map((turn) => {
          const [crew, day] = [turn % count, floor(turn / count)];
          return { task: i, turn: turnOf(problem, crew, rounds.returnDay(i, crew, day)) };
        })
      : [],
  );
  for (const { task, turn } of returns) {
    rounds.return(task, turn, 1);
    open(crewOf(problem, turn), tasks[task]!.home, dayOf(problem, turn), false);
  }
  for (const scope of scopes) {
    const isCrewDay = scope < 0;
    const at = isCrewDay ? -1 - scope : scope;
    const crew = isCrewDay ? floor(at / days) : floor(at / (problem.homes * days));
    const minutes = isCrewDay ? rounds.crewMinutes[at]! : rounds.minutes[at]!;
    excess += max(0, minutes - problem.crews[crew]!.cap);
  }
  for (const { task, turn } of returns) rounds.return(task, turn, -1);
  return { excess, cost: sum };
}
