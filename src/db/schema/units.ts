import { sql } from "drizzle-orm";
import {
  check,
  index,
  integer,
  primaryKey,
  real,
  sqliteTable,
  text,
  type AnySQLiteColumn,
} from "drizzle-orm/sqlite-core";
import { contacts } from "./contacts";
import { homes, levels } from "./homes";
import { rooms } from "./rooms";

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
    /** What it moves when it runs. */
    airflowM3h: real("airflow_m3h"),
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
    roomId: text("room_id").references(() => rooms.id, { onDelete: "restrict" }),
    make: text("make"),
    model: text("model"),
    serial: text("serial"),
    refrigerant: text("refrigerant"),
    fittedOn: text("fitted_on"),
    papers: text("papers"),
    warrantyEndsOn: text("warranty_ends_on"),
    warrantyRegistered: integer("warranty_registered", { mode: "boolean" }),
    contactId: text("contact_id").references(() => contacts.id, { onDelete: "restrict" }),
    access: text("access"),
    note: text("note"),
    /** JSON: values of the attributes of its kind. */
    answers: text("answers").notNull().default("{}"),
    /** The step at which it was left half entered. */
    setUpStep: text("set_up_step"),
    /** What it cost, fitted; and what a new one would cost today. */
    purchaseMinor: integer("purchase_minor"),
    replacementMinor: integer("replacement_minor"),
    retiredOn: text("retired_on"),
    successorId: text("successor_id").references((): AnySQLiteColumn => units.id, {
      onDelete: "restrict",
    }),
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

/** What was typed at a step of entering a unit and not yet saved: as typed, right or wrong. */
export const setUpDrafts = sqliteTable(
  "set_up_drafts",
  {
    unitId: text("unit_id")
      .notNull()
      .references(() => units.id, { onDelete: "restrict" }),
    step: text("step").notNull(),
    /** JSON: the form's fields. */
    typed: text("typed").notNull(),
    savedAt: text("saved_at").notNull(),
  },
  (table) => [primaryKey({ columns: [table.unitId, table.step] })],
);
