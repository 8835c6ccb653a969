import { and, asc, eq, isNull, max } from "drizzle-orm";
import { z } from "zod";
import { runEventSchema, type RunEvent } from "@/core/procedures/run";
import type { PartFacts } from "@/core/procedures/procedure";
import { END_KINDS, type EndEntry, type EndKind } from "@/core/procedures/loose-ends";
import type { Reader, Tx } from "../client";
import { looseEndEntries, runEvents, runs } from "../schema";

export type Run = {
  id: string;
  homeId: string;
  unitId: string;
  partId: string;
  taskId: string;
  procedureId: string;
  facts: PartFacts;
  isolator: EndKind;
  startedAt: string;
  endedAt: string | null;
};

const factsSchema = z.strictObject({ directionKnown: z.boolean(), indicator: z.boolean() });

const toRun = (row: typeof runs.$inferSelect): Run => ({
  ...row,
  facts: factsSchema.parse(JSON.parse(row.facts)),
  isolator: z.enum(END_KINDS).parse(row.isolator),
});

export async function insertRun(tx: Tx, run: Run): Promise<void> {
  await tx.insert(runs).values({ ...run, facts: JSON.stringify(run.facts) });
}

export async function findRun(db: Reader, id: string): Promise<Run | null> {
  const rows = await db.select().from(runs).where(eq(runs.id, id));
  return rows[0] ? toRun(rows[0]) : null;
}

/** The runs of a home that have been started and not ended. */
export async function listOpenRuns(db: Reader, homeId: string): Promise<Run[]> {
  const rows = await db
    .select()
    .from(runs)
    .where(and(eq(runs.homeId, homeId), isNull(runs.endedAt)))
    .orderBy(asc(runs.startedAt));
  return rows.map(toRun);
}

export async function markRunEnded(tx: Tx, id: string, at: string): Promise<void> {
  await tx.update(runs).set({ endedAt: at }).where(eq(runs.id, id));
}

export async function listRunEvents(db: Reader, runId: string): Promise<RunEvent[]> {
  const rows = await db
    .select()
    .from(runEvents)
    .where(eq(runEvents.runId, runId))
    .orderBy(asc(runEvents.ordinal));
  return rows.map((row) => runEventSchema.parse(JSON.parse(row.event)));
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
export type RecordedEnd = EndEntry & { words?: string; runId?: string };

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
    ...(row.words === null ? {} : { words: row.words }),
    ...(row.runId === null ? {} : { runId: row.runId }),
  }));
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
    words: entry.words,
  });
}
