"use client";

import { useCallback, useEffect, useMemo, useRef, useState } from "react";
import { z } from "zod";
import { replayRun } from "@/core/runs/run";
import type { RunJob, RunState } from "@/core/runs/run-state";
import { runEventSchema, type Doing, type RunEvent } from "@/core/runs/run-event";
import type { EndEntry } from "@/core/runs/loose-ends";
import { REFUSED_WORDS } from "../record/refused-words";
import type { NotTaken } from "@/server/commands/run-record";
import { newId } from "./new-id";

export type RunInput = {
  runId: string;
  job: RunJob;
  events: RunEvent[];
  serverNow: string;
  /** What else is open in the home, of other runs or left over. */
  beside: EndEntry[];
};

const NOT_TAKEN = Object.keys(REFUSED_WORDS) as [NotTaken, ...NotTaken[]];
const answerSchema = z.object({
  events: z.array(runEventSchema),
  refused: z.array(z.object({ id: z.string(), why: z.enum(NOT_TAKEN) })),
  now: z.iso.datetime(),
});

const RETRY_MS = 3000;
/** So many are sent at once. */
const BATCH = 200;
/** How often a run in sight asks what another device has done. */
const LOOK_EVERY_MS = 5000;

export type RunHandle = {
  state: RunState;
  /** The server could not be reached, or refused; it is tried again by itself. */
  trouble: string | null;
  /** What the server did not take, in words, until it is put away. */
  refused: { id: string; words: string }[];
  putAway: (id: string) => void;
  /** Everything done here has been acknowledged. */
  isSaved: boolean;
  /** The server's time by this device's clock, ms. */
  now: () => number;
  act: (doing: Doing) => void;
};

/** What is on its way: each thing by itself, so that one that cannot be read loses no other. */
function waiting(key: string): RunEvent[] {
  try {
    const list = z.array(z.unknown()).safeParse(JSON.parse(localStorage.getItem(key) ?? "[]"));
    return (list.data ?? []).flatMap((each) => {
      const event = runEventSchema.safeParse(each);
      return event.success ? [event.data] : [];
    });
  } catch {
    return [];
  }
}

const errorSchema = z.object({ error: z.object({ message: z.string() }) });

type Answer =
  | { kind: "taken"; events: RunEvent[]; refused: { id: string; why: NotTaken }[]; now: string }
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
    if (answer.success) return { kind: "taken", ...answer.data };
    const error = errorSchema.safeParse(body);
    const trouble = error.success ? error.data.error.message : "That could not be saved.";
    return { kind: "refused", trouble };
  } catch {
    const trouble =
      "Not saved yet: Amber Lintel can’t be reached. It stays on this device and is sent again.";
    return { kind: "unreachable", trouble };
  }
}

/** “Switch the power on: …”: what was not taken, by its step. */
function refusedWords(job: RunJob, event: RunEvent | undefined, why: NotTaken): string {
  const step = event && "step" in event ? event.step : undefined;
  const title = job.procedure.steps.find(({ id }) => id === step)?.title ?? "One thing done here";
  return `${title}: not counted, as ${REFUSED_WORDS[why]}`;
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
  const [refused, setRefused] = useState<{ id: string; words: string }[]>([]);
  const sending = useRef(false);
  const clockError = useRef<number | null>(null);

  const state = useMemo(() => {
    // Between the server's answer and the emptied queue an event stands in both.
    const ids = new Set(known.map(({ id }) => id));
    const ahead = queue.filter(({ id }) => !ids.has(id));
    const beside = { open: input.beside, accepted: known.length };
    return replayRun(job, [...known, ...ahead], undefined, beside);
  }, [job, known, queue, input.beside]);

  const keep = useCallback(
    (events: RunEvent[]) => {
      setQueue(events);
      if (events.length === 0) localStorage.removeItem(key);
      else localStorage.setItem(key, JSON.stringify(events));
    },
    [key],
  );

  // The server's clock counts: a phone's may be wrong.
  const now = useCallback(() => Date.now() + (clockError.current ?? 0), []);
  /** What is on its way, nothing of it later than now: its clock may have been set since. */
  const stamped = useCallback(
    (of: string) =>
      waiting(of).map((event) =>
        Date.parse(event.at) > now() ? { ...event, at: new Date(now()).toISOString() } : event,
      ),
    [now],
  );

  const flush = useCallback(async () => {
    if (sending.current) return;
    sending.current = true;
    for (let events = stamped(key); events.length > 0; events = stamped(key)) {
      const batch = events.slice(0, BATCH);
      const answer = await send(runId, batch);
      if (answer.kind !== "taken") {
        setTrouble(answer.trouble);
        await new Promise((resolve) => setTimeout(resolve, RETRY_MS));
        continue;
      }
      clockError.current = Date.parse(answer.now) - Date.now();
      setKnown(answer.events);
      // What a wrong clock dated stays here until that is set; the rest is named and put away.
      const early = new Set(
        answer.refused.flatMap(({ id, why }) => (why === "clock-off" ? [id] : [])),
      );
      setTrouble(early.size > 0 ? `Not saved yet: ${REFUSED_WORDS["clock-off"]}` : null);
      const told = answer.refused.flatMap(({ id, why }) => {
        const event = batch.find((each) => each.id === id);
        return early.has(id) ? [] : [{ id, words: refusedWords(job, event, why) }];
      });
      if (told.length > 0) setRefused((before) => [...before, ...told]);
      const sent = new Set(batch.flatMap(({ id }) => (early.has(id) ? [] : [id])));
      keep(waiting(key).filter((event) => !sent.has(event.id)));
      if (early.size > 0) await new Promise((resolve) => setTimeout(resolve, RETRY_MS));
    }
    sending.current = false;
  }, [key, keep, runId, job, stamped]);

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
      clockError.current = Date.parse(answer.data.now) - Date.now();
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

  const act = useCallback(
    (doing: Doing) => {
      const at = new Date(now()).toISOString();
      keep([...waiting(key), { id: newId(), at, ...doing } as RunEvent]);
      void flush();
    },
    [flush, keep, key, now],
  );
  const putAway = useCallback(
    (id: string) => setRefused((before) => before.filter((each) => each.id !== id)),
    [],
  );
  return { state, trouble, refused, putAway, isSaved: queue.length === 0, now, act };
}
