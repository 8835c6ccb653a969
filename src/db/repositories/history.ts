import { randomUUID } from "node:crypto";
import {
  and,
  asc,
  desc,
  eq,
  getTableColumns,
  gt,
  inArray,
  isNull,
  lte,
  max,
  notExists,
  sql,
  type SQL,
} from "drizzle-orm";
import { alias } from "drizzle-orm/sqlite-core";
import type { PlainDate } from "@/core/quantities/plain-date";
import { keptBySchema } from "@/core/readings/judge";
import { conditionsSchema } from "@/core/readings/conditions";
import type { ReadingKind } from "@/core/readings/reading-kinds";
import type { Breakdown, HistoryEvent, ReadingTaken } from "@/core/history/history-event";
import type { Grade } from "@/core/filters/belief";
import type { Reader, Tx } from "../client";
import { readJson, withoutNulls } from "../columns";
import { breakdowns, events, looks, readings } from "../schema";

/** What a reading was judged by; the usual where that cannot be read any more. */
const groundsOf = (column: string) => {
  const read = keptBySchema.safeParse(readJson(column));
  return read.success ? read.data : keptBySchema.parse({});
};

/** Under what it was read; nothing is known where that cannot be read any more. */
const conditionsOf = (column: string): Pick<ReadingTaken, "conditions"> => {
  const read = conditionsSchema.safeParse(readJson(column));
  return read.success && column !== "{}" ? { conditions: read.data } : {};
};

function readingOf(row: typeof readings.$inferSelect): ReadingTaken {
  const { kind, value, word, unit, typedValue, typedUnit, grounds, conditions } = row;
  return {
    kind: kind as ReadingKind,
    value: word ?? value ?? undefined,
    unit: unit ?? undefined,
    ...groundsOf(grounds),
    ...conditionsOf(conditions),
    ...(typedValue === null ? {} : { typed: { value: typedValue, unit: typedUnit ?? "" } }),
  };
}

function breakdownOf({
  preventedTask,
  preventedWords,
  eventId: _,
  ...row
}: typeof breakdowns.$inferSelect): Breakdown {
  const prevented = preventedTask
    ? { taskId: preventedTask }
    : preventedWords
      ? { words: preventedWords }
      : undefined;
  return { ...withoutNulls(row), ...(prevented ? { prevented } : {}) };
}

function breakdownRow(
  eventId: string,
  { prevented, ...known }: Breakdown,
): typeof breakdowns.$inferInsert {
  return {
    ...{ eventId, ...known },
    preventedTask: prevented && "taskId" in prevented ? prevented.taskId : null,
    preventedWords: prevented && "words" in prevented ? prevented.words : null,
  };
}

function readingRow(eventId: string, taken: ReadingTaken): typeof readings.$inferInsert {
  const { kind, value, unit, typed, conditions = {}, ...grounds } = taken;
  return {
    eventId,
    kind,
    value: typeof value === "number" ? value : null,
    word: typeof value === "string" ? value : null,
    unit: unit ?? null,
    typedValue: typed?.value ?? null,
    typedUnit: typed?.unit ?? null,
    grounds: JSON.stringify(grounds),
    conditions: JSON.stringify(conditions),
  };
}

const DETAILS = { event: events, look: looks, reading: readings, breakdown: breakdowns };
type Rows = {
  event: typeof events.$inferSelect;
  look: typeof looks.$inferSelect | null;
  reading: typeof readings.$inferSelect | null;
  breakdown: typeof breakdowns.$inferSelect | null;
};
type Detail = keyof Rows;

/** Every column of an entry and its details, in the order in which a row of them is written. */
const COLUMNS = (Object.keys(DETAILS) as Detail[]).flatMap((detail) =>
  Object.entries(getTableColumns(DETAILS[detail])).map(([key, column]) => ({
    detail,
    key,
    column,
    isReal: column.getSQLType() === "real",
  })),
);
const AT = {
  ordinal: COLUMNS.findIndex(({ detail, key }) => detail === "event" && key === "ordinal"),
} as const;
/** An entry as one JSON array. SQLite writes figures into JSON with fifteen digits; seventeen give every one back. */
const AS_ARRAY = sql`json_array(${sql.join(
  COLUMNS.map(({ column, isReal }) =>
    isReal
      ? sql`CASE WHEN ${column} IS NULL THEN NULL ELSE printf('%!.17g', ${column}) END`
      : sql`${column}`,
  ),
  sql`, `,
)})`;
/** So many entries at most are packed together: a text has its end. */
const TOGETHER = 50_000;

function rowsOf(said: readonly unknown[]): Rows {
  const rows: Record<Detail, Record<string, unknown> | null> = {
    event: {},
    look: null,
    reading: null,
    breakdown: null,
  };
  for (let i = 0; i < COLUMNS.length; i++) {
    const value = said[i];
    const { detail, key, isReal } = COLUMNS[i]!;
    // A detail begins with the entry it is of; where there is none, all of it is null.
    if (value === null && rows[detail] === null) continue;
    (rows[detail] ??= {})[key] = isReal && value !== null ? Number(value) + 0 : value;
  }
  return rows as unknown as Rows;
}

/**
 * Entries in their order, packed by the database into one text: unpacking a home’s 100,000 entries column by
 * column took twelve seconds in the driver and the mapper, and takes one like this.
 */
async function select(db: Reader, where: SQL | undefined): Promise<HistoryEvent[]> {
  const packed = await db
    .select({ entries: sql<string>`json_group_array(${AS_ARRAY})` })
    .from(events)
    .leftJoin(looks, eq(looks.eventId, events.id))
    .leftJoin(readings, eq(readings.eventId, events.id))
    .leftJoin(breakdowns, eq(breakdowns.eventId, events.id))
    .where(where);
  const rows = packed
    .flatMap(({ entries }) => JSON.parse(entries) as unknown[][])
    .sort((a, b) => Number(a[AT.ordinal]) - Number(b[AT.ordinal]))
    .map(rowsOf);
  return rows.map(({ event, look, reading, breakdown }) => ({
    id: event.id,
    kind: event.kind,
    date: event.date as PlainDate,
    recordedAt: event.recordedAt,
    ...(event.unitId === null ? {} : { unitId: event.unitId }),
    ...(event.partId === null ? {} : { partId: event.partId }),
    ...(event.itemId === null ? {} : { itemId: event.itemId }),
    ...(event.corrects === null ? {} : { corrects: event.corrects }),
    ...(event.runId === null ? {} : { runId: event.runId }),
    ...(event.visitId === null ? {} : { visitId: event.visitId }),
    ...(event.taskKey === null ? {} : { taskKey: event.taskKey }),
    ...(reading === null ? {} : { reading: readingOf(reading) }),
    ...(event.sign === null ? {} : { sign: event.sign }),
    ...(event.roomId === null ? {} : { roomId: event.roomId }),
    ...(event.seenBy === null ? {} : { seenBy: event.seenBy }),
    ...(breakdown === null ? {} : { breakdown: breakdownOf(breakdown) }),
    ...(event.words === null ? {} : { words: event.words }),
    ...(event.minutes === null ? {} : { minutes: event.minutes }),
    ...(event.costMinor === null ? {} : { costMinor: event.costMinor }),
    ...(event.until === null ? {} : { until: event.until as PlainDate }),
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

/** Everything recorded at a part, withdrawn or not, in the order it was recorded. */
export const listEventsOfPart = (db: Reader, partId: string): Promise<HistoryEvent[]> =>
  select(db, eq(events.partId, partId));

/** How many entries of all homes there are: the ordinal of the newest. */
export async function newestOrdinal(db: Reader): Promise<number> {
  const rows = await db.select({ top: max(events.ordinal) }).from(events);
  return rows[0]?.top ?? 0;
}

/** Everything recorded in a home after an ordinal, in the order it was recorded. */
export async function listEventsAfter(
  db: Reader,
  homeId: string,
  ordinal: number,
): Promise<HistoryEvent[]> {
  const found: HistoryEvent[][] = [];
  for (let after = ordinal, to = await lastTogether(db, after); to !== null;) {
    found.push(
      await select(
        db,
        // The plus keeps SQLite from walking through all entries of the home to find the few new ones.
        and(sql`+${events.homeId} = ${homeId}`, gt(events.ordinal, after), lte(events.ordinal, to)),
      ),
    );
    after = to;
    to = await lastTogether(db, after);
  }
  return found.flat();
}

/** The last of those that come together after an ordinal, however far apart they are; null where none does. */
async function lastTogether(db: Reader, after: number): Promise<number | null> {
  const next = db
    .select({ ordinal: events.ordinal })
    .from(events)
    .where(gt(events.ordinal, after))
    .orderBy(asc(events.ordinal))
    .limit(TOGETHER)
    .as("next");
  const rows = await db.select({ last: max(next.ordinal) }).from(next);
  return rows[0]?.last ?? null;
}

export async function findEvent(
  db: Reader,
  homeId: string,
  id: string,
): Promise<HistoryEvent | null> {
  return (await select(db, and(eq(events.id, id), eq(events.homeId, homeId))))[0] ?? null;
}

/** What was taken out of the record by hand and not written again, with what took it out. */
export async function listWithdrawn(
  db: Reader,
  homeId: string,
): Promise<{ event: HistoryEvent; withdrawal: HistoryEvent }[]> {
  const successor = alias(events, "successor");
  const withdrawals = await select(
    db,
    and(
      eq(events.homeId, homeId),
      eq(events.kind, "withdrawn"),
      isNull(events.runId),
      notExists(
        db.select({ id: successor.id }).from(successor).where(eq(successor.corrects, events.id)),
      ),
    ),
  );
  const gone = withdrawals.flatMap(({ corrects }) => corrects ?? []);
  const found = gone.length === 0 ? [] : await select(db, inArray(events.id, gone));
  return withdrawals.flatMap((withdrawal) => {
    const event = found.find(({ id }) => id === withdrawal.corrects);
    return event ? [{ event, withdrawal }] : [];
  });
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

const toRow = (homeId: string, event: HistoryEvent, ordinal: number) => ({
  id: event.id,
  ordinal,
  homeId,
  unitId: event.unitId,
  partId: event.partId,
  itemId: event.itemId,
  kind: event.kind,
  date: event.date,
  recordedAt: event.recordedAt,
  corrects: event.corrects,
  runId: event.runId,
  visitId: event.visitId,
  taskKey: event.taskKey,
  words: event.words,
  minutes: event.minutes,
  costMinor: event.costMinor,
  until: event.until,
  sign: event.sign,
  roomId: event.roomId,
  seenBy: event.seenBy,
});

/** SQLite takes a limited number of values in one statement. */
const ROWS_AT_ONCE = 200;

/** Adds to the history, in order; there is no way to change what is in it. */
export async function appendEvents(
  tx: Tx,
  homeId: string,
  list: readonly HistoryEvent[],
): Promise<void> {
  const top = await newestOrdinal(tx);
  for (let i = 0; i < list.length; i += ROWS_AT_ONCE) {
    const some = list.slice(i, i + ROWS_AT_ONCE);
    await tx.insert(events).values(some.map((event, j) => toRow(homeId, event, top + 1 + i + j)));
    const seen = some.flatMap(({ id, look }) =>
      look ? [{ eventId: id, grade: look.grade, pressureDropPa: look.pressureDropPa }] : [],
    );
    if (seen.length > 0) await tx.insert(looks).values(seen);
    const read = some.flatMap(({ id, reading }) => (reading ? [readingRow(id, reading)] : []));
    if (read.length > 0) await tx.insert(readings).values(read);
    const stopped = some.flatMap(({ id, breakdown }) =>
      breakdown ? [breakdownRow(id, breakdown)] : [],
    );
    if (stopped.length > 0) await tx.insert(breakdowns).values(stopped);
  }
}

export const appendEvent = (tx: Tx, homeId: string, event: HistoryEvent): Promise<void> =>
  appendEvents(tx, homeId, [event]);

/** Everything a run has written, withdrawals included, in the order it was recorded. */
export const listEventsOfRun = (db: Reader, runId: string): Promise<HistoryEvent[]> =>
  select(db, eq(events.runId, runId));

/** Undoes a withdrawal: the entry is written once more, pointing at what took it out. */
export async function writeAgain(
  tx: Tx,
  homeId: string,
  withdrawalId: string,
  at: Date,
): Promise<void> {
  const withdrawal = await findEvent(tx, homeId, withdrawalId);
  if (withdrawal?.kind !== "withdrawn" || !withdrawal.corrects) return;
  if (await findSuccessor(tx, withdrawalId)) return;
  const event = await findEvent(tx, homeId, withdrawal.corrects);
  if (!event) return;
  const again = { id: randomUUID(), recordedAt: at.toISOString(), corrects: withdrawalId };
  await appendEvent(tx, homeId, { ...event, ...again });
}
