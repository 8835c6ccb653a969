import { index, integer, sqliteTable, text } from "drizzle-orm/sqlite-core";
import { homes } from "./homes";
import { parts } from "./parts";
import { runs } from "./runs";
import { units } from "./units";

/**
 * How things in a home are set when all is as it should be. Append only: the last row of a key at its
 * place counts, one without a value says that it is no longer kept.
 */
export const settings = sqliteTable(
  "settings",
  {
    ordinal: integer("ordinal").primaryKey({ autoIncrement: true }),
    id: text("id").notNull().unique(),
    homeId: text("home_id")
      .notNull()
      .references(() => homes.id, { onDelete: "restrict" }),
    unitId: text("unit_id").references(() => units.id, { onDelete: "restrict" }),
    partId: text("part_id").references(() => parts.id, { onDelete: "restrict" }),
    key: text("key").notNull(),
    label: text("label").notNull(),
    value: text("value"),
    notedOn: text("noted_on").notNull(),
    runId: text("run_id").references(() => runs.id, { onDelete: "restrict" }),
    createdAt: text("created_at").notNull(),
  },
  (table) => [index("settings_home").on(table.homeId)],
);
