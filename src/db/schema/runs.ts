import { index, integer, sqliteTable, text } from "drizzle-orm/sqlite-core";
import { QUALIFICATIONS } from "@/core/runs/qualification";
import { homes } from "./homes";
import { parts } from "./parts";
import { tasks } from "./tasks";
import { units } from "./units";

/** A job being done step by step. Where it stands is replayed from its events. */
export const runs = sqliteTable(
  "runs",
  {
    id: text("id").primaryKey(),
    homeId: text("home_id")
      .notNull()
      .references(() => homes.id, { onDelete: "restrict" }),
    /** None where a job goes through the whole house. */
    unitId: text("unit_id").references(() => units.id, { onDelete: "restrict" }),
    partId: text("part_id").references(() => parts.id, { onDelete: "restrict" }),
    taskId: text("task_id")
      .notNull()
      .references(() => tasks.id, { onDelete: "restrict" }),
    procedureId: text("procedure_id").notNull(),
    /** JSON: the procedure as it was when the run began, so that its steps stay the same. */
    procedure: text("procedure").notNull().default("{}"),
    /** JSON: what was known of the place at the start. */
    facts: text("facts").notNull(),
    variant: text("variant"),
    /** Who does it: what only a licensed person may do is theirs. */
    qualification: text("doer", { enum: QUALIFICATIONS }).notNull().default("owner"),
    isolator: text("isolator").notNull(),
    /** JSON: what an earlier season left parked there. */
    parked: text("parked").notNull().default("[]"),
    /** JSON: other machines behind the same shut-offs. */
    together: text("together").notNull().default("[]"),
    /** JSON: what it took over from the job before it in a round, and leaves to the one after. */
    inRound: text("in_round").notNull().default("{}"),
    startedAt: text("started_at").notNull(),
    endedAt: text("ended_at"),
    /** JSON: what the part learned from it, and what stood there before, for when it is taken back. */
    learned: text("learned"),
  },
  (table) => [index("runs_home").on(table.homeId, table.endedAt)],
);

/** Append only; identifiers are made on the device where it happened, so sending twice is harmless. */
export const runEvents = sqliteTable(
  "run_events",
  {
    id: text("id").primaryKey(),
    runId: text("run_id")
      .notNull()
      .references(() => runs.id, { onDelete: "restrict" }),
    ordinal: integer("ordinal").notNull(),
    at: text("at").notNull(),
    /** JSON: the core's run event. */
    event: text("event").notNull(),
  },
  (table) => [index("run_events_run").on(table.runId, table.ordinal)],
);

/** Ends that outlived their run, or that someone closed later; append only. */
export const looseEndEntries = sqliteTable(
  "loose_end_entries",
  {
    ordinal: integer("ordinal").primaryKey({ autoIncrement: true }),
    endId: text("end_id").notNull(),
    homeId: text("home_id")
      .notNull()
      .references(() => homes.id, { onDelete: "restrict" }),
    unitId: text("unit_id")
      .notNull()
      .references(() => units.id, { onDelete: "restrict" }),
    partId: text("part_id").references(() => parts.id, { onDelete: "restrict" }),
    end: text("end").notNull(),
    at: text("at").notNull(),
    action: text("action", { enum: ["open", "close", "park"] }).notNull(),
    readyAt: text("ready_at"),
    runId: text("run_id").references(() => runs.id, { onDelete: "restrict" }),
    /** What it is, in the words of its step: “core drying”. */
    label: text("label"),
    /** Why it stays open, in the words of whoever left it so. */
    words: text("words"),
  },
  (table) => [index("loose_end_entries_home").on(table.homeId)],
);
