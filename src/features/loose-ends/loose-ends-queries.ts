import "server-only";
import { cache } from "react";
import { procedure } from "@/content/procedures/library";
import { stepsFor } from "@/core/procedures/procedure";
import { replayRun, type RunState } from "@/core/procedures/run";
import { endsOfHome, type HomeEnds } from "@/core/register/home-ends";
import { appStore } from "@/db/app-store";
import { listEndEntries, listOpenRuns, listRunEvents, type Run } from "@/db/repositories/runs";
import { now } from "@/lib/clock";

export type GoingRun = { run: Run; state: RunState };

/** The runs of a home that somebody has started and not ended, each where it stands. */
export const goingRuns = cache(async (homeId: string): Promise<GoingRun[]> => {
  const { db } = await appStore();
  const going: GoingRun[] = [];
  for (const run of await listOpenRuns(db, homeId)) {
    const found = procedure(run.procedureId);
    if (!found) continue;
    const place = { unit: run.unitId, part: run.partId, run: run.id, isolator: run.isolator };
    const events = await listRunEvents(db, run.id);
    going.push({ run, state: replayRun(stepsFor(found, run.facts), events, place) });
  }
  return going;
});

export const openEnds = cache(async (homeId: string): Promise<HomeEnds> => {
  const { db } = await appStore();
  const going = (await goingRuns(homeId)).map(({ run, state }) => ({ runId: run.id, state }));
  return endsOfHome(now().toISOString(), await listEndEntries(db, homeId), going);
});
