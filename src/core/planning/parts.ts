import type { Problem } from "./problem";
import type { Price, Turns } from "./rounds";
import { Search } from "./search";

/** What a search has found so far, and after how many iterations. */
export type Found = { turns: Turns; price: Price; done: number };

/**
 * The tasks of a problem by what they share: no round, cap or call-out of one part touches another, so that
 * what each costs adds up. A technician’s homes are one part; so are crews that stand in for one another.
 *
 * @returns places of tasks; light ones are in none
 * @example partsOf(smallProblem) // [[0]]
 */
export function partsOf({ tasks, crews, homes }: Problem): number[][] {
  const leader = Array.from({ length: crews.length * homes }, (_, i) => i);
  const find = (at: number): number => (leader[at] === at ? at : find(leader[at]!));
  const join = (a: number, b: number) => void (leader[find(a)] = find(b));
  crews.forEach(({ isOwner, isCapOfDay }, crew) => {
    if (isOwner && !isCapOfDay) return;
    for (let home = 1; home < homes; home++) join(crew * homes, crew * homes + home);
  });
  for (const { crews: able, home, isLight } of tasks)
    if (!isLight) for (const crew of able) join(able[0]! * homes + home, crew * homes + home);
  const parts = new Map<number, number[]>();
  tasks.forEach(({ crews: able, home, isLight }, i) => {
    if (isLight) return;
    const key = find(able[0]! * homes + home);
    parts.set(key, [...(parts.get(key) ?? []), i]);
  });
  return [...parts.values()];
}

/** Seeds of the parts lie so far apart. */
const SEED_STEP = 7919;
/** A small part settles soon, but not at once. */
const LEAST_SHARE = 0.5;

/**
 * Searches a plan, an iteration at a time, so that whoever asks may look at the clock or stop in between: what is
 * answered with true ends it there. Each iteration is a step in the greatest part, and in the others by their size, in
 * every other one at least. The best found so far is yielded each time, and the best of all returned.
 *
 * @example searching(smallProblem, 20, 1).next().value.done // 1
 */
export function* searching(
  problem: Problem,
  iterations: number,
  seed: number,
): Generator<Found, Found, boolean | undefined> {
  const all = partsOf(problem);
  const most = Math.max(...all.map(({ length }) => length));
  const parts = all.map((places, nth) => ({
    places,
    share: Math.max(LEAST_SHARE, places.length / most),
    search: new Search(
      { ...problem, tasks: places.map((i) => problem.tasks[i]!) },
      seed + nth * SEED_STEP,
    ),
  }));
  const best = (done: number): Found => {
    const turns: Turns = problem.tasks.map(() => []);
    let price: Price = { excess: 0, cost: 0 };
    for (const { places, search } of parts) {
      places.forEach((i, nth) => (turns[i] = search.best.turns[nth]!));
      const { excess, cost } = search.best.price;
      price = { excess: price.excess + excess, cost: price.cost + cost };
    }
    return { turns, price, done };
  };
  let done = 0;
  while (done < iterations) {
    done++;
    for (const { share, search } of parts)
      if (Math.floor(done * share) > Math.floor((done - 1) * share)) search.iterate();
    const found = best(done);
    if (yield found) return found;
  }
  return best(done);
}
