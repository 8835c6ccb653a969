import { replayRun } from "@/core/runs/run";
import type { EndEntry } from "@/core/runs/loose-ends";
import type { RunJob, RunState } from "@/core/runs/run-state";
import type { RunEvent } from "@/core/runs/run-event";
import { openBeside } from "@/core/runs/home-ends";
import type { Reader } from "@/db/client";
import {
  findRun,
  jobOfRun,
  listEndEntries,
  listOpenRuns,
  listRunEvents,
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

/** What is open in a home beside one of its runs: of others that go on, or left over from ended ones. */
export async function openBesideRun(
  db: Reader,
  homeId: string,
  runId: string,
  now: Date,
): Promise<EndEntry[]> {
  const going = [];
  for (const run of await listOpenRuns(db, homeId)) {
    if (run.id === runId) continue;
    const job = jobOfRun(run);
    going.push({ job, state: replayRun(job, await listRunEvents(db, run.id)) });
  }
  return openBeside(now.toISOString(), await listEndEntries(db, homeId), going, runId);
}
