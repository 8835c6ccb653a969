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

export const homes = sqliteTable(
  "homes",
  {
    id: text("id").primaryKey(),
    name: text("name").notNull(),
    timeZone: text("time_zone").notNull(),
    unitSystem: text("unit_system", { enum: ["metric", "us"] }).notNull(),
    currency: text("currency").notNull(),
    /** JSON: twelve monthly means, °C, January first. */
    monthlyMeanC: text("monthly_mean_c").notNull(),
    heatingDesignC: real("heating_design_c").notNull(),
    coolingDesignMeanC: real("cooling_design_mean_c").notNull(),
    /** JSON: one daily range or twelve, K. */
    dailyRangeK: text("daily_range_k").notNull(),
    spreadK: real("spread_k").notNull(),
    /** What local rules ask for, in the words of whoever lives there. */
    localRules: text("local_rules"),
    /** JSON: where the whole house is shut off: its water, gas and power. */
    mains: text("mains").notNull().default("{}"),
    /** What an hour of the household’s own work is worth to it. */
    hourMinor: integer("hour_minor"),
    /** When a capacitor goes: “label” or “general”. */
    capacitorStrategy: text("capacitor_strategy"),
    /** Counts the writings of weather days and measured hours, so that a reader knows it is behind. */
    observedVersion: integer("observed_version").notNull().default(0),
    createdAt: text("created_at").notNull(),
    deletedAt: text("deleted_at"),
  },
  (table) => [check("homes_name", sql`length(trim(${table.name})) > 0`)],
);

export const levels = sqliteTable(
  "levels",
  {
    id: text("id").primaryKey(),
    homeId: text("home_id")
      .notNull()
      .references(() => homes.id, { onDelete: "restrict" }),
    name: text("name").notNull(),
    /** Storeys above the ground floor, cellars below 0. */
    storey: integer("storey").notNull(),
    place: text("place", { enum: ["inside", "outdoors", "outbuilding"] }).notNull(),
  },
  (table) => [index("levels_home").on(table.homeId)],
);

/** Daily means that were really measured. */
export const weatherDays = sqliteTable(
  "weather_days",
  {
    homeId: text("home_id")
      .notNull()
      .references(() => homes.id, { onDelete: "restrict" }),
    date: text("observed_on").notNull(),
    meanC: real("mean_c").notNull(),
  },
  (table) => [primaryKey({ columns: [table.homeId, table.date] })],
);

/** What a home is told once, on its Today: that its dates are worked out anew, say. */
export const homeNotices = sqliteTable(
  "home_notices",
  {
    homeId: text("home_id")
      .notNull()
      .references(() => homes.id, { onDelete: "restrict" }),
    kind: text("kind").notNull(),
    /** When somebody said that they have read it. */
    readAt: text("read_at"),
  },
  (table) => [primaryKey({ columns: [table.homeId, table.kind] })],
);

/** A question about the household that was asked and answered with no. */
export const householdAnswers = sqliteTable(
  "household_answers",
  {
    homeId: text("home_id")
      .notNull()
      .references(() => homes.id, { onDelete: "restrict" }),
    kind: text("kind").notNull(),
    answeredAt: text("answered_at").notNull(),
  },
  (table) => [primaryKey({ columns: [table.homeId, table.kind] })],
);

/**
 * One row, whose number goes up with every change to a home, its rooms, units, parts, systems, contacts,
 * drivers or tasks: triggers of the database see to it, whoever writes. Who holds a reading with the same
 * number need not read those again.
 */
export const registerNumber = sqliteTable("register_number", {
  id: integer("id").primaryKey(),
  number: integer("number").notNull(),
});
