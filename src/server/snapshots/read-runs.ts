import { RunReplay } from "@/core/runs/run";
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
  listRunEventsFrom,
  listRunsSince,
  type PlacedEvent,
  type Run,
} from "@/db/repositories/runs";

/** What was done in a run, and where it stands after it. */
type Replayed = {
  job: RunJob;
  events: readonly RunEvent[];
  state: RunState;
  /** To go on from. */
  replay: RunReplay;
  /** The latest time of an event, ms since 1970. */
  latest: number;
};
export type ReadRun = { run: Run } & Replayed;

type Kept = Replayed & { last: Pick<PlacedEvent, "id" | "ordinal"> | null };
/** So many runs are kept as far as they were read: those of the last days of a few homes. */
const MOST_KEPT = 50;
// Next keeps several instances of a module; they have to share one cache.
const shared = globalThis as typeof globalThis & { amberRuns?: Map<string, Kept> };
const keptRuns = (shared.amberRuns ??= new Map<string, Kept>());

/**
 * Where a run stands. What was read before is not replayed again, as long as its last event is still where it
 * was: events are only added, and a write that was taken back, or a copy put back, left another one there.
 */
async function replayed(db: Reader, run: Run): Promise<Replayed> {
  const before = keptRuns.get(run.id);
  const found = await listRunEventsFrom(db, run.id, before?.last?.ordinal ?? 0);
  const stands = before?.last ? found[0]?.id === before.last.id : before !== undefined;
  if (before && !stands) {
    keptRuns.delete(run.id);
    return replayed(db, run);
  }
  const fresh = before?.last ? found.slice(1) : found;
  if (before && fresh.length === 0) return before;
  const job = before?.job ?? jobOfRun(run);
  const more = fresh.flatMap(({ event }) => event ?? []);
  const replay = (before?.replay.forked() ?? new RunReplay(job)).taking(more);
  const kept: Kept = {
    job,
    events: before ? [...before.events, ...more] : more,
    state: replay.state,
    replay,
    latest: more.reduce((latest, { at }) => Math.max(latest, Date.parse(at)), before?.latest ?? 0),
    last: fresh.at(-1) ?? before?.last ?? null,
  };
  keptRuns.delete(run.id);
  keptRuns.set(run.id, kept);
  for (const oldest of keptRuns.keys()) {
    if (keptRuns.size <= MOST_KEPT) break;
    keptRuns.delete(oldest);
  }
  return kept;
}

/** A run and where it stands, read through a transaction or the database. */
export async function readRun(db: Reader, runId: string): Promise<ReadRun | null> {
  const run = await findRun(db, runId);
  return run && { run, ...(await replayed(db, run)) };
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
    const place = { unitId: run.unitId ?? undefined, partId: run.partId ?? undefined };
    const { job, state } = await replayed(db, run);
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
