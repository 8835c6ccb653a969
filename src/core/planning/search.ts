import { chanceFrom } from "../quantities/chance";
import { earlyCost, lateCost, movedCost, Routes, triedDays, windowFrom } from "./route";
import { NO_DAY, type Problem, type ProblemWindow } from "./problem";

// Taken once: a look into a global object costs more than the sum, where tests run in a box of their own.
const { abs, floor, max, min } = Math;

/** A plan in days: by task, in order. */
export type Days = number[][];
/** What a plan costs: less over a cap is better than any cost, then less cost. Centi-minutes. */
export type Price = { excess: number; cost: number };

const isLess = (a: Price, b: Price): boolean =>
  a.excess < b.excess || (a.excess === b.excess && a.cost < b.cost);

/** A centi-minute over a cap weighs as much as this many of cost, while a way is sought. */
const EXCESS_WEIGHT = 1000;

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
  occur(task: number, day: number, by: 1 | -1): void {
    const { problem } = this;
    const { crew, home, unit, handsOn, powerOff } = problem.tasks[task]!;
    this.#enter(this.tasks, crew, home, day, by, handsOn);
    if (powerOff) this.powered[(crew * problem.units + unit) * problem.days + day]! += by;
  }

  /** Adds a second errand, or takes it out. */
  return(task: number, day: number, by: 1 | -1): void {
    const { crew, home, returns } = this.problem.tasks[task]!;
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

  /** The day of the second errand of a task done on a day, as the rounds are. */
  returnDay(task: number, day: number): number {
    const { problem } = this;
    const { crew, home, returns } = problem.tasks[task]!;
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

/** The second errands of a plan, as its rounds are. */
const returnsOf = (rounds: Rounds, days: Days): { task: number; day: number }[] =>
  rounds.problem.tasks.flatMap((task, i) =>
    task.returns ? days[i]!.map((day) => ({ task: i, day: rounds.returnDay(i, day) })) : [],
  );

/** What was left out weighs more than any minutes over a cap: nothing is gained by it. */
const LEFT_OUT = 1e9;

/** What a plan costs, from its rounds as they stand with every occurrence in them. */
function priceOf(rounds: Rounds, days: Days): Price {
  const { problem } = rounds;
  const { cost, lastPublished } = problem;
  const returns = returnsOf(rounds, days);
  const opened = new Set<number>();
  let sum = 0;
  let excess = 0;
  const called = new Set<number>();
  const scopes = new Set<number>();
  const open = (crew: number, home: number, day: number, isOccurrence: boolean) => {
    const round = problem.roundOf(crew, home, day);
    const { isOwner, isLiked, isCalledOut, isCapOfDay } = problem.crews[crew]!;
    const isLocked = problem.locked.has(round);
    if (isOccurrence && !isLocked && !opened.has(round) && day <= lastPublished)
      if (!problem.published.has(round)) sum += cost.newRound;
    if (opened.has(round)) return;
    opened.add(round);
    scopes.add(isCapOfDay ? -1 - (crew * problem.days + day) : round);
    if (isLocked) return;
    if (isOwner) sum += cost.setup + (isLiked[day] ? 0 : cost.weekday);
    else {
      sum += cost.visit;
      const on = crew * problem.days + day;
      if (!isCalledOut[day] && !called.has(on)) sum += cost.callOut;
      called.add(on);
    }
  };
  const off = new Set<number>();
  problem.tasks.forEach((task, i) => {
    let before = task.lastDone;
    for (const day of days[i]!) {
      const window = windowOf(problem, i, before);
      if (window)
        sum +=
          earlyCost(task, before, day, window.due) +
          lateCost(problem, task, day, window.due, window.closes);
      sum += movedCost(problem, task, day);
      open(task.crew, task.home, day, true);
      if (task.powerOff) {
        const at = (task.crew * problem.units + task.unit) * problem.days + day;
        if (!off.has(at)) sum += cost.powerDown;
        off.add(at);
      }
      before = day;
    }
    const next = windowOf(problem, i, before);
    const isPinnedAhead = task.pins.some((pin) => pin > before);
    if (isPinnedAhead || (next && next.due <= problem.horizon)) excess += LEFT_OUT;
  });
  for (const { task, day } of returns) {
    rounds.return(task, day, 1);
    const { crew, home } = problem.tasks[task]!;
    open(crew, home, day, false);
  }
  for (const scope of scopes) {
    const isCrewDay = scope < 0;
    const at = isCrewDay ? -1 - scope : scope;
    const crew = isCrewDay ? floor(at / problem.days) : floor(at / (problem.homes * problem.days));
    const minutes = isCrewDay ? rounds.crewMinutes[at]! : rounds.minutes[at]!;
    excess += max(0, minutes - problem.crews[crew]!.cap);
  }
  for (const { task, day } of returns) rounds.return(task, day, -1);
  return { excess, cost: sum };
}

/**
 * The window of the occurrence after `before`; null where the chain has ended.
 *
 * @example windowOf(smallProblem, 0, -1).due // 29
 */
export const windowOf = (problem: Problem, task: number, before: number): ProblemWindow | null =>
  windowFrom(problem, problem.tasks[task]!, before);

/** How a way is sought: a round nobody may use, or one that costs nothing to open. */
type Bent = { closed: number; free: number };
const STRAIGHT: Bent = { closed: -1, free: -1 };

/** What a search has found so far, and after how many iterations. */
export type Found = { days: Days; price: Price; done: number };

/** The lengths of the restarts don’t hang on how many iterations there are: more never cost more. */
const RESTARTS = [250, 250, 500];
const restartLength = (nth: number): number =>
  RESTARTS[nth] ?? 500 * 2 ** (nth - RESTARTS.length + 1);
/** How much dearer a step may be at the start of every other restart, in rounds; it falls evenly to nothing. */
const HEAT_ROUNDS = [1, 0.25];
const SHIFT_DAYS = 21;
const LURE_DAYS = 35;
const MOST_LURED = 14;
/** So many rounds are looked at for each step. */
const SPOTS = 2;
type Spot = { crew: number; home: number; day: number };

/**
 * Searches a plan: the same problem and seed give the same one.
 *
 * @example new Search(smallProblem).steps(20, 1).next().value.done // 1
 */
export class Search {
  readonly #rounds: Rounds;
  readonly #routes: Routes[];
  /** Tasks that a technician is called out for. */
  readonly #called: number[];
  #days: Days;

  constructor(readonly problem: Problem) {
    this.#called = [...problem.tasks.keys()].filter(
      (i) => !problem.crews[problem.tasks[i]!.crew]!.isOwner,
    );
    this.#rounds = new Rounds(problem);
    this.#routes = problem.tasks.map((task) => new Routes(problem, task, triedDays(problem, task)));
    this.#days = problem.tasks.map(() => []);
  }

  /**
   * An iteration at a time, so that whoever asks may look at the clock or stop in between; what is answered
   * with true ends it there. The best found so far is yielded each time, and the best of all returned.
   */
  *steps(iterations: number, seed: number): Generator<Found, Found, boolean | undefined> {
    const { problem } = this;
    const chance = chanceFrom(seed);
    const pick = (count: number) => floor(chance.uniform() * count);
    this.#begin();
    let current = priceOf(this.#rounds, this.#days);
    let best = { days: copied(this.#days), price: current };
    let done = 0;
    for (let nth = 0; done < iterations; nth++) {
      const length = restartLength(nth);
      if (nth > 0) {
        this.#goTo(best.days);
        current = best.price;
      }
      const heat =
        HEAT_ROUNDS[nth % HEAT_ROUNDS.length]! * (problem.cost.setup + problem.cost.powerDown);
      for (let i = 0; i < length && done < iterations; i++) {
        const before = copied(this.#days);
        if (this.#step(pick)) {
          const price = priceOf(this.#rounds, this.#days);
          const allowed = floor((heat * (length - i)) / length);
          const isTaken =
            price.excess < current.excess ||
            (price.excess === current.excess && price.cost <= current.cost + allowed);
          if (isTaken) current = price;
          else this.#goTo(before);
          if (isLess(current, best.price)) best = { days: copied(this.#days), price: current };
        }
        done++;
        if (yield { ...best, done }) return { ...best, done };
      }
    }
    return { ...best, done };
  }

  /** A first plan: each task on its cheapest days, the greater ones first, then all once more. */
  #begin(): void {
    const { tasks } = this.problem;
    const order = [...tasks.keys()].sort((a, b) => tasks[b]!.handsOn - tasks[a]!.handsOn || a - b);
    for (let round = 0; round < 3; round++) for (const task of order) this.#reroute(task, STRAIGHT);
  }

  #goTo(days: Days): void {
    this.#days.forEach((mine, task) => {
      const wanted = days[task]!;
      if (mine.length === wanted.length && mine.every((day, i) => day === wanted[i])) return;
      for (const day of mine) this.#rounds.occur(task, day, -1);
      for (const day of wanted) this.#rounds.occur(task, day, 1);
      this.#days[task] = [...wanted];
    });
  }

  /** The cheapest way of one task through the rounds of all others. */
  #reroute(index: number, bent: Bent): void {
    const { problem } = this;
    const task = problem.tasks[index]!;
    const rounds = this.#rounds;
    for (const day of this.#days[index]!) rounds.occur(index, day, -1);
    const { days, dayCost: costs } = this.#routes[index]!;
    const { crew, home, unit, handsOn, powerOff, returns } = task;
    const { cost, lastPublished } = problem;
    for (let i = 0; i < days.length; i++) {
      const day = days[i]!;
      const round = problem.roundOf(crew, home, day);
      // A round may be closed to all but what is pinned there, and what may not be late.
      if (round === bent.closed && !task.isSafety && !task.pins.includes(day)) {
        costs[i] = Number.POSITIVE_INFINITY;
        continue;
      }
      let price = round === bent.free ? 0 : rounds.opening(crew, home, day);
      if (
        round !== bent.free &&
        day <= lastPublished &&
        rounds.tasks[round] === 0 &&
        !problem.locked.has(round) &&
        !problem.published.has(round)
      )
        price += cost.newRound;
      if (powerOff && rounds.powered[(crew * problem.units + unit) * problem.days + day] === 0)
        price += cost.powerDown;
      price += movedCost(problem, task, day);
      price += EXCESS_WEIGHT * rounds.excess(crew, home, day, handsOn);
      if (returns) {
        const on = rounds.returnDay(index, day);
        price += rounds.opening(crew, home, on);
        price += EXCESS_WEIGHT * rounds.excess(crew, home, on, returns.minutes);
      }
      costs[i] = price;
    }
    const way = this.#routes[index]!.cheapest().days;
    for (const day of way) rounds.occur(index, day, 1);
    this.#days[index] = way;
  }

  /** One step: a round closed, moved, or opened where there was none; false where there was nothing to do. */
  #step(pick: (count: number) => number): boolean {
    const { problem } = this;
    const kind = pick(10);
    if (kind === 0) {
      const order = shuffled(problem.tasks.length, pick).slice(0, MOST_LURED);
      for (const task of order) this.#reroute(task, STRAIGHT);
      return order.length > 0;
    }
    if (kind === 1 && this.#called.length > 0) return this.#callAnew(pick);
    const spots = Array.from({ length: SPOTS }, () => this.#spot(pick)).filter(
      (spot) => spot !== null,
    );
    if (spots.length === 0) return false;
    // A dear round with few tasks in it is worth closing the most.
    const worth = ({ crew, home, day: on }: Spot) =>
      (problem.crews[crew]!.isOwner ? problem.cost.setup : problem.cost.callOut) /
      this.#rounds.tasks[problem.roundOf(crew, home, on)]!;
    const { crew, home, day } = spots.reduce((a, b) => (worth(b) > worth(a) ? b : a));
    const { tried } = problem.crews[crew]!;
    const near = (within: number) => {
      const some = tried.filter((each) => each !== day && abs(each - day) <= within);
      return some.length > 0 ? some[pick(some.length)]! : -1;
    };
    const round = problem.roundOf(crew, home, day);
    const inRound = this.#tasksAt(crew, home, (on) => on === day);
    if (kind <= 3) return this.#bend(inRound, { closed: round, free: -1 }, pick);
    const other = near(kind <= 7 ? SHIFT_DAYS : LURE_DAYS);
    if (other < 0) return false;
    const free = problem.roundOf(crew, home, other);
    if (kind <= 7) return this.#bend(inRound, { closed: round, free }, pick);
    const lured = this.#tasksAt(crew, home, (on) => abs(on - other) <= LURE_DAYS);
    return this.#bend(lured.slice(0, MOST_LURED), { closed: -1, free }, pick);
  }

  /** The round of some occurrence; null where the task it fell on has none. */
  #spot(pick: (count: number) => number): Spot | null {
    const { tasks } = this.problem;
    const task = pick(tasks.length);
    const days = this.#days[task];
    if (!days || days.length === 0) return null;
    const { crew, home } = tasks[task]!;
    return { crew, home, day: days[pick(days.length)]! };
  }

  /** A technician’s tasks in a home all over again, with a day that is free to open: call-outs are dear. */
  #callAnew(pick: (count: number) => number): boolean {
    const { problem } = this;
    const { crew, home } = problem.tasks[this.#called[pick(this.#called.length)]!]!;
    const all = this.#called.filter(
      (i) => problem.tasks[i]!.crew === crew && problem.tasks[i]!.home === home,
    );
    const { tried } = problem.crews[crew]!;
    const day = tried[pick(tried.length)];
    if (day === undefined) return false;
    const some = shuffled(all.length, pick)
      .slice(0, MOST_LURED)
      .map((i) => all[i]!);
    for (const task of some) this.#takeOut(task);
    return this.#bend(some, { closed: -1, free: problem.roundOf(crew, home, day) }, pick);
  }

  #takeOut(task: number): void {
    for (const day of this.#days[task]!) this.#rounds.occur(task, day, -1);
    this.#days[task] = [];
  }

  /** Finds some tasks their ways anew, with a round closed or one free to open. */
  #bend(tasks: readonly number[], bent: Bent, pick: (count: number) => number): boolean {
    // Taken out together, so that none holds a round open for another that nobody else needs.
    if (pick(2) === 0) for (const task of tasks) this.#takeOut(task);
    for (const i of shuffled(tasks.length, pick)) this.#reroute(tasks[i]!, bent);
    // What came because the round was free stays only where it is worth its price.
    if (bent.free >= 0)
      for (const i of shuffled(tasks.length, pick)) this.#reroute(tasks[i]!, STRAIGHT);
    return tasks.length > 0;
  }

  #tasksAt(crew: number, home: number, is: (day: number) => boolean): number[] {
    const { tasks } = this.problem;
    return [...tasks.keys()].filter(
      (i) => tasks[i]!.crew === crew && tasks[i]!.home === home && this.#days[i]!.some(is),
    );
  }
}

const copied = (days: Days): Days => days.map((each) => [...each]);

/** The numbers below a count in an order of chance. */
function shuffled(count: number, pick: (count: number) => number): number[] {
  const order = Array.from({ length: count }, (_, i) => i);
  for (let i = count - 1; i > 0; i--) {
    const j = pick(i + 1);
    [order[i], order[j]] = [order[j]!, order[i]!];
  }
  return order;
}
