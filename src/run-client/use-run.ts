"use client";

import { useEffect, useMemo, useState, useSyncExternalStore } from "react";
import type { EndEntry } from "@/core/runs/loose-ends";
import { replayRun } from "@/core/runs/run";
import type { Doing, RunEvent } from "@/core/runs/run-event";
import type { RunJob, RunState } from "@/core/runs/run-state";
import { browserStore } from "./device-store";
import { SEEN } from "./last-seen";
import { queueOf } from "./left-behind";
import { RunSync, type Device, type Told } from "./run-sync";
import { askEvents, sendEvents } from "./send-events";

export type RunInput = {
  runId: string;
  job: RunJob;
  events: readonly RunEvent[];
  serverNow: string;
  /** What else is open in the home, of other runs or left over. */
  beside: EndEntry[];
  /** Why nothing of its machine comes back on, where a stop stands there. */
  stopped?: string | undefined;
};

export type RunHandle = {
  state: RunState;
  /** The server could not be reached, or refused; it is tried again by itself. */
  trouble: string | null;
  /** What the server did not take, in words, until it is put away. */
  refused: readonly Told[];
  putAway: (id: string) => void;
  /** Everything done here has been acknowledged. */
  isSaved: boolean;
  /** The server's time by this device's clock, ms. */
  now: () => number;
  act: (doing: Doing) => void;
};

const DEVICE: Device = {
  now: () => Date.now(),
  later: (work, ms) => {
    const timer = setTimeout(work, ms);
    return () => clearTimeout(timer);
  },
  isSeen: () => document.visibilityState === "visible",
};

/**
 * A run on this device: what the server knows, and what was done here and is on its way. What is
 * on its way is kept in the browser, so that neither a reload nor a lost server loses it.
 */
export function useRun({ runId, job, events, serverNow, beside, stopped }: RunInput): RunHandle {
  const [sync] = useState(() => {
    const { known, queue: onItsWay } = SEEN.of(runId, events);
    return new RunSync({
      runId,
      job,
      known,
      onItsWay,
      serverNow,
      queue: queueOf(browserStore(), runId),
      send: sendEvents,
      ask: askEvents,
      device: DEVICE,
    });
  });
  const { known, queue, trouble, refused } = useSyncExternalStore(
    sync.subscribe,
    sync.state,
    sync.state,
  );
  // The network, the timers and the other windows of a device are outside React: what a reload left
  // behind is picked up, and what another device did while this one slept; all of it ends with the page.
  useEffect(() => {
    sync.start();
    const look = () => {
      if (DEVICE.isSeen()) void sync.look();
    };
    window.addEventListener("focus", look);
    document.addEventListener("visibilitychange", look);
    return () => {
      sync.stop();
      window.removeEventListener("focus", look);
      document.removeEventListener("visibilitychange", look);
    };
  }, [sync]);
  // What this page shows when one comes back to it stands outside React, as the component is gone by then.
  useEffect(() => SEEN.keep(runId, { known, queue }), [runId, known, queue]);
  const state = useMemo(() => {
    const ids = new Set(known.map(({ id }) => id));
    const ahead = queue.filter(({ id }) => !ids.has(id));
    return replayRun(job, [...known, ...ahead], undefined, {
      open: beside,
      accepted: known.length,
      stopped,
    });
  }, [job, known, queue, beside, stopped]);
  return {
    state,
    trouble,
    refused,
    putAway: sync.putAway,
    isSaved: queue.length === 0,
    now: sync.now,
    act: sync.act,
  };
}
