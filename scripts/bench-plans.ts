import { evaluate } from "../src/core/planning/evaluate";
import { naivePlan, plan } from "../src/core/planning/plan";
import { madeUpPlan, type InstanceKind } from "../src/core/planning/plan-instances";

/** Iterations as the app asks for them: about a second for a small home, a few for a large one. */
const ASKED_ITERATIONS: Readonly<Record<InstanceKind, number>> = {
  small: 2000,
  large: 5000,
  landlord: 6000,
};
/** The least that any search found so far, minutes: of 20,000 iterations and more, by `npm run bench -- plan-best`. */
const BEST_KNOWN: Readonly<Record<InstanceKind, readonly number[]>> = {
  small: [811.19, 632, 916.65],
  large: [2216.67, 1974.57, 1912.98],
  landlord: [3231, 2888.47, 2842.46],
};
const LONG_ITERATIONS = 20_000;
const MINUTE = 100;

/** How good plans are: against each task on its own day, on its first weekend, and the best ever found. */
export function benchPlans(): void {
  console.log("Plans of a year, in minutes");
  console.table(
    (Object.keys(BEST_KNOWN) as InstanceKind[]).flatMap((kind) =>
      BEST_KNOWN[kind].map((known, i) => {
        const input = { ...madeUpPlan(kind, i + 1), iterations: ASKED_ITERATIONS[kind] };
        const naive = (isFirstLiked: boolean) =>
          evaluate({ input, occurrences: naivePlan(input, isFirstLiked) }).cost.total / MINUTE;
        const begin = performance.now();
        const made = plan(input);
        const seconds = (performance.now() - begin) / 1000;
        const cost = made.cost.total / MINUTE;
        const best = Math.min(known, cost);
        return {
          home: `${kind} ${i + 1}`,
          tasks: input.tasks.length,
          "own due days": naive(false),
          "first weekends": naive(true),
          planned: cost,
          rounds: made.rounds.length,
          "best known": best,
          "over it, %": Number(((100 * (cost - best)) / best).toFixed(1)),
          "first weekends by": Number((naive(true) / cost).toFixed(2)),
          "no less than": made.lowerBound / MINUTE,
          seconds: Number(seconds.toFixed(1)),
        };
      }),
    ),
  );
}

/** Searches long, from several seeds: what is printed goes into the table above. */
export function searchLong(): void {
  for (const kind of Object.keys(BEST_KNOWN) as InstanceKind[]) {
    const found = [1, 2, 3].map((seed) => {
      const input = { ...madeUpPlan(kind, seed), iterations: LONG_ITERATIONS };
      return plan({ ...input, seed: 1000 + seed }).cost.total / MINUTE;
    });
    console.log(kind, found.join(", "));
  }
}
