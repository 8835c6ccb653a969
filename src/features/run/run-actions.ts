"use server";

import { randomUUID } from "node:crypto";
import { redirect } from "next/navigation";
import { z } from "zod";
import { renewalOf } from "@/content/procedures/library";
import { isolatorOf } from "@/core/register/register";
import { appStore } from "@/db/app-store";
import { homeBook } from "@/db/home-book";
import { insertRun, listOpenRuns } from "@/db/repositories/runs";
import { RENEW } from "@/core/register/task";
import { ensureTask } from "@/db/repositories/tasks";
import { now } from "@/lib/clock";

const starting = z.object({ homeId: z.string(), slotId: z.string() });

/** Begins the job of a slot, or goes on with the one already begun there. */
export async function startRun(form: FormData): Promise<void> {
  const { homeId, slotId } = starting.parse(Object.fromEntries(form));
  const book = await homeBook(homeId);
  const slot = book?.slots.find((each) => each.id === slotId);
  const unit = book?.units.find((each) => each.id === slot?.unitId);
  const job = slot && renewalOf(slot.media);
  if (!slot || !unit || !job) redirect(`/homes/${homeId}`);
  const store = await appStore();
  const id = await store.write(async (tx) => {
    const going = (await listOpenRuns(tx, homeId)).find((run) => run.partId === slotId);
    if (going) return going.id;
    const startedAt = now().toISOString();
    const task = { id: randomUUID(), unitId: unit.id, partId: slotId, key: RENEW, changes: {} };
    const run = {
      id: randomUUID(),
      homeId,
      unitId: unit.id,
      partId: slotId,
      taskId: await ensureTask(tx, homeId, task, startedAt),
      procedureId: job.id,
      facts: { directionKnown: slot.direction !== "unknown", indicator: slot.indicator },
      isolator: isolatorOf(unit),
      startedAt,
      endedAt: null,
    };
    await insertRun(tx, run);
    return run.id;
  });
  redirect(`/runs/${id}`);
}
