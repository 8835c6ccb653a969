import "server-only";
import { cache } from "react";
import { replayRun } from "@/core/procedures/run";
import type { RunJob, RunState } from "@/core/procedures/run-state";
import { endsOfHome, leftOpenOf, type HomeEnds, type LeftOpen } from "@/core/register/home-ends";
import { taskId } from "@/core/register/task";
import { appStore } from "@/db/app-store";
import {
  jobOfRun,
  listEndEntries,
  listOpenRuns,
  listRunEvents,
  type Run,
} from "@/db/repositories/runs";
import { now } from "@/lib/clock";

export type GoingRun = {
  run: Run;
  /** The planned job it does. */
  task: string;
  job: RunJob;
  state: RunState;
};

/** The runs of a home that somebody has started and not ended, each where it stands. */
export const goingRuns = cache(async (homeId: string): Promise<GoingRun[]> => {
  const { db } = await appStore();
  const going: GoingRun[] = [];
  for (const run of await listOpenRuns(db, homeId)) {
    const job = jobOfRun(run);
    const place = { unitId: run.unitId ?? undefined, partId: run.partId ?? undefined };
    const state = replayRun(job, await listRunEvents(db, run.id));
    going.push({ run, task: taskId(place, run.taskKey), job, state });
  }
  return going;
});

export const openEnds = cache(async (homeId: string): Promise<HomeEnds> => {
  const { db } = await appStore();
  const going = await goingRuns(homeId);
  return endsOfHome(now().toISOString(), await listEndEntries(db, homeId), going);
});

/** What is left open in a home, all of one run together. */
export const leftOpen = cache(async (homeId: string): Promise<LeftOpen[]> =>
  leftOpenOf(await openEnds(homeId)),
);

/** What to call for when it has dried, in words. */
export const dryWaits = (
  left: readonly LeftOpen[],
  unitNames: Record<string, string>,
): { runId: string; words: string; readyAt: string }[] =>
  left.flatMap(({ unit, runId, drying }) =>
    runId && drying
      ? [{ runId, words: `${unitNames[unit]}: dry, put it back`, readyAt: drying.readyAt }]
      : [],
  );
