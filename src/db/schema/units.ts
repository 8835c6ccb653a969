import { sql } from "drizzle-orm";
import {
  check,
  index,
  integer,
  primaryKey,
  real,
  sqliteTable,
  text,
} from "drizzle-orm/sqlite-core";
import { homes, levels } from "./homes";

/** Machines that run together: a furnace with its coil and outdoor unit, a ventilator, a purifier. */
export const airSystems = sqliteTable(
  "air_systems",
  {
    id: text("id").primaryKey(),
    homeId: text("home_id")
      .notNull()
      .references(() => homes.id, { onDelete: "restrict" }),
    name: text("name").notNull(),
    ducted: integer("ducted", { mode: "boolean" }).notNull(),
    /** JSON: the core's equipment values. */
    equipment: text("equipment").notNull(),
  },
  (table) => [index("air_systems_home").on(table.homeId)],
);

/** Hours a day that a meter or thermostat really read. */
export const measuredHours = sqliteTable(
  "measured_hours",
  {
    systemId: text("system_id")
      .notNull()
      .references(() => airSystems.id, { onDelete: "restrict" }),
    date: text("measured_on").notNull(),
    runHours: real("run_hours").notNull(),
  },
  (table) => [
    primaryKey({ columns: [table.systemId, table.date] }),
    check("measured_hours_of_a_day", sql`${table.runHours} between 0 and 24`),
  ],
);

export const units = sqliteTable(
  "units",
  {
    id: text("id").primaryKey(),
    homeId: text("home_id")
      .notNull()
      .references(() => homes.id, { onDelete: "restrict" }),
    levelId: text("level_id")
      .notNull()
      .references(() => levels.id, { onDelete: "restrict" }),
    systemId: text("system_id")
      .notNull()
      .references(() => airSystems.id, { onDelete: "restrict" }),
    kind: text("kind").notNull(),
    name: text("name").notNull(),
    makeModel: text("make_model"),
    access: text("access"),
    createdAt: text("created_at").notNull(),
    deletedAt: text("deleted_at"),
  },
  (table) => [index("units_home").on(table.homeId)],
);

export const shutOffs = sqliteTable(
  "shut_offs",
  {
    id: text("id").primaryKey(),
    unitId: text("unit_id")
      .notNull()
      .references(() => units.id, { onDelete: "restrict" }),
    kind: text("kind").notNull(),
    place: text("place").notNull(),
    offPosition: text("off_position"),
    ordinal: integer("ordinal").notNull(),
  },
  (table) => [index("shut_offs_unit").on(table.unitId)],
);
