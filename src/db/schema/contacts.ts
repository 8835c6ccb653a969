import { index, sqliteTable, text } from "drizzle-orm/sqlite-core";
import { homes } from "./homes";

/** Whom one calls: the technician, the supplier, the gas emergency line. */
export const contacts = sqliteTable(
  "contacts",
  {
    id: text("id").primaryKey(),
    homeId: text("home_id")
      .notNull()
      .references(() => homes.id, { onDelete: "restrict" }),
    name: text("name").notNull(),
    role: text("role").notNull(),
    phone: text("phone"),
    email: text("email"),
    note: text("note"),
    createdAt: text("created_at").notNull(),
    deletedAt: text("deleted_at"),
  },
  (table) => [index("contacts_home").on(table.homeId)],
);
