import { index, sqliteTable, text } from "drizzle-orm/sqlite-core";
import { homes } from "./homes";

/** Procedures of a home’s own: copied from the library and changed, or written from a manual. */
export const ownProcedures = sqliteTable(
  "own_procedures",
  {
    id: text("id").primaryKey(),
    homeId: text("home_id")
      .notNull()
      .references(() => homes.id, { onDelete: "restrict" }),
    basedOn: text("based_on"),
    /** JSON: ids of the jobs it may do. */
    jobs: text("jobs").notNull().default("[]"),
    /** JSON: the core’s procedure. */
    procedure: text("procedure").notNull(),
    createdAt: text("created_at").notNull(),
    deletedAt: text("deleted_at"),
  },
  (table) => [index("own_procedures_home").on(table.homeId)],
);
