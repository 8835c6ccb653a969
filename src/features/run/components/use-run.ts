"use client";

import { useCallback, useEffect, useMemo, useRef, useState } from "react";
import { z } from "zod";
import { procedure } from "@/content/procedures/library";
import { stepsFor, type PartFacts } from "@/core/procedures/procedure";
import {
  replayRun,
  runEventSchema,
  type RunEvent,
  type RunPlace,
  type RunState,
} from "@/core/procedures/run";
import type { Grade } from "@/core/wear/belief";

export type RunInput = {
  runId: string;
  procedureId: string;
  facts: PartFacts;
  place: RunPlace;
  events: RunEvent[];
  serverNow: string;
};

const answerSchema = z.object({
  events: z.array(runEventSchema),
  refused: z.array(z.object({ id: z.string(), why: z.string() })),
});

/** Without a secure context the browser has no randomUUID: any unlikely name will do. */
const newId = () =>
  globalThis.crypto?.randomUUID?.() ??
  `${Date.now().toString(36)}-${Math.random().toString(36).slice(2)}${Math.random().toString(36).slice(2)}`;

const RETRY_MS = 3000;

type Doing =
  | { kind: "done"; step: string; grade?: Grade }
  | { kind: "back"; step: string }
  | { kind: "leave-open"; step: string; words: string }
  | { kind: "finished" }
  | { kind: "stopped" };

export type RunHandle = {
  steps: ReturnType<typeof stepsFor>;
  state: RunState;
  /** The server could not be reached, or refused; it is tried again by itself. */
  trouble: string | null;
  /** Everything done here has been acknowledged. */
  isSaved: boolean;
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
  const { runId, procedureId, facts, place } = input;
  const key = `run-${runId}`;
  const [known, setKnown] = useState(input.events);
  const [queue, setQueue] = useState<RunEvent[]>([]);
  const [trouble, setTrouble] = useState<string | null>(null);
  const sending = useRef(false);
  const clockError = useRef<number | null>(null);

  const steps = useMemo(() => {
    const found = procedure(procedureId);
    return found ? stepsFor(found, facts) : [];
  }, [procedureId, facts]);
  const state = useMemo(
    () => replayRun(steps, [...known, ...queue], place),
    [steps, known, queue, place],
  );

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
      if (answer.success) setKnown(answer.data.events);
    };
    const onFocus = () => void look();
    window.addEventListener("focus", onFocus);
    document.addEventListener("visibilitychange", onFocus);
    return () => {
      window.removeEventListener("focus", onFocus);
      document.removeEventListener("visibilitychange", onFocus);
    };
  }, [flush, input.serverNow, key, runId]);

  const act = useCallback(
    (doing: Doing) => {
      // The server's clock counts: a phone's may be wrong.
      const at = new Date(Date.now() + (clockError.current ?? 0)).toISOString();
      keep([...waiting(key), { id: newId(), at, ...doing }]);
      void flush();
    },
    [flush, keep, key],
  );
  return { steps, state, trouble, isSaved: queue.length === 0, act };
}
