import { proxy, wrap, type Remote } from "comlink";
import { useCallback, useEffect, useRef } from "react";
import type { MovePrice, WhyHere } from "@/core/planning/moves";
import type { Occurrence } from "@/core/planning/plan";
import type { PlainDate } from "@/core/quantities/plain-date";
import type { PlanWorker } from "@/workers/plan-worker";

export type Planner = {
  prices: (of: readonly Occurrence[], days: readonly PlainDate[]) => Promise<MovePrice[]>;
  why: (at: Occurrence) => Promise<WhyHere | null>;
  plan: (onProgress: (share: number, minutes: number) => void) => Promise<Occurrence[] | null>;
  stop: () => void;
  cancel: () => void;
};

/**
 * The worker that plans and prices, started with the first question and ended with the page.
 *
 * @param days the plan that is looked at; another one is loaded anew, as is whatever it is made of
 * @param key what changes when the plan or what it is made of does
 */
export function usePlanner(homeId: string, days: readonly Occurrence[], key: string): Planner {
  const held = useRef<{ thread: Worker; ask: Remote<PlanWorker> }>(undefined);
  const loaded = useRef<{ key: string; done: Promise<void> }>(undefined);

  // The worker is outside React: it ends with the page.
  useEffect(
    () => () => {
      held.current?.thread.terminate();
      held.current = undefined;
      loaded.current = undefined;
    },
    [],
  );

  const ready = useCallback(async (): Promise<Remote<PlanWorker>> => {
    if (!held.current) {
      const url = new URL("@/workers/plan-worker.ts", import.meta.url);
      const thread = new Worker(url, { type: "module" });
      held.current = { thread, ask: wrap<PlanWorker>(thread) };
    }
    const { ask } = held.current;
    if (loaded.current?.key !== key) {
      const done = ask.load(`${location.origin}/api/v1/homes/${homeId}/year/input`, [...days]);
      loaded.current = { key, done };
      // What could not be fetched is tried again with the next question.
      done.catch(() => (loaded.current = undefined));
    }
    await loaded.current?.done;
    return ask;
  }, [homeId, days, key]);

  return {
    prices: async (of, to) => (await ready()).prices([...of], [...to]),
    why: async (at) => (await ready()).why(at),
    plan: async (onProgress) => (await ready()).plan(proxy(onProgress)),
    stop: () => void held.current?.ask.stop(),
    cancel: () => void held.current?.ask.cancel(),
  };
}
