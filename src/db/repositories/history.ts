import { and, asc, desc, eq, inArray, max, type SQL } from "drizzle-orm";
import type { PlainDate } from "@/core/quantities/plain-date";
import type { HistoryEvent } from "@/core/register/register";
import type { Grade } from "@/core/wear/belief";
import type { Reader, Tx } from "../client";
import { events, looks } from "../schema";

async function select(db: Reader, where: SQL | undefined): Promise<HistoryEvent[]> {
  const rows = await db
    .select({ event: events, look: looks })
    .from(events)
    .leftJoin(looks, eq(looks.eventId, events.id))
    .where(where)
    .orderBy(asc(events.ordinal));
  return rows.map(({ event, look }) => ({
    id: event.id,
    kind: event.kind,
    date: event.date as PlainDate,
    recordedAt: event.recordedAt,
    ...(event.unitId === null ? {} : { unitId: event.unitId }),
    ...(event.partId === null ? {} : { partId: event.partId }),
    ...(event.itemId === null ? {} : { itemId: event.itemId }),
    ...(event.corrects === null ? {} : { corrects: event.corrects }),
    ...(event.runId === null ? {} : { runId: event.runId }),
    ...(event.words === null ? {} : { words: event.words }),
    ...(event.minutes === null ? {} : { minutes: event.minutes }),
    ...(event.costMinor === null ? {} : { costMinor: event.costMinor }),
    ...(look === null
      ? {}
      : {
          look: {
            ...(look.grade === null ? {} : { grade: look.grade as Grade }),
            ...(look.pressureDropPa === null ? {} : { pressureDropPa: look.pressureDropPa }),
          },
        }),
  }));
}

/** Everything recorded at some parts, withdrawn or not, in the order it was recorded. */
export async function listEventsOfParts(
  db: Reader,
  partIds: readonly string[],
): Promise<HistoryEvent[]> {
  return partIds.length === 0 ? [] : select(db, inArray(events.partId, [...partIds]));
}

export async function findEvent(
  db: Reader,
  homeId: string,
  id: string,
): Promise<HistoryEvent | null> {
  return (await select(db, and(eq(events.id, id), eq(events.homeId, homeId))))[0] ?? null;
}

/** The newest entry that points at this one, if any did. */
export async function findSuccessor(db: Reader, id: string): Promise<{ id: string } | null> {
  const rows = await db
    .select({ id: events.id })
    .from(events)
    .where(eq(events.corrects, id))
    .orderBy(desc(events.ordinal))
    .limit(1);
  return rows[0] ?? null;
}

/** Adds to the history; there is no way to change what is in it. */
export async function appendEvent(tx: Tx, homeId: string, event: HistoryEvent): Promise<void> {
  const [{ top }] = (await tx.select({ top: max(events.ordinal) }).from(events)) as [
    { top: number | null },
  ];
  await tx.insert(events).values({
    id: event.id,
    ordinal: (top ?? 0) + 1,
    homeId,
    unitId: event.unitId,
    partId: event.partId,
    itemId: event.itemId,
    kind: event.kind,
    date: event.date,
    recordedAt: event.recordedAt,
    corrects: event.corrects,
    runId: event.runId,
    words: event.words,
    minutes: event.minutes,
    costMinor: event.costMinor,
  });
  if (event.look)
    await tx.insert(looks).values({
      eventId: event.id,
      grade: event.look.grade,
      pressureDropPa: event.look.pressureDropPa,
    });
}
