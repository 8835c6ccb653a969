import { sql } from "drizzle-orm";
import {
  check,
  index,
  integer,
  real,
  sqliteTable,
  text,
  type AnySQLiteColumn,
} from "drizzle-orm/sqlite-core";
import { HISTORY_KINDS } from "@/core/history/history-event";
import { homes } from "./homes";
import { items, parts } from "./parts";
import { units } from "./units";

/**
 * What happened, append only. A correction is another event that points at the one it corrects and
 * takes its place; a withdrawal points at one and takes it away.
 */
export const events = sqliteTable(
  "events",
  {
    id: text("id").primaryKey(),
    ordinal: integer("ordinal").notNull().unique(),
    homeId: text("home_id")
      .notNull()
      .references(() => homes.id, { onDelete: "restrict" }),
    unitId: text("unit_id").references(() => units.id, { onDelete: "restrict" }),
    partId: text("part_id").references(() => parts.id, { onDelete: "restrict" }),
    itemId: text("item_id").references(() => items.id, { onDelete: "restrict" }),
    kind: text("kind", { enum: HISTORY_KINDS }).notNull(),
    date: text("happened_on").notNull(),
    recordedAt: text("recorded_at").notNull(),
    corrects: text("corrects_id").references((): AnySQLiteColumn => events.id, {
      onDelete: "restrict",
    }),
    runId: text("run_id"),
    /** The visit it belongs to. */
    visitId: text("visit_id"),
    /** Of what was done: which of the jobs of its place. */
    taskKey: text("task_key"),
    words: text("words"),
    minutes: integer("minutes"),
    costMinor: integer("cost_minor"),
    /** Of a deferred job: when to try again. */
    until: text("until_on"),
    /** What somebody of the household noticed, as `family:word`. */
    sign: text("sign"),
    /** The room it was noticed in. */
    roomId: text("room_id"),
    /** Who saw to what meant stop at its place; what was found stands in the words. */
    seenBy: text("seen_by"),
  },
  (table) => [
    index("events_part").on(table.partId, table.date),
    index("events_home").on(table.homeId, table.date),
    index("events_corrects").on(table.corrects),
    check("events_withdrawal", sql`${table.kind} <> 'withdrawn' or ${table.corrects} is not null`),
  ],
);

/** What is known of a machine that stopped: the detail of a breakdown event. */
export const breakdowns = sqliteTable("breakdowns", {
  eventId: text("event_id")
    .primaryKey()
    .references(() => events.id, { onDelete: "restrict" }),
  code: text("code"),
  found: text("found"),
  cause: text("cause"),
  daysWithout: integer("days_without"),
  /** What would have prevented it: the id of a job, or words. */
  preventedTask: text("prevented_task"),
  preventedWords: text("prevented_words"),
  /** The id of the job that follows. */
  follows: text("follows_task"),
});

/** How a filter was seen: the detail of a look event. */
export const looks = sqliteTable(
  "looks",
  {
    eventId: text("event_id")
      .primaryKey()
      .references(() => events.id, { onDelete: "restrict" }),
    grade: text("grade"),
    pressureDropPa: real("pressure_drop_pa"),
  },
  (table) => [
    check(
      "looks_something",
      sql`${table.grade} is not null or ${table.pressureDropPa} is not null`,
    ),
  ],
);

/** What was measured or seen: the detail of a reading event, as typed and in the unit it is judged in. */
export const readings = sqliteTable(
  "readings",
  {
    eventId: text("event_id")
      .primaryKey()
      .references(() => events.id, { onDelete: "restrict" }),
    kind: text("kind").notNull(),
    value: real("value"),
    word: text("word"),
    unit: text("unit"),
    typedValue: text("typed_value"),
    typedUnit: text("typed_unit"),
    /** JSON: rated value or band, limits, strategy, flags and mode it is judged by. */
    grounds: text("grounds").notNull().default("{}"),
    /** JSON: what it was read with, the weather outside, what ran and for how long. */
    conditions: text("conditions").notNull().default("{}"),
  },
  (table) => [index("readings_kind").on(table.kind)],
);
