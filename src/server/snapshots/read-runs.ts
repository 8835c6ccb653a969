import { replayRun } from "@/core/runs/run";
import type { EndEntry } from "@/core/runs/loose-ends";
import type { RunJob, RunState } from "@/core/runs/run-state";
import type { RunEvent } from "@/core/runs/run-event";
import { taskId } from "@/core/scheduling/task";
import { openBeside } from "@/core/runs/home-ends";
import type { Reader } from "@/db/client";
import {
  findLastRun,
  findRun,
  jobOfRun,
  listEndEntries,
  listOpenRuns,
  listRunEvents,
  listRunsSince,
  type Run,
} from "@/db/repositories/runs";

export type ReadRun = { run: Run; job: RunJob; events: RunEvent[]; state: RunState };

/** A run and where it stands, read through a transaction or the database. */
export async function readRun(db: Reader, runId: string): Promise<ReadRun | null> {
  const run = await findRun(db, runId);
  if (!run) return null;
  const job = jobOfRun(run);
  const events = await listRunEvents(db, runId);
  return { run, job, events, state: replayRun(job, events) };
}

export type GoingRun = {
  run: Run;
  /** The planned job it does. */
  task: string;
  job: RunJob;
  state: RunState;
};

/** The runs of a home that somebody has started and not ended, each where it stands. */
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

/** What was done of a home's jobs before, as far as its runs tell. */
export type RunsBefore = {
  /** The runs begun since an instant, with what was done in them. */
  since: (iso: string) => Promise<{ run: Run; events: RunEvent[] }[]>;
  /** The last run of a job that came to its end, and where it stood then. */
  last: (job: { unitId?: string; partId?: string; key: string }) => Promise<ReadRun | null>;
};

export const runsBefore = (db: Reader, homeId: string): RunsBefore => ({
  since: async (iso) => {
    const runs = [];
    for (const run of await listRunsSince(db, homeId, iso))
      runs.push({ run, events: await listRunEvents(db, run.id) });
    return runs;
  },
  last: async ({ unitId, partId, key }) => {
    const place = { unitId: unitId ?? null, partId: partId ?? null };
    const run = await findLastRun(db, { homeId, ...place, taskKey: key });
    return run && readRun(db, run.id);
  },
});

/** What is open in a home beside one of its runs: of others that go on, or left over from ended ones. */
export async function openBesideRun(
  db: Reader,
  homeId: string,
  runId: string,
  now: Date,
): Promise<EndEntry[]> {
  const going = (await listGoing(db, homeId)).filter(({ run }) => run.id !== runId);
  return openBeside(now.toISOString(), await listEndEntries(db, homeId), going, runId);
}
