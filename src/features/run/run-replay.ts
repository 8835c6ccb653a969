import { replayRun } from "@/core/procedures/run";
import type { RunJob, RunState } from "@/core/procedures/run-state";
import type { RunEvent } from "@/core/procedures/run-event";
import type { Reader } from "@/db/client";
import { findRun, jobOfRun, listRunEvents, type Run } from "@/db/repositories/runs";

export type ReadRun = { run: Run; job: RunJob; events: RunEvent[]; state: RunState };

/** A run and where it stands, read through a transaction or the database. */
export async function readRun(db: Reader, runId: string): Promise<ReadRun | null> {
  const run = await findRun(db, runId);
  if (!run) return null;
  const job = jobOfRun(run);
  const events = await listRunEvents(db, runId);
  return { run, job, events, state: replayRun(job, events) };
}
