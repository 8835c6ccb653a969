import { chanceFrom, type Chance } from "../quantities/chance";
import { movedCost, Routes, triedDays } from "./route";
import type { Problem, ProblemTask } from "./problem";
import { crewOf, dayOf, priceOf, Rounds, turnOf, type Price, type Turns } from "./rounds";

// Taken once: a look into a global object costs more than the sum, where tests run in a box of their own.
const { abs, floor, max } = Math;

const isLess = (a: Price, b: Price): boolean =>
  a.excess < b.excess || (a.excess === b.excess && a.cost < b.cost);

/** A centi-minute over a cap weighs as much as this many of cost, while a way is sought. */
const EXCESS_WEIGHT = 1000;

/** A crew’s round in a home on a day; `home` −1: all of its rounds that day. */
type Spot = { crew: number; home: number; day: number };
/** How a way is sought: a round nobody may use, or one that costs nothing to open. */
type Bent = { closed: Spot | null; free: Spot | null };
const STRAIGHT: Bent = { closed: null, free: null };
const ANY_HOME = -1;

/** What a crew asks for doing a task on each of its days, as far as no other round changes it. Centi-minutes. */
type Offer = {
  crew: number;
  /** Of its days, among those of the task. */
  places: Int32Array;
  /** A round that is not there yet; the call-out where the crew goes nowhere else; one that was not published. */
  setup: Float64Array;
  call: Float64Array;
  anew: Float64Array;
  /** Another crew in its place, and not where it was published. */
  moved: Float64Array;
};

function offerOf(problem: Problem, task: ProblemTask, days: Int32Array, crew: number): Offer {
  const { cost, locked, published, lastPublished } = problem;
  const { isCandidate, isOwner, isLiked, isCalledOut } = problem.crews[crew]!;
  const places = Int32Array.from([...days.keys()].filter((i) => isCandidate[days[i]!] === 1));
  const round = (day: number) => problem.roundOf(crew, task.home, day);
  const of = (price: (day: number) => number) =>
    Float64Array.from(places, (place) => price(days[place]!));
  const other = crew === task.crews[0] ? 0 : cost.otherCrew;
  return {
    ...{ crew, places },
    setup: of((day) => {
      if (locked.has(round(day))) return 0;
      return isOwner ? cost.setup + (isLiked[day] ? 0 : cost.weekday) : cost.visit;
    }),
    call: of((day) => (isOwner || locked.has(round(day)) || isCalledOut[day] ? 0 : cost.callOut)),
    anew: of((day) =>
      day > lastPublished || locked.has(round(day)) || published.has(round(day))
        ? 0
        : cost.newRound,
    ),
    moved: of((day) => other + movedCost(problem, task, day)),
  };
}

/** The lengths of the restarts don’t hang on how many iterations there are: more never cost more. */
const RESTARTS = [250, 250, 500];
const restartLength = (nth: number): number =>
  RESTARTS[nth] ?? 500 * 2 ** (nth - RESTARTS.length + 1);
/** How much dearer a step may be at the start of every other restart, in rounds; it falls evenly to nothing. */
const HEAT_ROUNDS = [1, 0.5];
const SHIFT_DAYS = 21;
const LURE_DAYS = 35;
const MOST_LURED = 14;
/** How far a stretch of rounds is slid, days, and how long it may be, weeks. */
const SLIDES = [-14, -7, 7, 14];
const SLID_WEEKS = [4, 9, 18, 52];

/**
 * Searches the plan of tasks that share rounds: the same problem and seed give the same one.
 *
 * @example new Search(smallProblem, 1).iterate().price.excess // 0
 */
export class Search {
  readonly #rounds: Rounds;
  readonly #routes: Routes[];
  /** By task: what each of its crews asks for. */
  readonly #offers: Offer[][];
  readonly #chance: Chance;
  /** What a round costs here, by which the heat is reckoned: the dearest that a crew of these tasks opens. */
  readonly #round: number;
  #turns: Turns;
  #current: Price;
  #best: { turns: Turns; price: Price };
  /** The restart it is in, and how far in it. */
  #nth = 0;
  #at = 0;

  constructor(
    readonly problem: Problem,
    seed: number,
  ) {
    const { tasks, crews, cost } = problem;
    this.#chance = chanceFrom(seed);
    this.#rounds = new Rounds(problem);
    this.#routes = tasks.map((task) => new Routes(problem, task, triedDays(problem, task)));
    this.#offers = tasks.map((task, i) =>
      task.crews.map((crew) => offerOf(problem, task, this.#routes[i]!.days, crew)),
    );
    this.#turns = tasks.map(() => []);
    const isCalled = tasks.some((task) => task.crews.some((crew) => !crews[crew]!.isOwner));
    this.#round = isCalled ? cost.callOut + cost.visit : cost.setup + cost.powerDown;
    this.#begin();
    this.#current = priceOf(this.#rounds, this.#turns);
    this.#best = { turns: copied(this.#turns), price: this.#current };
  }

  get best(): { turns: Turns; price: Price } {
    return this.#best;
  }

  /** One step further; the best so far. */
  iterate(): { turns: Turns; price: Price } {
    const length = restartLength(this.#nth);
    const heat = HEAT_ROUNDS[this.#nth % HEAT_ROUNDS.length]! * this.#round;
    const before = copied(this.#turns);
    if (this.#step()) {
      const price = priceOf(this.#rounds, this.#turns);
      const allowed = floor((heat * (length - this.#at)) / length);
      const current = this.#current;
      const isTaken =
        price.excess < current.excess ||
        (price.excess === current.excess && price.cost <= current.cost + allowed);
      if (isTaken) this.#current = price;
      else this.#goTo(before);
      if (isLess(this.#current, this.#best.price))
        this.#best = { turns: copied(this.#turns), price: this.#current };
    }
    this.#at++;
    if (this.#at === length) {
      this.#at = 0;
      this.#nth++;
      this.#goTo(this.#best.turns);
      this.#current = this.#best.price;
    }
    return this.#best;
  }

  #pick(count: number): number {
    return floor(this.#chance.uniform() * count);
  }

  /** A first plan: each task on its cheapest days, the greater ones first, then all once more. */
  #begin(): void {
    const { tasks } = this.problem;
    const order = [...tasks.keys()].sort((a, b) => tasks[b]!.handsOn - tasks[a]!.handsOn || a - b);
    for (let round = 0; round < 3; round++) for (const task of order) this.#reroute(task, STRAIGHT);
  }

  #goTo(turns: Turns): void {
    this.#turns.forEach((mine, task) => {
      const wanted = turns[task]!;
      if (mine.length === wanted.length && mine.every((turn, i) => turn === wanted[i])) return;
      for (const turn of mine) this.#rounds.occur(task, turn, -1);
      for (const turn of wanted) this.#rounds.occur(task, turn, 1);
      this.#turns[task] = [...wanted];
    });
  }

  /** The cheapest way of one task through the rounds of all others. */
  #reroute(index: number, bent: Bent): void {
    const { problem } = this;
    this.#takeOut(index);
    const routes = this.#routes[index]!;
    const { days, dayCost, dayCrew } = routes;
    dayCost.fill(Number.POSITIVE_INFINITY);
    for (const offer of this.#offers[index]!) this.#price(index, offer, bent);
    const turns = routes
      .cheapest()
      .places.map((place) => turnOf(problem, dayCrew[place]!, days[place]!));
    for (const turn of turns) this.#rounds.occur(index, turn, 1);
    this.#turns[index] = turns;
  }

  /** What it costs on each day that a crew does a task, beside being early or late, as the rounds are. */
  #price(
    index: number,
    { crew, places, setup, call, anew, moved }: Offer,
    { closed, free }: Bent,
  ): void {
    const { problem } = this;
    const rounds = this.#rounds;
    const { days, dayCost, dayCrew } = this.#routes[index]!;
    const { home, unit, handsOn, powerOff, returns, isSafety, pins } = problem.tasks[index]!;
    const { cap, isCapOfDay } = problem.crews[crew]!;
    const { powerDown } = problem.cost;
    const roundsFrom = problem.roundOf(crew, home, 0);
    const crewFrom = crew * problem.days;
    const poweredFrom = (crew * problem.units + unit) * problem.days;
    const { tasks: inRound, returns: backInRound, crewRounds, powered } = rounds;
    const minutes = isCapOfDay ? rounds.crewMinutes : rounds.minutes;
    const minutesFrom = isCapOfDay ? crewFrom : roundsFrom;
    const room = cap - handsOn;
    const isHere = (spot: Spot | null) =>
      spot !== null && spot.crew === crew && (spot.home === ANY_HOME || spot.home === home);
    // A round may be closed to all but what is pinned there, and what may not be late.
    const closedDay = isHere(closed) && !isSafety && !pins.includes(closed!.day) ? closed!.day : -1;
    const freeDay = isHere(free) ? free!.day : -1;
    for (let k = 0; k < places.length; k++) {
      const place = places[k]!;
      const day = days[place]!;
      if (day === closedDay) continue;
      const round = roundsFrom + day;
      let price = moved[k]!;
      if (inRound[round] === 0 && day !== freeDay) {
        price += anew[k]!;
        if (backInRound[round] === 0)
          price += setup[k]! + (crewRounds[crewFrom + day] === 0 ? call[k]! : 0);
      }
      if (powerOff && powered[poweredFrom + day] === 0) price += powerDown;
      const there = minutes[minutesFrom + day]!;
      if (there > room) price += EXCESS_WEIGHT * (there - room - max(0, there - cap));
      if (returns) {
        const on = rounds.returnDay(index, crew, day);
        price += rounds.opening(crew, home, on);
        price += EXCESS_WEIGHT * rounds.excess(crew, home, on, returns.minutes);
      }
      if (price >= dayCost[place]!) continue;
      dayCost[place] = price;
      dayCrew[place] = crew;
    }
  }

  /**
   * One step: a round closed, moved, or opened where there was none, or all of a stretch slid; false where there
   * was nothing to do.
   */
  #step(): boolean {
    const { problem } = this;
    const kind = this.#pick(10);
    if (kind === 0) {
      const order = this.#shuffled(problem.tasks.length).slice(0, MOST_LURED);
      for (const task of order) this.#reroute(task, STRAIGHT);
      return order.length > 0;
    }
    const found = this.#spot();
    if (!found) return false;
    const { isOwner } = problem.crews[found.crew]!;
    if (kind === 1) return isOwner ? this.#slide(found) : this.#callAnew(found);
    // A technician’s day goes from home to home: all of it, or one home’s.
    const spot = !isOwner && this.#pick(2) === 0 ? { ...found, home: ANY_HOME } : found;
    const { crew, day } = spot;
    const { tried } = problem.crews[crew]!;
    const near = (within: number) => {
      const some = tried.filter((each) => each !== day && abs(each - day) <= within);
      return some.length > 0 ? some[this.#pick(some.length)]! : -1;
    };
    const inRound = this.#tasksAt(spot, 0);
    if (kind <= 3) return this.#bend(inRound, { closed: spot, free: null });
    const other = near(kind <= 7 ? SHIFT_DAYS : LURE_DAYS);
    if (other < 0) return false;
    const free = { ...spot, day: other };
    if (kind <= 7) return this.#bend(inRound, { closed: spot, free });
    const lured = this.#tasksAt(free, LURE_DAYS);
    return this.#bend(lured.slice(0, MOST_LURED), { closed: null, free });
  }

  /** The round of some occurrence; null where the task it fell on has none. */
  #spot(): Spot | null {
    const { problem } = this;
    const task = this.#pick(problem.tasks.length);
    const turns = this.#turns[task];
    if (!turns || turns.length === 0) return null;
    const turn = turns[this.#pick(turns.length)]!;
    return {
      crew: crewOf(problem, turn),
      home: problem.tasks[task]!.home,
      day: dayOf(problem, turn),
    };
  }

  /** A technician’s tasks all over again, of one home or of all, with a day that is free to open: call-outs are dear. */
  #callAnew({ crew, home }: Spot): boolean {
    const { problem } = this;
    const isOfAll = this.#pick(2) === 0;
    const all = [...problem.tasks.keys()].filter(
      (i) => problem.tasks[i]!.crews.includes(crew) && (isOfAll || problem.tasks[i]!.home === home),
    );
    const { tried } = problem.crews[crew]!;
    const day = tried[this.#pick(tried.length)];
    if (day === undefined) return false;
    const some = this.#shuffled(all.length)
      .slice(0, MOST_LURED)
      .map((i) => all[i]!);
    for (const task of some) this.#takeOut(task);
    const free = { crew, home: isOfAll ? ANY_HOME : home, day };
    return this.#bend(some, { closed: null, free });
  }

  /** All a crew does in a stretch of weeks, some weeks sooner or later together; then each finds its way. */
  #slide({ crew, home, day: from }: Spot): boolean {
    const { problem } = this;
    const by = SLIDES[this.#pick(SLIDES.length)]!;
    const to = from + SLID_WEEKS[this.#pick(SLID_WEEKS.length)]! * 7;
    const slid = [...problem.tasks.keys()].filter((i) => {
      const task = problem.tasks[i]!;
      const offer = this.#offers[i]!.find((each) => each.crew === crew);
      if (task.home !== home || !offer) return false;
      const { days } = this.#routes[i]!;
      const mayBe = (day: number) => offer.places.some((place) => days[place] === day);
      const before = this.#turns[i]!;
      const after = before.map((turn) => {
        const day = dayOf(problem, turn);
        const isIn = crewOf(problem, turn) === crew && day >= from && day <= to;
        return isIn && !task.pins.includes(day) && mayBe(day + by)
          ? turnOf(problem, crew, day + by)
          : turn;
      });
      const isMoved = after.some((turn, k) => turn !== before[k]);
      const isInOrder = after.every(
        (turn, k) => k === 0 || dayOf(problem, turn) > dayOf(problem, after[k - 1]!),
      );
      if (!isMoved || !isInOrder) return false;
      this.#takeOut(i);
      for (const turn of after) this.#rounds.occur(i, turn, 1);
      this.#turns[i] = after;
      return true;
    });
    for (const i of this.#shuffled(slid.length)) this.#reroute(slid[i]!, STRAIGHT);
    return slid.length > 0;
  }

  #takeOut(task: number): void {
    for (const turn of this.#turns[task]!) this.#rounds.occur(task, turn, -1);
    this.#turns[task] = [];
  }

  /** Finds some tasks their ways anew, with a round closed or one free to open. */
  #bend(tasks: readonly number[], bent: Bent): boolean {
    // Taken out together, so that none holds a round open for another that nobody else needs.
    if (this.#pick(2) === 0) for (const task of tasks) this.#takeOut(task);
    for (const i of this.#shuffled(tasks.length)) this.#reroute(tasks[i]!, bent);
    // What came because the round was free stays only where it is worth its price.
    if (bent.free) for (const i of this.#shuffled(tasks.length)) this.#reroute(tasks[i]!, STRAIGHT);
    return tasks.length > 0;
  }

  /** Tasks that somebody may do at a spot, and that are done within so many days of it. */
  #tasksAt(spot: Spot, within: number): number[] {
    const { problem } = this;
    return [...problem.tasks.keys()].filter((i) => {
      const { home, crews } = problem.tasks[i]!;
      if (spot.home !== ANY_HOME && spot.home !== home) return false;
      if (!crews.includes(spot.crew)) return false;
      return this.#turns[i]!.some((turn) =>
        within === 0
          ? turn === turnOf(problem, spot.crew, spot.day)
          : abs(dayOf(problem, turn) - spot.day) <= within,
      );
    });
  }

  /** The numbers below a count in an order of chance. */
  #shuffled(count: number): number[] {
    const order = Array.from({ length: count }, (_, i) => i);
    for (let i = count - 1; i > 0; i--) {
      const j = this.#pick(i + 1);
      [order[i], order[j]] = [order[j]!, order[i]!];
    }
    return order;
  }
}

const copied = (turns: Turns): Turns => turns.map((each) => [...each]);
