import type { Occurrence } from "@/core/planning/plan-schema";
import { proxy, wrap, type Remote } from "comlink";
import { useCallback, useEffect, useRef } from "react";
import type { MovePrice, WhyHere } from "@/core/planning/moves";
import type { PlainDate } from "@/core/quantities/plain-date";
import type { PlanWorker, Searched } from "@/workers/plan-worker";

const inputOf = (homeId: string): string => `${location.origin}/api/v1/homes/${homeId}/year/input`;

export type Planner = {
  prices: (of: readonly Occurrence[], days: readonly PlainDate[]) => Promise<MovePrice[]>;
  why: (at: Occurrence) => Promise<WhyHere | null>;
  plan: (onProgress: (share: number, minutes: number) => void) => Promise<Occurrence[] | null>;
  stop: () => void;
  cancel: () => void;
};

type Thread = { thread: Worker; ask: Remote<PlanWorker> };

function startThread(): Thread {
  const url = new URL("@/workers/plan-worker.ts", import.meta.url);
  const thread = new Worker(url, { type: "module" });
  return { thread, ask: wrap<PlanWorker>(thread) };
}

/** So many search side by side, each from its own seed, as far as the device has cores to spare: the best counts. */
const MOST_SEEDS = 3;

const isBetter = (a: Searched, b: Searched): boolean =>
  a.overCap < b.overCap || (a.overCap === b.overCap && a.cost < b.cost);

/**
 * The worker that plans and prices, started with the first question and ended with the page.
 *
 * @param days the plan that is looked at; another one is loaded anew, as is whatever it is made of
 * @param key what changes when the plan or what it is made of does
 */
export function usePlanner(homeId: string, days: readonly Occurrence[], key: string): Planner {
  const held = useRef<Thread>(undefined);
  /** Those that search beside it, for as long as they do. */
  const beside = useRef<Thread[]>([]);
  /** What somebody said while it searched. */
  const wish = useRef<"stop" | "cancel">(null);
  const loaded = useRef<{ key: string; done: Promise<void> }>(undefined);

  // The worker is outside React: it ends with the page.
  useEffect(
    () => () => {
      for (const each of [held.current, ...beside.current]) each?.thread.terminate();
      beside.current = [];
      held.current = undefined;
      loaded.current = undefined;
    },
    [],
  );

  const ready = useCallback(async (): Promise<Remote<PlanWorker>> => {
    held.current ??= startThread();
    const { ask } = held.current;
    if (loaded.current?.key !== key) {
      const done = ask.load(inputOf(homeId), [...days]);
      loaded.current = { key, done };
      // What could not be fetched is tried again with the next question.
      done.catch(() => (loaded.current = undefined));
    }
    await loaded.current?.done;
    return ask;
  }, [homeId, days, key]);

  const plan: Planner["plan"] = async (onProgress) => {
    wish.current = null;
    const first = await ready();
    const spare = Math.max(1, Math.min(MOST_SEEDS, navigator.hardwareConcurrency - 1));
    beside.current = Array.from({ length: spare - 1 }, startThread);
    const all = [first, ...beside.current.map(({ ask }) => ask)];
    const shares = all.map(() => 0);
    const minutes = all.map(() => Number.POSITIVE_INFINITY);
    try {
      const found = await Promise.all(
        all.map(async (ask, nth) => {
          // What searches beside begins later, and is not waited for where it cannot.
          const isReady =
            nth === 0 ||
            (await ask.load(inputOf(homeId), []).then(
              () => wish.current === null,
              () => false,
            ));
          if (!isReady) {
            shares[nth] = 1;
            return undefined;
          }
          return ask.plan(
            nth + 1,
            proxy((share, costs) => {
              shares[nth] = share;
              minutes[nth] = costs;
              // All of it is done when the last one is.
              onProgress(Math.min(...shares), Math.min(...minutes));
            }),
          );
        }),
      );
      const kept = found.filter((each) => each !== undefined && each !== null);
      if (wish.current === "cancel" || kept.length === 0) return null;
      return kept.reduce((a, b) => (isBetter(b, a) ? b : a)).days;
    } finally {
      for (const { thread } of beside.current) thread.terminate();
      beside.current = [];
    }
  };
  const say = (word: "stop" | "cancel"): void => {
    wish.current = word;
    for (const each of [held.current, ...beside.current]) if (each) void each.ask[word]();
  };

  return {
    prices: async (of, to) => (await ready()).prices([...of], [...to]),
    why: async (at) => (await ready()).why(at),
    plan,
    stop: () => say("stop"),
    cancel: () => say("cancel"),
  };
}
