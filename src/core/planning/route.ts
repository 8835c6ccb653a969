import { NO_DAY, type Problem, type ProblemTask, type ProblemWindow } from "./problem";

// Taken once: a look into a global object costs more than the sum, where tests run in a box of their own.
const { abs, floor, max, min } = Math;

/**
 * A quotient of whole numbers, half up.
 *
 * @example divided(7, 2) // 4
 */
export const divided = (numerator: number, denominator: number): number =>
  floor((2 * numerator + denominator) / (2 * denominator));

/**
 * What it wastes to do a task early: on a day after `before`, due later. Centi-minutes.
 *
 * @example earlyCost({ wasted: 1000 }, -1, 23, 29) // 200
 */
export const earlyCost = (
  { wasted }: ProblemTask,
  before: number,
  day: number,
  due: number,
): number => (day < due ? divided(wasted * (due - day), due - before) : 0);

/**
 * What it costs to do a task late. What was late before today is sunk: no bound lies before yesterday.
 *
 * @returns centi-minutes
 * @example lateCost(smallProblem, smallProblem.tasks[0], 34, 29, 39) // 500
 */
export function lateCost(
  { cost }: Problem,
  { weight }: ProblemTask,
  day: number,
  due: number,
  closes: number,
): number {
  const from = due < -1 ? -1 : due;
  if (day <= from && day <= closes) return 0;
  const until = closes < -1 ? -1 : closes;
  const half = max(0, min(day, until) - from);
  const whole = max(0, day - until);
  const { lateDay, lateSquare } = cost;
  return divided(
    weight * (lateDay * (2 * whole + half) * lateSquare + 200 * whole * whole),
    200 * lateSquare,
  );
}

const MOST_MOVED_DAYS = 28;
const MOVED_AT_ALL_DAYS = 14;

/**
 * What it costs that an occurrence is not where it was published, centi-minutes.
 *
 * @example movedCost(smallProblem, smallProblem.tasks[0], 34) // 0
 */
export function movedCost(
  { cost, lastPublished }: Problem,
  { published }: ProblemTask,
  day: number,
): number {
  if (published.length === 0 || day > lastPublished) return 0;
  let nearest = MOST_MOVED_DAYS;
  for (const was of published) nearest = min(nearest, abs(day - was));
  return nearest === 0
    ? 0
    : divided(cost.stability * (nearest + MOVED_AT_ALL_DAYS), MOST_MOVED_DAYS);
}

/** Days past its close up to which a day is tried, and so many rounds that its lateness may cost; later only where
 * nothing else is there. */
const SLACK_DAYS = 21;
const SLACK_ROUNDS = 2;
const UNREACHED = Number.POSITIVE_INFINITY;

/** Whether a task may be done on a day by somebody. */
const mayBe = ({ crews }: Problem, task: ProblemTask, day: number): boolean =>
  day > task.lastDone &&
  (task.isAllowed?.[day] ?? 1) === 1 &&
  task.crews.some((crew) => crews[crew]!.isCandidate[day] === 1);

/**
 * The window after a task was done on a day; after `lastDone` its first. Null where nothing more is called for.
 *
 * @example windowFrom(smallProblem, smallProblem.tasks[0], -1).due // 29
 */
export const windowFrom = (
  { horizon }: Problem,
  task: ProblemTask,
  before: number,
): ProblemWindow | null => {
  if (before === task.lastDone) return task.first;
  if (before > horizon || task.due[before] === NO_DAY) return null;
  return { opens: task.opens[before]!, due: task.due[before]!, closes: task.closes[before]! };
};

/**
 * Which days may be tried for a task, in order: what its crews try, pins among them. Where a window that may come
 * about holds none of these, all their days in it; and where it has none at all, the first one after it.
 *
 * @example triedDays(smallProblem, smallProblem.tasks[0])[0] // 0
 */
export function triedDays(problem: Problem, task: ProblemTask): Int32Array {
  const tried = task.crews.flatMap((crew) => problem.crews[crew]!.tried);
  const days = new Set([...tried.filter((day) => mayBe(problem, task, day)), ...task.pins]);
  const asked = new Set<number>();
  for (let open = [task.lastDone, ...days]; open.length > 0;) {
    const added: number[] = [];
    for (const before of open) {
      const window = windowFrom(problem, task, before);
      if (!window || window.due > problem.horizon) continue;
      const first = max(window.opens, before + 1, 0);
      const last = min(window.closes, problem.days - 1);
      const key = first * problem.days + last;
      if (asked.has(key)) continue;
      asked.add(key);
      let isThere = false;
      for (let day = first; day <= last && !isThere; day++) isThere = days.has(day);
      if (isThere) continue;
      const inside: number[] = [];
      for (let day = first; day <= last; day++) if (mayBe(problem, task, day)) inside.push(day);
      for (let day = max(first, last + 1); inside.length === 0 && day < problem.days; day++)
        if (mayBe(problem, task, day)) inside.push(day);
      for (const day of inside) if (!days.has(day)) added.push(day);
      for (const day of inside) days.add(day);
    }
    open = added;
  }
  return Int32Array.from(days).sort();
}

/** Dearer than any plan: only where there is no other way. */
const NOTHING_LEFT = 1e12;

/** What may follow an occurrence: the days in reach by their places, and what being early or late costs. */
type Step = {
  /** Nothing more is needed after it. */
  isEnd: boolean;
  /** The window of what follows. */
  before: number;
  opens: number;
  due: number;
  closes: number;
  nextPin: number;
  first: number;
  /** By place from `first` on; infinite where the window is not open yet. */
  costs: number[];
};

/**
 * The ways of one task through the days it may be done on: the cheapest is an exact shortest path, as the
 * window of each occurrence follows from the day the one before is done. It is asked thousands of times, so
 * that what does not change between two times is worked out once.
 *
 * @example new Routes(smallProblem, smallProblem.tasks[0], triedDays(smallProblem, smallProblem.tasks[0])).cheapest().cost // 0
 */
export class Routes {
  /** What each day costs beside being early or late; infinite: not to be had. To be filled by whoever asks. */
  readonly dayCost: Float64Array;
  /** Who would do it on each day, for whoever asks to remember. */
  readonly dayCrew: Int32Array;
  /** The way found last, and by which costs. */
  #found: { places: number[]; cost: number } = { places: [], cost: 0 };
  readonly #costBefore: Float64Array;
  readonly #isOnWay: Uint8Array;
  readonly #best: Float64Array;
  /** The most that a round costs. */
  readonly #round: number;
  readonly #from: Int32Array;
  readonly #isPin: Uint8Array;
  /** The place 0 is the day it was last done; the place i + 1 is the day i. */
  readonly #steps: Omit<Step, "costs">[];
  /** The same flat, as it is read most: the first day in reach of each, and whether it is none; all costs in a row,
   * with where each place’s begin. */
  readonly #firsts: Int32Array;
  readonly #isEnd: Uint8Array;
  readonly #costs: Float64Array;
  readonly #starts: Int32Array;

  /** @param days the days it may be done on, in order */
  constructor(
    readonly problem: Problem,
    readonly task: ProblemTask,
    readonly days: Int32Array,
  ) {
    const size = days.length;
    const { setup, weekday, powerDown, callOut, visit } = problem.cost;
    const isCalled = task.crews.some((crew) => !problem.crews[crew]!.isOwner);
    this.#round = (isCalled ? callOut + visit : setup + weekday) + powerDown;
    this.dayCost = new Float64Array(size);
    this.dayCrew = new Int32Array(size).fill(task.crews[0]!);
    this.#costBefore = new Float64Array(size).fill(UNREACHED);
    this.#isOnWay = new Uint8Array(size);
    this.#best = new Float64Array(size + 1);
    this.#from = new Int32Array(size + 1);
    this.#isPin = Uint8Array.from(days, (day) => (task.pins.includes(day) ? 1 : 0));
    const steps = Array.from({ length: size + 1 }, (_, at) => this.#stepFrom(at));
    this.#steps = steps;
    this.#firsts = Int32Array.from(steps, ({ first }) => first);
    this.#isEnd = Uint8Array.from(steps, ({ isEnd }) => (isEnd ? 1 : 0));
    this.#costs = Float64Array.from(steps.flatMap(({ costs }) => costs));
    this.#starts = new Int32Array(size + 2);
    steps.forEach(({ costs }, at) => (this.#starts[at + 1] = this.#starts[at]! + costs.length));
  }

  #stepFrom(at: number): Step {
    const { task, days } = this;
    const { horizon } = this.problem;
    const before = at === 0 ? task.lastDone : days[at - 1]!;
    const hasRow = at === 0 ? task.first !== null : before <= horizon;
    const due = !hasRow ? NO_DAY : at === 0 ? task.first!.due : task.due[before]!;
    const isNone = due === NO_DAY;
    const opens = isNone ? NO_DAY : at === 0 ? task.first!.opens : task.opens[before]!;
    const closes = isNone ? NO_DAY : at === 0 ? task.first!.closes : task.closes[before]!;
    const nextPin = task.pins.find((pin) => pin > before) ?? NO_DAY;
    const isEnd = nextPin === NO_DAY && (isNone || due > horizon);
    const lastTried = max(due, closes === NO_DAY ? due : closes, 0) + SLACK_DAYS;
    const step = { isEnd, before, opens, due, closes, nextPin, first: at };
    if (isEnd) return { ...step, costs: [] };
    let first = at;
    // A pin may lie before its window opens; other days may not.
    while (first < days.length && days[first]! < min(opens, nextPin)) first++;
    let last = first;
    // What keeps people from harm is never late while there is a day in its window.
    const inTime = task.isSafety && (days[first] ?? NO_DAY) <= closes;
    const until = min(inTime ? closes : lastTried, nextPin);
    while (last < days.length && days[last]! <= until && !this.#isTooLate(days[last]!, step))
      last++;
    const costs = Array.from({ length: last - first }, (_, i) => this.#costOf(step, first + i));
    return { ...step, first, costs };
  }

  /** Later than any round is worth, unless a pin wants it. */
  #isTooLate(
    day: number,
    { due, closes, nextPin }: Pick<Step, "due" | "closes" | "nextPin">,
  ): boolean {
    if (due === NO_DAY || day <= closes || nextPin <= closes + SLACK_DAYS) return false;
    return lateCost(this.problem, this.task, day, due, closes) > SLACK_ROUNDS * this.#round;
  }

  /** What a day costs after another by being early or late; infinite before the window opens. */
  #costOf({ before, opens, due, closes }: Omit<Step, "costs">, place: number): number {
    const day = this.days[place]!;
    if (day < opens && this.#isPin[place] === 0) return UNREACHED;
    if (due === NO_DAY) return 0;
    return day < due
      ? earlyCost(this.task, before, day, due)
      : lateCost(this.problem, this.task, day, due, closes);
  }

  /** The places of the days it is done on, and what all of it costs, centi-minutes. */
  cheapest(): { places: number[]; cost: number } {
    if (this.#isAsBefore()) return this.#found;
    for (const place of this.#found.places) this.#isOnWay[place] = 0;
    this.#found = this.#search();
    for (const place of this.#found.places) this.#isOnWay[place] = 1;
    this.#costBefore.set(this.dayCost);
    return this.#found;
  }

  /** Whether the way found last is still the cheapest: none of its days got dearer, and no other one cheaper. */
  #isAsBefore(): boolean {
    const { dayCost } = this;
    const before = this.#costBefore;
    const isOnWay = this.#isOnWay;
    const size = dayCost.length;
    for (let i = 0; i < size; i++) {
      const [now, then] = [dayCost[i]!, before[i]!];
      if (now !== then && (isOnWay[i] === 1 || now < then)) return false;
    }
    return size > 0;
  }

  #search(): { places: number[]; cost: number } {
    const { dayCost } = this;
    const best = this.#best.fill(UNREACHED);
    const from = this.#from;
    const costs = this.#costs;
    const starts = this.#starts;
    const firsts = this.#firsts;
    const isEnd = this.#isEnd;
    const size = dayCost.length;
    let end = -1;
    let endCost = UNREACHED;
    best[0] = 0;
    for (let at = 0; at <= size; at++) {
      const sofar = best[at]!;
      if (sofar === UNREACHED || sofar >= endCost) continue;
      if (isEnd[at] === 1) {
        end = at;
        endCost = sofar;
        continue;
      }
      const begin = starts[at]!;
      const until = starts[at + 1]!;
      const shift = firsts[at]! - begin;
      let isTried = false;
      for (let i = begin; i < until; i++) {
        const place = i + shift;
        const cost = sofar + costs[i]! + dayCost[place]!;
        if (cost < best[place + 1]!) {
          best[place + 1] = cost;
          from[place + 1] = at;
          isTried = true;
        }
      }
      for (let i = begin; i < until && !isTried; i++)
        isTried = costs[i]! + dayCost[i + shift]! < UNREACHED;
      if (isTried) continue;
      const later = this.#firstLater(at);
      if (later === null) {
        // Nothing is left on which it could be done: the plan says so.
        if (sofar + NOTHING_LEFT < endCost) [end, endCost] = [at, sofar + NOTHING_LEFT];
      } else if (sofar + later.cost < best[later.place + 1]!) {
        best[later.place + 1] = sofar + later.cost;
        from[later.place + 1] = at;
      }
    }
    const places: number[] = [];
    for (let at = end; at > 0; at = from[at]!) places.push(at - 1);
    places.reverse();
    return { places, cost: endCost };
  }

  /** The first day to be had past those in reach; none lies beyond a pin. */
  #firstLater(at: number): { place: number; cost: number } | null {
    const step = this.#steps[at]!;
    const inReach = this.#starts[at + 1]! - this.#starts[at]!;
    for (let place = step.first + inReach; place < this.days.length; place++) {
      if (this.days[place]! > step.nextPin) return null;
      const cost = this.#costOf(step, place) + this.dayCost[place]!;
      if (cost !== UNREACHED) return { place, cost };
    }
    return null;
  }
}
