import "server-only";
import { cache } from "react";
import { replayRun } from "@/core/runs/run";
import type { RunJob, RunState } from "@/core/runs/run-state";
import { listWords } from "@/core/quantities/words";
import { offInFrost } from "@/core/runs/frost";
import {
  endsOfHome,
  leftOpenOf,
  type HomeEnd,
  type HomeEnds,
  type LeftOpen,
} from "@/core/runs/home-ends";
import { taskId } from "@/core/scheduling/task";
import { appStore } from "@/db/app-store";
import {
  jobOfRun,
  listEndEntries,
  listOpenRuns,
  listRunEvents,
  type Run,
} from "@/db/repositories/runs";
import type { Reader } from "@/db/client";
import { homeBook } from "@/db/home-book";
import { now, todayIn } from "@/lib/clock";

export type GoingRun = {
  run: Run;
  /** The planned job it does. */
  task: string;
  job: RunJob;
  state: RunState;
};

/** The runs of a home that somebody has started and not ended, each where it stands. */
export const goingRuns = cache(async (homeId: string): Promise<GoingRun[]> =>
  listGoing((await appStore()).db, homeId),
);

/** The same, read through a transaction or the database. */
export async function listGoing(db: Reader, homeId: string): Promise<GoingRun[]> {
  const going: GoingRun[] = [];
  for (const run of await listOpenRuns(db, homeId)) {
    const job = jobOfRun(run);
    const place = { unitId: run.unitId ?? undefined, partId: run.partId ?? undefined };
    const state = replayRun(job, await listRunEvents(db, run.id));
    going.push({ run, task: taskId(place, run.taskKey), job, state });
  }
  return going;
}

export const openEnds = cache(async (homeId: string): Promise<HomeEnds> => {
  const { db } = await appStore();
  const going = await goingRuns(homeId);
  return endsOfHome(now().toISOString(), await listEndEntries(db, homeId), going);
});

/** What is left open in a home, all of one run together. */
export const leftOpen = cache(async (homeId: string): Promise<LeftOpen[]> =>
  leftOpenOf(await openEnds(homeId)),
);

/** A job begun and left, with nothing open: it waits to be gone on with, or dropped. */
export type Begun = { runId: string; unitId: string | null; title: string; startedAt: string };

export const begunRuns = cache(async (homeId: string): Promise<Begun[]> =>
  (await goingRuns(homeId))
    .filter(({ state }) => state.ends.open.length === 0)
    .map(({ run }) => ({
      runId: run.id,
      unitId: run.unitId,
      title: run.procedure.title,
      startedAt: run.startedAt,
    })),
);

/** Everything a page says of what is open, as it is at this instant. */
export type OpenNow = { left: LeftOpen[]; frost: string | null; now: string };

export async function openNow(homeId: string): Promise<OpenNow> {
  const at = now();
  const { open } = await openEnds(homeId);
  return {
    left: await leftOpen(homeId),
    frost: await frostWords(homeId, open),
    now: at.toISOString(),
  };
}

/** That the house cools down: a machine that heats is off, and it freezes outside. */
async function frostWords(homeId: string, open: readonly HomeEnd[]): Promise<string | null> {
  const book = await homeBook(homeId);
  if (!book) return null;
  const today = todayIn(book.home.timeZone);
  const cold = offInFrost(book, open, today);
  if (cold.length === 0) return null;
  const names = listWords(cold.map(({ name }) => name));
  const is = cold.length === 1 ? "is" : "are";
  return `It freezes outside and ${names} ${is} off: the house cools down and pipes may freeze. Switch on again, keep the house warm otherwise, or drain its water.`;
}

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
