import { index, integer, sqliteTable, text } from "drizzle-orm/sqlite-core";
import { homes, levels } from "./homes";

export const rooms = sqliteTable(
  "rooms",
  {
    id: text("id").primaryKey(),
    homeId: text("home_id")
      .notNull()
      .references(() => homes.id, { onDelete: "restrict" }),
    levelId: text("level_id")
      .notNull()
      .references(() => levels.id, { onDelete: "restrict" }),
    name: text("name").notNull(),
    /** Somebody sleeps in it. */
    sleeps: integer("sleeps", { mode: "boolean" }).notNull(),
    createdAt: text("created_at").notNull(),
    deletedAt: text("deleted_at"),
  },
  (table) => [index("rooms_home").on(table.homeId)],
);

/** Where air comes into a room or leaves it. */
export const registers = sqliteTable(
  "registers",
  {
    id: text("id").primaryKey(),
    roomId: text("room_id")
      .notNull()
      .references(() => rooms.id, { onDelete: "restrict" }),
    role: text("role", { enum: ["supply", "return"] }).notNull(),
    place: text("place"),
    isShut: integer("is_shut", { mode: "boolean" }).notNull(),
    createdAt: text("created_at").notNull(),
    deletedAt: text("deleted_at"),
  },
  (table) => [index("registers_room").on(table.roomId)],
);
