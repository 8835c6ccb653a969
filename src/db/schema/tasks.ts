import { index, sqliteTable, text } from "drizzle-orm/sqlite-core";
import { homes } from "./homes";
import { parts } from "./parts";
import { units } from "./units";

/**
 * A job that somebody changed, made up or ran. The jobs themselves come with the kinds of parts and
 * units, and their occurrences are derived.
 */
export const tasks = sqliteTable(
  "tasks",
  {
    id: text("id").primaryKey(),
    homeId: text("home_id")
      .notNull()
      .references(() => homes.id, { onDelete: "restrict" }),
    unitId: text("unit_id").references(() => units.id, { onDelete: "restrict" }),
    partId: text("part_id").references(() => parts.id, { onDelete: "restrict" }),
    key: text("task_key").notNull().default("renew"),
    /** JSON: what was changed of its default. */
    changes: text("changes").notNull().default("{}"),
    createdAt: text("created_at").notNull(),
  },
  (table) => [index("tasks_home").on(table.homeId), index("tasks_part").on(table.partId)],
);
