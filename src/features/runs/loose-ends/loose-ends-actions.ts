"use server";

import { refresh } from "next/cache";
import { z } from "zod";
import { inHome } from "@/server/commands/home-command";
import * as runs from "@/server/commands/runs";

const closing = z.object({ homeId: z.string(), endId: z.string() });

/** Someone has put right what outlived its run. An end that still has to wait stays open. */
export async function closeEnd(form: FormData): Promise<void> {
  const parsed = closing.safeParse(Object.fromEntries(form));
  if (parsed.success)
    await inHome(parsed.data.homeId, (home) => runs.closeEnd(home, parsed.data.endId));
  refresh();
}

const dropping = z.object({ runId: z.string() });

/** A job begun is dropped: only while nothing of it is open, and nothing of it counts. */
export async function dropRun(form: FormData): Promise<void> {
  const parsed = dropping.safeParse(Object.fromEntries(form));
  if (parsed.success) await runs.dropRun(parsed.data.runId);
  refresh();
}
