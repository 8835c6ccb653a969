"use server";

import { refresh } from "next/cache";
import { z } from "zod";
import { appStore } from "@/db/app-store";
import { appendEndEntry, listEndEntries } from "@/db/repositories/runs";
import { now } from "@/lib/clock";
import { openEnds } from "./loose-ends-queries";

const closing = z.object({ homeId: z.string(), endId: z.string() });

/** Someone has put right what outlived its run. An end that still has to wait stays open. */
export async function closeEnd(form: FormData): Promise<void> {
  const { homeId, endId } = closing.parse(Object.fromEntries(form));
  const end = (await openEnds(homeId)).open.find((each) => each.id === endId);
  if (end && end.blockedBy.length === 0 && !end.isDrying && !end.runId) {
    const store = await appStore();
    await store.write(async (tx) => {
      const log = await listEndEntries(tx, homeId);
      if (log.findLast((entry) => entry.id === endId)?.action === "close") return;
      const { unit, part, end: kind } = end;
      const at = now().toISOString();
      const entry = { id: endId, unit, part, end: kind, at, action: "close" as const };
      await appendEndEntry(tx, homeId, { ...entry, readyAt: undefined, after: undefined });
    });
  }
  refresh();
}
