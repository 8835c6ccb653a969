"use server";

import { randomUUID } from "node:crypto";
import { refresh } from "next/cache";
import { z } from "zod";
import { replayRun } from "@/core/runs/run";
import { endsOfHome } from "@/core/runs/home-ends";
import { appStore } from "@/db/app-store";
import {
  appendEndEntry,
  appendRunEvents,
  findRun,
  jobOfRun,
  listEndEntries,
  listRunEvents,
  markRunEnded,
} from "@/db/repositories/runs";
import { now } from "@/lib/clock";
import { listGoing } from "@/server/snapshots/read-runs";

const closing = z.object({ homeId: z.string(), endId: z.string() });

/** Someone has put right what outlived its run. An end that still has to wait stays open. */
export async function closeEnd(form: FormData): Promise<void> {
  const parsed = closing.safeParse(Object.fromEntries(form));
  if (!parsed.success) return refresh();
  const { homeId, endId } = parsed.data;
  const store = await appStore();
  await store.write(async (tx) => {
    const at = now().toISOString();
    const { open } = endsOfHome(at, await listEndEntries(tx, homeId), await listGoing(tx, homeId));
    const end = open.find((each) => each.id === endId);
    if (!end || end.blockedBy.length > 0 || end.isDrying || end.runId) return;
    const { unit, part, end: kind } = end;
    const entry = { id: endId, unit, part, end: kind, at, action: "close" as const };
    await appendEndEntry(tx, homeId, { ...entry, readyAt: undefined, after: undefined });
  });
  refresh();
}

const dropping = z.object({ runId: z.string() });

/** A job begun is dropped: only while nothing of it is open, and nothing of it counts. */
export async function dropRun(form: FormData): Promise<void> {
  const parsed = dropping.safeParse(Object.fromEntries(form));
  if (!parsed.success) return refresh();
  const { runId } = parsed.data;
  const store = await appStore();
  const at = now().toISOString();
  await store.write(async (tx) => {
    const run = await findRun(tx, runId);
    if (!run || run.endedAt !== null) return;
    const event = { id: randomUUID(), at, kind: "stopped" as const };
    const events = [...(await listRunEvents(tx, runId)), event];
    const state = replayRun(jobOfRun(run), events, at);
    if (state.status !== "stopped") return;
    await appendRunEvents(tx, runId, [event]);
    await markRunEnded(tx, runId, at);
  });
  refresh();
}
