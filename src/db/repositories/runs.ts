import { and, asc, desc, eq, gte, inArray, isNotNull, isNull, max, ne, or } from "drizzle-orm";
import { z } from "zod";
import { runEventSchema, type RunEvent } from "@/core/runs/run-event";
import type { Qualification } from "@/core/runs/qualification";
import {
  JOB_FACTS,
  inRoundSchema,
  parkedEndSchema,
  procedureSchema,
  type InRound,
  type JobFact,
  type ParkedEnd,
  type Procedure,
} from "@/core/runs/procedure";
import type { RunJob } from "@/core/runs/run-state";
import { END_KINDS, type EndEntry, type EndKind, type Together } from "@/core/runs/loose-ends";
import type { Reader, Tx } from "../client";
import { readJson } from "../columns";
import { looseEndEntries, runEvents, runs, tasks } from "../schema";

export type Run = {
  id: string;
  homeId: string;
  unitId: string | null;
  partId: string | null;
  taskId: string;
  /** Which of the jobs of its place it does. */
  taskKey: string;
  procedureId: string;
  /** As it was when the run began. */
  procedure: Procedure;
  facts: JobFact[];
  variant: string | null;
  qualification: Qualification;
  isolator: EndKind;
  parked: ParkedEnd[];
  inRound: InRound | null;
  together: Together[];
  startedAt: string;
  endedAt: string | null;
};

/** Runs of before had two facts by name. */
const oldFactsSchema = z
  .strictObject({ directionKnown: z.boolean(), indicator: z.boolean() })
  .transform(({ directionKnown, indicator }): JobFact[] => [
    ...(directionKnown ? [] : (["direction-unknown"] as const)),
    ...(indicator ? (["has-indicator"] as const) : []),
  ]);
const factsSchema = z.union([z.array(z.enum(JOB_FACTS)), oldFactsSchema]);

const togetherSchema = z
  .array(z.strictObject({ end: z.enum(END_KINDS), units: z.array(z.string()) }))
  .catch([]);

type Row = { run: typeof runs.$inferSelect; taskKey: string };
const toRun = ({ run: { learned: _, ...row }, taskKey }: Row): Run => ({
  ...row,
  taskKey,
  facts: factsSchema.parse(JSON.parse(row.facts)),
  procedure: procedureSchema.parse(JSON.parse(row.procedure)),
  isolator: z.enum(END_KINDS).parse(row.isolator),
  parked: z.array(parkedEndSchema).catch([]).parse(readJson(row.parked)),
  inRound: inRoundSchema.nullable().catch(null).parse(readJson(row.inRound)),
  together: togetherSchema.parse(readJson(row.together)),
});

const select = (db: Reader) =>
  db
    .select({ run: runs, taskKey: tasks.key })
    .from(runs)
    .innerJoin(tasks, eq(tasks.id, runs.taskId))
    .$dynamic();

export async function insertRun(tx: Tx, run: Omit<Run, "taskKey">): Promise<void> {
  const json = {
    facts: JSON.stringify(run.facts),
    procedure: JSON.stringify(run.procedure),
    parked: JSON.stringify(run.parked),
    inRound: JSON.stringify(run.inRound),
    together: JSON.stringify(run.together),
  };
  await tx.insert(runs).values({ ...run, ...json });
}

/** A run as the core replays it; what goes through the whole house stands at the home itself. */
export const jobOfRun = (run: Run): RunJob => ({
  procedure: run.procedure,
  setting: {
    facts: run.facts,
    variant: run.variant,
    parked: run.parked,
    ...(run.inRound ? { inRound: run.inRound } : {}),
  },
  place: {
    unit: run.unitId ?? run.homeId,
    ...(run.partId ? { part: run.partId } : {}),
    run: run.id,
    isolator: run.isolator,
    together: run.together,
  },
  qualification: run.qualification,
});

export async function findRun(db: Reader, id: string): Promise<Run | null> {
  const rows = await select(db).where(eq(runs.id, id));
  return rows[0] ? toRun(rows[0]) : null;
}

/** The runs of a home that have been started and not ended. */
export async function listOpenRuns(db: Reader, homeId: string): Promise<Run[]> {
  const rows = await select(db)
    .where(and(eq(runs.homeId, homeId), isNull(runs.endedAt)))
    .orderBy(asc(runs.startedAt));
  return rows.map(toRun);
}

/** The latest run of a job that ended, if there was one. */
export async function findLastRun(
  db: Reader,
  { homeId, unitId, partId, taskKey }: Pick<Run, "homeId" | "unitId" | "partId" | "taskKey">,
): Promise<Run | null> {
  const rows = await select(db)
    .where(
      and(
        eq(runs.homeId, homeId),
        unitId === null ? isNull(runs.unitId) : eq(runs.unitId, unitId),
        partId === null ? isNull(runs.partId) : eq(runs.partId, partId),
        eq(tasks.key, taskKey),
        isNotNull(runs.endedAt),
      ),
    )
    .orderBy(desc(runs.endedAt))
    .limit(1);
  return rows[0] ? toRun(rows[0]) : null;
}

/** Ends a run, or, with `at` null, lets it go on. */
export async function markRunEnded(tx: Tx, id: string, at: string | null): Promise<void> {
  await tx.update(runs).set({ endedAt: at }).where(eq(runs.id, id));
}

const learnedSchema = z.strictObject({
  before: z.record(z.string(), z.unknown()),
  after: z.record(z.string(), z.unknown()),
});
/** What a run changed of its part, field by field: what stood there, and what stands there now. */
export type Learned = z.output<typeof learnedSchema>;

export async function keepLearned(tx: Tx, id: string, learned: Learned): Promise<void> {
  await tx
    .update(runs)
    .set({ learned: JSON.stringify(learned) })
    .where(eq(runs.id, id));
}

/** What a run taught, for the last time: it is forgotten with this. */
export async function takeLearned(tx: Tx, id: string): Promise<Learned | null> {
  const [row] = await tx.select({ learned: runs.learned }).from(runs).where(eq(runs.id, id));
  if (!row?.learned) return null;
  await tx.update(runs).set({ learned: null }).where(eq(runs.id, id));
  return learnedSchema.parse(JSON.parse(row.learned));
}

/** The runs of a home that somebody was at on or after an instant. */
export async function listRunsSince(db: Reader, homeId: string, since: string): Promise<Run[]> {
  const rows = await select(db).where(
    and(
      eq(runs.homeId, homeId),
      or(isNull(runs.endedAt), gte(runs.endedAt, since), gte(runs.startedAt, since)),
    ),
  );
  return rows.map(toRun);
}

/** An event where it stands in its run; null where it cannot be read any more. */
export type PlacedEvent = { id: string; ordinal: number; event: RunEvent | null };

/** What was done in a run from a place on, in order. */
export async function listRunEventsFrom(
  db: Reader,
  runId: string,
  ordinal: number,
): Promise<PlacedEvent[]> {
  const rows = await db
    .select()
    .from(runEvents)
    .where(and(eq(runEvents.runId, runId), gte(runEvents.ordinal, ordinal)))
    .orderBy(asc(runEvents.ordinal));
  return rows.map((row) => {
    const { data = null } = runEventSchema.safeParse(readJson(row.event));
    return { id: row.id, ordinal: row.ordinal, event: data };
  });
}

/** What was done in a run, in order. An event that cannot be read any more is passed over. */
export const listRunEvents = async (db: Reader, runId: string): Promise<RunEvent[]> =>
  (await listRunEventsFrom(db, runId, 0)).flatMap(({ event }) => event ?? []);

/** Which of the names given to events are those of events of another run. */
export async function namesInOtherRuns(
  db: Reader,
  runId: string,
  ids: readonly string[],
): Promise<Set<string>> {
  const rows = await db
    .select({ id: runEvents.id })
    .from(runEvents)
    .where(and(inArray(runEvents.id, [...ids]), ne(runEvents.runId, runId)));
  return new Set(rows.map(({ id }) => id));
}

/** Adds the events that are not there yet, in the order given; a second sending adds nothing. */
export async function appendRunEvents(
  tx: Tx,
  runId: string,
  list: readonly RunEvent[],
): Promise<void> {
  const [{ top }] = (await tx
    .select({ top: max(runEvents.ordinal) })
    .from(runEvents)
    .where(eq(runEvents.runId, runId))) as [{ top: number | null }];
  let ordinal = top ?? 0;
  for (const event of list)
    await tx
      .insert(runEvents)
      .values({
        id: event.id,
        runId,
        ordinal: ++ordinal,
        at: event.at,
        event: JSON.stringify(event),
      })
      .onConflictDoNothing();
}

/** An entry of the log of ends, and why it was left, where someone said so. */
export type RecordedEnd = EndEntry & { label?: string; words?: string; runId?: string };

export async function listEndEntries(db: Reader, homeId: string): Promise<RecordedEnd[]> {
  const rows = await db
    .select()
    .from(looseEndEntries)
    .where(eq(looseEndEntries.homeId, homeId))
    .orderBy(asc(looseEndEntries.ordinal));
  return rows.map((row) => ({
    id: row.endId,
    unit: row.unitId,
    part: row.partId ?? undefined,
    end: z.enum(END_KINDS).parse(row.end),
    at: row.at,
    action: row.action,
    readyAt: row.readyAt ?? undefined,
    after: undefined,
    ...(row.label === null ? {} : { label: row.label }),
    ...(row.words === null ? {} : { words: row.words }),
    ...(row.runId === null ? {} : { runId: row.runId }),
  }));
}

/** Says anew why something stays open, where what it was left open for does not come. */
export async function sayWhyOpen(
  tx: Tx,
  homeId: string,
  endId: string,
  words: string,
): Promise<void> {
  await tx
    .update(looseEndEntries)
    .set({ words })
    .where(
      and(
        eq(looseEndEntries.homeId, homeId),
        eq(looseEndEntries.endId, endId),
        eq(looseEndEntries.action, "open"),
      ),
    );
}

export async function appendEndEntry(tx: Tx, homeId: string, entry: RecordedEnd): Promise<void> {
  await tx.insert(looseEndEntries).values({
    endId: entry.id,
    homeId,
    unitId: entry.unit,
    partId: entry.part,
    end: entry.end,
    at: entry.at,
    action: entry.action,
    readyAt: entry.readyAt,
    runId: entry.runId,
    label: entry.label,
    words: entry.words,
  });
}
