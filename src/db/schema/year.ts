import { index, integer, primaryKey, sqliteTable, text } from "drizzle-orm/sqlite-core";
import { homes } from "./homes";

/** Who goes round in a home, and when. The keeper and the technician of a home are there once changed. */
export const people = sqliteTable(
  "people",
  {
    homeId: text("home_id")
      .notNull()
      .references(() => homes.id, { onDelete: "restrict" }),
    /** Unique in its home. */
    id: text("id").notNull(),
    name: text("name").notNull(),
    kind: text("kind", { enum: ["owner", "technician"] }).notNull(),
    /** JSON: days, minutes, and what is left to others. */
    days: text("days").notNull(),
    createdAt: text("created_at").notNull(),
    deletedAt: text("deleted_at"),
  },
  (table) => [primaryKey({ columns: [table.homeId, table.id] })],
);

/** A year in rounds: a draft until it is published; the newest published one is what counts. */
export const yearPlans = sqliteTable(
  "year_plans",
  {
    id: text("id").primaryKey(),
    homeId: text("home_id")
      .notNull()
      .references(() => homes.id, { onDelete: "restrict" }),
    madeOn: text("made_on").notNull(),
    horizonEnd: text("horizon_end").notNull(),
    /** JSON: each job with its days. */
    days: text("days").notNull(),
    /** Moves with each change of a draft: whoever changes one says which they saw. */
    version: integer("version").notNull().default(1),
    createdAt: text("created_at").notNull(),
    publishedAt: text("published_at"),
    discardedAt: text("discarded_at"),
  },
  (table) => [index("year_plans_home").on(table.homeId, table.publishedAt)],
);

/** A job that is to be done on a day, whatever a plan would rather. */
export const planPins = sqliteTable(
  "plan_pins",
  {
    id: text("id").primaryKey(),
    homeId: text("home_id")
      .notNull()
      .references(() => homes.id, { onDelete: "restrict" }),
    /** The name of the job: its place and its key. */
    taskId: text("task_id").notNull(),
    day: text("pinned_on").notNull(),
    createdAt: text("created_at").notNull(),
    deletedAt: text("deleted_at"),
  },
  (table) => [index("plan_pins_home").on(table.homeId)],
);

/** A round that the household was told of, or that somebody began. */
export const rounds = sqliteTable(
  "rounds",
  {
    id: text("id").primaryKey(),
    homeId: text("home_id")
      .notNull()
      .references(() => homes.id, { onDelete: "restrict" }),
    personId: text("person_id").notNull(),
    day: text("round_on").notNull(),
    announcedAt: text("announced_at"),
    startedAt: text("started_at"),
    endedAt: text("ended_at"),
    /** JSON: its jobs in the order in which they are led, once it is begun. */
    tasks: text("tasks").notNull().default("[]"),
    createdAt: text("created_at").notNull(),
  },
  (table) => [index("rounds_home").on(table.homeId, table.day)],
);
