import { sluiceHouse, theBoathouse } from "../demo/demo-homes";
import type { HomeSnapshot } from "../src/core/history/home-snapshot";
import { evaluate } from "../src/core/planning/evaluate";
import { homePlan } from "../src/core/planning/home-plan";
import { naivePlan, plan } from "../src/core/planning/plan";
import { madeUpPlan, type InstanceKind } from "../src/core/planning/plan-instances";
import type { PlanInput } from "../src/core/planning/plan-schema";
import { plainDate } from "../src/core/quantities/plain-date";
import { jobFactsOf } from "../src/server/snapshots/job-facts";
import { homeStatus } from "../src/server/snapshots/snapshot-cache";
import { CLOCK } from "../e2e/app-server";

/** Iterations as the app asks for them: about a second for a small home, a few for a large one. */
const SMALL = 4000;
const LARGE = 8000;
const LANDLORD = 4000;
const LONG_ITERATIONS = 32_000;
/** As many as the app searches side by side where there are the cores: the seconds are those of one. */
const SEEDS = [1, 2, 3];
const LONG_SEEDS = [1001, 1002, 1003, 1004];
const MINUTE = 100;

type Instance = {
  home: string;
  input: PlanInput;
  /** The least that any search found so far, minutes: of 32,000 iterations and more, by `npm run bench -- plan-best`. */
  known: number;
};

const madeUp = (kind: InstanceKind, iterations: number, ...known: number[]): Instance[] =>
  known.map((least, i) => ({
    home: `${kind} ${i + 1}`,
    input: { ...madeUpPlan(kind, i + 1), iterations },
    known: least,
  }));

/** A home of the demo as the app plans it. */
function lived(snapshot: HomeSnapshot, iterations: number, known: number): Instance {
  const status = homeStatus(snapshot, plainDate(CLOCK.slice(0, 10)));
  const { input } = homePlan(status, jobFactsOf(snapshot));
  return { home: snapshot.home.name, input: { ...input, iterations }, known };
}

function instances(): Instance[] {
  const today = plainDate(CLOCK.slice(0, 10));
  return [
    lived(theBoathouse(today).snapshot, SMALL, 508.62),
    lived(sluiceHouse(today, new Date(CLOCK)).snapshot, LARGE, 2279.93),
    ...madeUp("small", SMALL, 812.25, 628.67, 916.65),
    ...madeUp("large", LARGE, 2199.24, 1942.96, 1998.3),
    ...madeUp("landlord", LANDLORD, 3236.93, 2772.08, 2599.05),
  ];
}

/** How good plans are: against each task on its own day, on its first weekend, and the best ever found. */
export function benchPlans(): void {
  console.log("Plans of a year, in minutes");
  console.table(
    instances().map(({ home, input, known }) => {
      const naive = (isFirstLiked: boolean) =>
        evaluate({ input, occurrences: naivePlan(input, isFirstLiked) }).cost.total / MINUTE;
      const begin = performance.now();
      const all = SEEDS.map((seed) => plan({ ...input, seed }));
      const seconds = (performance.now() - begin) / 1000 / SEEDS.length;
      const made = all.reduce((a, b) => (b.cost.total < a.cost.total ? b : a));
      const cost = made.cost.total / MINUTE;
      const best = Math.min(known, cost);
      return {
        home,
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
  );
}

/** Searches long, from another seed: what is printed goes into the list above. */
export function searchLong(): void {
  for (const { home, input } of instances()) {
    const found = LONG_SEEDS.map(
      (seed) => plan({ ...input, iterations: LONG_ITERATIONS, seed }).cost.total,
    );
    console.log(home, Math.min(...found) / MINUTE);
  }
}
