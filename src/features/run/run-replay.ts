import { procedure } from "@/content/procedures/library";
import { stepsFor, type Step } from "@/core/procedures/procedure";
import { replayRun, type RunEvent, type RunPlace, type RunState } from "@/core/procedures/run";
import type { Reader } from "@/db/client";
import { findRun, listRunEvents, type Run } from "@/db/repositories/runs";

export const placeOf = (run: Run): RunPlace => ({
  unit: run.unitId,
  part: run.partId,
  run: run.id,
  isolator: run.isolator,
});

export function stepsOf(run: Run): Step[] {
  const found = procedure(run.procedureId);
  if (!found) throw new Error(`stepsOf: the library has no procedure “${run.procedureId}”`);
  return stepsFor(found, run.facts);
}

/** A run and where it stands, read through a transaction or the database. */
export async function readRun(
  db: Reader,
  runId: string,
): Promise<{ run: Run; events: RunEvent[]; state: RunState } | null> {
  const run = await findRun(db, runId);
  if (!run) return null;
  const events = await listRunEvents(db, runId);
  return { run, events, state: replayRun(stepsOf(run), events, placeOf(run)) };
}
