"use client";

import { useCallback, useEffect, useMemo, useRef, useState } from "react";
import { z } from "zod";
import { replayRun } from "@/core/procedures/run";
import type { RunJob, RunState } from "@/core/procedures/run-state";
import { runEventSchema, type Doing, type RunEvent } from "@/core/procedures/run-event";
import { newId } from "./new-id";

export type RunInput = {
  runId: string;
  job: RunJob;
  events: RunEvent[];
  serverNow: string;
};

const answerSchema = z.object({
  events: z.array(runEventSchema),
  refused: z.array(z.object({ id: z.string(), why: z.string() })),
});

const RETRY_MS = 3000;
/** How often a run in sight asks what another device has done. */
const LOOK_EVERY_MS = 5000;

export type RunHandle = {
  state: RunState;
  /** The server could not be reached, or refused; it is tried again by itself. */
  trouble: string | null;
  /** Everything done here has been acknowledged. */
  isSaved: boolean;
  /** The server's time by this device's clock, ms. */
  now: () => number;
  act: (doing: Doing) => void;
};

function waiting(key: string): RunEvent[] {
  try {
    return z.array(runEventSchema).parse(JSON.parse(localStorage.getItem(key) ?? "[]"));
  } catch {
    return [];
  }
}

const errorSchema = z.object({ error: z.object({ message: z.string() }) });

type Answer =
  | { kind: "taken"; events: RunEvent[]; trouble: null }
  | { kind: "refused"; trouble: string }
  | { kind: "unreachable"; trouble: string };

/** Hands events to the server; whatever the network does, an answer in words comes back. */
async function send(runId: string, events: readonly RunEvent[]): Promise<Answer> {
  try {
    const response = await fetch(`/api/v1/runs/${runId}/events`, {
      method: "POST",
      headers: { "content-type": "application/json" },
      body: JSON.stringify({ events }),
    });
    if (response.status >= 500) throw new Error(`status ${response.status}`);
    const body: unknown = await response.json();
    const answer = answerSchema.safeParse(body);
    if (answer.success) return { kind: "taken", events: answer.data.events, trouble: null };
    const error = errorSchema.safeParse(body);
    const trouble = error.success ? error.data.error.message : "That could not be saved.";
    return { kind: "refused", trouble };
  } catch {
    const trouble =
      "Not saved yet: Amber Lintel can’t be reached. It stays on this device and is sent again.";
    return { kind: "unreachable", trouble };
  }
}

/**
 * A run on this device: what the server knows, and what was done here and is on its way. What is
 * on its way is kept in the browser, so that neither a reload nor a lost server loses it.
 */
export function useRun(input: RunInput): RunHandle {
  const { runId, job } = input;
  const key = `run-${runId}`;
  const [known, setKnown] = useState(input.events);
  const [queue, setQueue] = useState<RunEvent[]>([]);
  const [trouble, setTrouble] = useState<string | null>(null);
  const sending = useRef(false);
  const clockError = useRef<number | null>(null);

  const state = useMemo(() => {
    // Between the server's answer and the emptied queue an event stands in both.
    const ids = new Set(known.map(({ id }) => id));
    return replayRun(job, [...known, ...queue.filter(({ id }) => !ids.has(id))]);
  }, [job, known, queue]);

  const keep = useCallback(
    (events: RunEvent[]) => {
      setQueue(events);
      if (events.length === 0) localStorage.removeItem(key);
      else localStorage.setItem(key, JSON.stringify(events));
    },
    [key],
  );

  const flush = useCallback(async () => {
    if (sending.current) return;
    sending.current = true;
    for (let events = waiting(key); events.length > 0; events = waiting(key)) {
      const answer = await send(runId, events);
      setTrouble(answer.trouble);
      if (answer.kind === "unreachable") {
        await new Promise((resolve) => setTimeout(resolve, RETRY_MS));
        continue;
      }
      if (answer.kind === "taken") setKnown(answer.events);
      const sent = new Set(events.map((event) => event.id));
      keep(waiting(key).filter((event) => !sent.has(event.id)));
    }
    sending.current = false;
  }, [key, keep, runId]);

  // The browser's store and the network are outside React: pick up what a reload left behind, and
  // what another device did while this one slept.
  useEffect(() => {
    clockError.current ??= Date.parse(input.serverNow) - Date.now();
    const left = waiting(key);
    if (left.length > 0) {
      queueMicrotask(() => setQueue(left));
      void flush();
    }
    const look = async () => {
      if (document.visibilityState !== "visible" || waiting(key).length > 0) return;
      const response = await fetch(`/api/v1/runs/${runId}/events`).catch(() => null);
      const answer = answerSchema.safeParse(await response?.json().catch(() => null));
      // Asked before something was done here, the answer may come after it, and know less.
      if (!answer.success || waiting(key).length > 0) return;
      setKnown((before) =>
        answer.data.events.length > before.length ? answer.data.events : before,
      );
    };
    const onFocus = () => void look();
    window.addEventListener("focus", onFocus);
    document.addEventListener("visibilitychange", onFocus);
    const timer = setInterval(onFocus, LOOK_EVERY_MS);
    return () => {
      clearInterval(timer);
      window.removeEventListener("focus", onFocus);
      document.removeEventListener("visibilitychange", onFocus);
    };
  }, [flush, input.serverNow, key, runId]);

  // The server's clock counts: a phone's may be wrong.
  const now = useCallback(() => Date.now() + (clockError.current ?? 0), []);
  const act = useCallback(
    (doing: Doing) => {
      const at = new Date(now()).toISOString();
      keep([...waiting(key), { id: newId(), at, ...doing } as RunEvent]);
      void flush();
    },
    [flush, keep, key, now],
  );
  return { state, trouble, isSaved: queue.length === 0, now, act };
}
