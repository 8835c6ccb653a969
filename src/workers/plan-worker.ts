import { expose } from "comlink";
import { movePrice, whyHere, type MovePrice, type WhyHere } from "@/core/planning/moves";
import { planning, PlanModel, type PlanView } from "@/core/planning/plan";
import { type Occurrence, planInput } from "@/core/planning/plan-schema";
import type { PlainDate } from "@/core/quantities/plain-date";

/** How often a search looks up to hear whether to stop, ms. */
const LISTENS_EVERY_MS = 60;
const CENTI = 100;

let model: PlanModel | null = null;
let view: PlanView | null = null;
/** What somebody said meanwhile. */
const wish = { isStopped: false, isCancelled: false };

const heard = () => new Promise((resolve) => setTimeout(resolve));

/** The model that was loaded. @throws where none was: a mistake of ours. */
function loaded(): { model: PlanModel; view: PlanView } {
  if (!model || !view) throw new Error("plan-worker: asked before a plan was loaded");
  return { model, view };
}

/** A plan that was found: less over its caps is better than any cost, then less cost. */
export type Searched = { days: Occurrence[]; overCap: number; cost: number };

/** Plans a year and prices its moves, off the page’s own thread. */
const planner = {
  /** Fetches what a plan is made of, and looks at some occurrences by it. */
  load: async (url: string, occurrences: readonly Occurrence[]): Promise<void> => {
    const answer = await fetch(url);
    if (!answer.ok) throw new Error(`plan-worker: ${answer.status} for the plan’s input`);
    model = new PlanModel(planInput.parse(await answer.json()));
    view = model.view(occurrences);
  },

  /** What it costs to do some occurrences on each of these days instead. */
  prices: (of: readonly Occurrence[], days: readonly PlainDate[]): MovePrice[] => {
    const known = loaded();
    return days.map((to) => movePrice(known.model, known.view, { of, to }));
  },

  why: (at: Occurrence): WhyHere | null => whyHere(loaded().model, loaded().view, at),

  /**
   * Searches a plan, and tells how far it is: a share from 0 to 1, and what the best so far costs, minutes.
   * Answers null where it was cancelled; stopped it answers with the best so far.
   *
   * @param seed others search from other ones, side by side
   */
  plan: async (
    seed: number,
    onProgress: (share: number, minutes: number) => void,
  ): Promise<Searched | null> => {
    const input = { ...loaded().model.input, seed };
    wish.isStopped = false;
    wish.isCancelled = false;
    const steps = planning(input);
    let last = performance.now();
    for (let step = steps.next(); ; step = steps.next(wish.isStopped)) {
      if (step.done) {
        const { rounds, occurrences, cost } = step.value;
        return {
          days: occurrences.map(({ task, day }) => ({ task, day })),
          overCap: rounds.reduce((sum, round) => sum + round.overCap, 0),
          cost: cost.total,
        };
      }
      if (performance.now() - last < LISTENS_EVERY_MS) continue;
      onProgress(step.value.done / input.iterations, step.value.cost / CENTI);
      await heard();
      if (wish.isCancelled) return null;
      last = performance.now();
    }
  },

  stop: (): void => void (wish.isStopped = true),
  cancel: (): void => void (wish.isCancelled = true),
};
export type PlanWorker = typeof planner;

expose(planner);
