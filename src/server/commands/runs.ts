import "server-only";
import { randomUUID } from "node:crypto";
import type { Attributes } from "@/core/inventory/attribute";
import { isolatorOf, type FilterSlot, type Part, type Unit } from "@/core/inventory/inventory";
import { endsOfHome } from "@/core/runs/home-ends";
import { togetherOf } from "@/core/inventory/shared-shut-offs";
import { roundToDo, roundUnderWay } from "@/core/planning/round-progress";
import type { EndKind } from "@/core/runs/loose-ends";
import type { InRound, JobFact, ParkedEnd, Procedure, StepEnd } from "@/core/runs/procedure";
import { isSupply, keyOfEnd, kindAt, suppliesFoundShut, suppliesOf } from "@/core/runs/run-ends";
import { taskId } from "@/core/scheduling/task";
import type { Qualification } from "@/core/runs/qualification";
import type { RunEvent } from "@/core/runs/run-event";
import { replayRun } from "@/core/runs/run";
import { appStore } from "@/db/app-store";
import { updatePart } from "@/db/repositories/parts";
import {
  appendEndEntry,
  appendRunEvents,
  findRun,
  insertRun,
  jobOfRun,
  listRunEvents,
  markRunEnded,
} from "@/db/repositories/runs";
import { ensureTask } from "@/db/repositories/tasks";
import { updateUnit } from "@/db/repositories/units";
import { now } from "@/lib/clock";
import { leadOf } from "../snapshots/job-facts";
import { scheduleNow } from "../snapshots/snapshot-cache";
import { stopsByUnit } from "../snapshots/stops";
import { createdAt, type OpenHome } from "./home-command";

export type RunBegun = {
  taskKey: string;
  unit: Unit | undefined;
  part: FilterSlot | Part | undefined;
  procedure: Procedure;
  variant: string | null;
  facts: readonly JobFact[];
  qualification: Qualification;
};

/** Begins a job, or goes on with the one already begun at its place. Answers the run's id. */
export async function beginRun(
  home: OpenHome,
  { taskKey, unit, part, procedure, variant, facts: known, qualification }: RunBegun,
): Promise<string> {
  const { tx, homeId, going } = home;
  const place = { unitId: unit?.id ?? null, partId: part?.id ?? null };
  const begun = going.find(
    ({ run }) =>
      run.unitId === place.unitId && run.partId === place.partId && run.taskKey === taskKey,
  );
  if (begun) return begun.run.id;
  const startedAt = createdAt(home);
  const parked = parkedHere(home, unit, part);
  const isStored = parked.some(({ end }) => end === "disconnect-out");
  const facts = known.map((fact) => (fact === "in-use" && isStored ? "stored" : fact));
  const setting = {
    id: randomUUID(),
    key: taskKey,
    changes: {},
    ...(unit ? { unitId: unit.id } : {}),
    ...(part ? { partId: part.id } : {}),
  };
  const id = randomUUID();
  const isolator = unit ? isolatorOf(unit) : ("switch-off" as const);
  await insertRun(tx, {
    id,
    homeId,
    ...place,
    taskId: await ensureTask(tx, homeId, setting, startedAt),
    procedureId: procedure.id,
    procedure,
    facts,
    variant,
    qualification,
    isolator,
    inRound: await inRoundOf(home, {
      ...{ task: taskId(setting, taskKey), unit, isolator },
      supplies: suppliesOf(procedure, { facts, variant }),
      found: suppliesFoundShut(procedure, { facts, variant }),
    }),
    parked,
    together: unit
      ? togetherOf(home.snapshot.units).filter(({ units }) => units.includes(unit.id))
      : [],
    startedAt,
    endedAt: null,
  });
  return id;
}

/** What an earlier season left parked at the place of a run, by the keys its steps wake. */
function parkedHere(
  { now: at, recordedEnds, going }: OpenHome,
  unit: Unit | undefined,
  part: FilterSlot | Part | undefined,
): ParkedEnd[] {
  const { parked } = endsOfHome(at.toISOString(), recordedEnds, going);
  return parked
    .filter((end) => end.unit === unit?.id && (end.part === undefined || end.part === part?.id))
    .map(({ id, end, since }) => ({ id, end, since, key: keyOfEnd(id) }));
}

/** A job that is about to begin at a machine, and which supplies it shuts there. */
type Beginning = {
  task: string;
  unit: Unit | undefined;
  isolator: EndKind;
  supplies: readonly StepEnd[];
  /** Of them those it may find shut. */
  found: readonly StepEnd[];
};

/**
 * What a job has of the round it is done in, if somebody began one with it: power, gas or water that the job
 * before left off for it, and what it leaves off for those that are still to come at the same machine.
 */
async function inRoundOf(
  home: OpenHome,
  { task, unit, isolator, supplies, found }: Beginning,
): Promise<InRound | null> {
  const { tx, snapshot, going, recordedEnds, now: at } = home;
  const round = roundUnderWay(snapshot.year, task);
  if (!round) return null;
  if (!unit) return { round: round.id, taken: [], left: [] };
  const open = endsOfHome(at.toISOString(), recordedEnds, going).open.filter(
    (end) => end.unit === unit.id && end.runId === undefined,
  );
  const taken: ParkedEnd[] = [];
  for (const { id, end, since } of open) {
    const runId = recordedEnds.findLast((entry) => entry.id === id)?.runId;
    const left = runId ? await findRun(tx, runId) : null;
    const here = found.find((each) => kindAt(each, isolator) === end);
    if (left?.inRound?.round === round.id && here) taken.push({ id, end, since, key: here.key });
  }
  const jobs = scheduleNow(snapshot, home.today);
  const begun = new Set(going.map(({ task: id }) => id));
  const toCome = roundToDo(round, jobs, snapshot.home.timeZone).filter(
    (job) => job.task.id !== task && !begun.has(job.task.id) && job.task.unitId === unit.id,
  );
  const left = supplies.flatMap((end) => {
    const next = toCome.find((job) => {
      const lead = leadOf(snapshot, job.task);
      return (
        lead && suppliesFoundShut(lead.procedure, lead.setting).some((each) => each.end === end.end)
      );
    });
    return next ? [{ key: end.key, to: next.task.name }] : [];
  });
  return { round: round.id, taken, left };
}

/** Keeps what was found out of a place: what belongs to its unit there, the rest at the part. */
export async function keepAttributes(
  { tx }: OpenHome,
  unit: Unit | undefined,
  part: Part | undefined,
  learned: { unit: Attributes; part: Attributes },
): Promise<void> {
  if (part) await updatePart(tx, { ...part, attributes: { ...part.attributes, ...learned.part } });
  if (unit) await updateUnit(tx, { ...unit, attributes: { ...unit.attributes, ...learned.unit } });
}

/** Someone has put right what outlived its run. An end that still has to wait stays open. */
export async function closeEnd(home: OpenHome, endId: string): Promise<void> {
  const at = createdAt(home);
  const together = togetherOf(home.snapshot.units);
  const { open } = endsOfHome(at, home.recordedEnds, home.going, together);
  const end = open.find((each) => each.id === endId);
  if (!end || end.blockedBy.length > 0 || end.isDrying || end.runId) return;
  // What a stop holds off stays off until somebody licensed has seen to it.
  if (isSupply(end) && stopsByUnit(home.snapshot, home.today).has(end.unit)) return;
  const { unit, part, end: kind } = end;
  const entry = { id: endId, unit, part, end: kind, at, action: "close" as const };
  await appendEndEntry(home.tx, home.homeId, {
    ...entry,
    readyAt: undefined,
    after: undefined,
  });
}

/** A job begun is dropped: only while nothing of it is open, and nothing of it counts. */
export async function dropRun(runId: string): Promise<void> {
  const { write } = await appStore();
  const at = now().toISOString();
  await write(async (tx) => {
    const run = await findRun(tx, runId);
    if (!run || run.endedAt !== null) return;
    const event: RunEvent = { id: randomUUID(), at, kind: "stopped" };
    const state = replayRun(jobOfRun(run), [...(await listRunEvents(tx, runId)), event], at);
    if (state.status !== "stopped") return;
    await appendRunEvents(tx, runId, [event]);
    await markRunEnded(tx, runId, at);
  });
}
