import { sql } from "drizzle-orm";
import { check, index, integer, real, sqliteTable, text } from "drizzle-orm/sqlite-core";
import { homes } from "./homes";
import { parts } from "./parts";
import { rooms } from "./rooms";
import { airSystems } from "./units";

/** What makes filters load faster or slower: of the home, of one room, of one air system, or of one part. */
export const drivers = sqliteTable(
  "drivers",
  {
    id: text("id").primaryKey(),
    homeId: text("home_id")
      .notNull()
      .references(() => homes.id, { onDelete: "restrict" }),
    scope: text("scope", { enum: ["home", "room", "system", "part"] }).notNull(),
    roomId: text("room_id").references(() => rooms.id, { onDelete: "restrict" }),
    systemId: text("system_id").references(() => airSystems.id, { onDelete: "restrict" }),
    partId: text("part_id").references(() => parts.id, { onDelete: "restrict" }),
    kind: text("kind").notNull(),
    count: integer("count"),
    fraction: real("fraction"),
    from: text("from_on"),
    to: text("to_on"),
    /** The owner's own word for it: “clay dust”. */
    label: text("label"),
    createdAt: text("created_at").notNull(),
    deletedAt: text("deleted_at"),
  },
  (table) => [
    index("drivers_home").on(table.homeId),
    check(
      "drivers_scope",
      sql`(${table.scope} = 'room') = (${table.roomId} is not null)
        and (${table.scope} = 'system') = (${table.systemId} is not null)
        and (${table.scope} = 'part') = (${table.partId} is not null)`,
    ),
    check(
      "drivers_span",
      sql`${table.from} is null or ${table.to} is null or ${table.from} <= ${table.to}`,
    ),
  ],
);
