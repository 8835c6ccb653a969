import { index, sqliteTable, text } from "drizzle-orm/sqlite-core";
import { homes } from "./homes";
import { parts } from "./parts";
import { units } from "./units";

/** A job that comes round: of a part, a unit or the home. Its occurrences are derived. */
export const tasks = sqliteTable(
  "tasks",
  {
    id: text("id").primaryKey(),
    homeId: text("home_id")
      .notNull()
      .references(() => homes.id, { onDelete: "restrict" }),
    unitId: text("unit_id").references(() => units.id, { onDelete: "restrict" }),
    partId: text("part_id").references(() => parts.id, { onDelete: "restrict" }),
    procedureId: text("procedure_id").notNull(),
    /** JSON: a cadence. */
    cadence: text("cadence").notNull(),
    /** JSON: ids of the tasks that are done with it. */
    alsoSatisfies: text("also_satisfies").notNull(),
    createdAt: text("created_at").notNull(),
  },
  (table) => [index("tasks_home").on(table.homeId), index("tasks_part").on(table.partId)],
);
