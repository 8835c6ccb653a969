import { primaryKey, sqliteTable, text } from "drizzle-orm/sqlite-core";
import { homes } from "./homes";

/** The stops of the first walk through a home that were begun or seen. */
export const walkStops = sqliteTable(
  "walk_stops",
  {
    homeId: text("home_id")
      .notNull()
      .references(() => homes.id, { onDelete: "restrict" }),
    /** The mains, a room or level by its id, the past, or the end (see `core/inventory/first-walk.ts`). */
    stop: text("stop").notNull(),
    /** JSON: what was typed there and not saved yet. */
    typed: text("typed"),
    seenAt: text("seen_at"),
  },
  (table) => [primaryKey({ columns: [table.homeId, table.stop] })],
);
