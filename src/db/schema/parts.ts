import { sql } from "drizzle-orm";
import { check, index, integer, real, sqliteTable, text } from "drizzle-orm/sqlite-core";
import { rooms } from "./rooms";
import { units } from "./units";

/** A lasting place in or beside a unit that gets serviced. */
export const parts = sqliteTable(
  "parts",
  {
    id: text("id").primaryKey(),
    unitId: text("unit_id")
      .notNull()
      .references(() => units.id, { onDelete: "restrict" }),
    kind: text("kind").notNull(),
    name: text("name").notNull(),
    place: text("place"),
    roomId: text("room_id").references(() => rooms.id, { onDelete: "restrict" }),
    note: text("note"),
    /** JSON: values of the attributes of its kind. */
    answers: text("answers").notNull().default("{}"),
    createdAt: text("created_at").notNull(),
    deletedAt: text("deleted_at"),
  },
  (table) => [index("parts_unit").on(table.unitId)],
);

export const filterSlots = sqliteTable(
  "filter_slots",
  {
    partId: text("part_id")
      .primaryKey()
      .references(() => parts.id, { onDelete: "restrict" }),
    slotPlace: text("slot_place").notNull().default("elsewhere"),
    media: text("media").notNull(),
    ratingScheme: text("rating_scheme"),
    ratingClass: text("rating_class"),
    airSide: text("air_side", { enum: ["recirculated", "outdoor", "extract"] }).notNull(),
    filterCount: integer("filter_count").notNull(),
    /** Sizes stand twice: as they were typed, and in mm. */
    /** None of them where nothing is printed on it, or nobody has read it yet. */
    nominalText: text("nominal_text"),
    nominalUnit: text("nominal_unit", { enum: ["in", "mm", "cm"] }),
    nominalWidthMm: real("nominal_width_mm"),
    nominalHeightMm: real("nominal_height_mm"),
    nominalDepthMm: real("nominal_depth_mm"),
    measuredText: text("measured_text"),
    measuredWidthMm: real("measured_width_mm"),
    measuredHeightMm: real("measured_height_mm"),
    measuredDepthMm: real("measured_depth_mm"),
    openingText: text("opening_text"),
    openingWidthMm: real("opening_width_mm"),
    openingHeightMm: real("opening_height_mm"),
    openingDepthMm: real("opening_depth_mm"),
    direction: text("direction").notNull(),
    directionMark: text("direction_mark"),
    cutToSize: integer("cut_to_size", { mode: "boolean" }).notNull().default(false),
    seat: text("seat", { enum: ["open", "rail", "gasket"] })
      .notNull()
      .default("rail"),
    indicator: integer("indicator", { mode: "boolean" }).notNull(),
    indicatorReset: text("indicator_reset"),
    /** How wide a cylinder is across, mm: what its wrap is cut by. */
    acrossMm: real("across_mm"),
    cleanDropPa: real("clean_drop_pa"),
    priceMinor: integer("price_minor"),
    baseHours: real("base_hours"),
    maxAgeDays: integer("max_age_days"),
  },
  (table) => [
    check("filter_slots_count", sql`${table.filterCount} >= 1`),
    check("filter_slots_size", sql`${table.nominalWidthMm} > 0 and ${table.nominalHeightMm} > 0`),
  ],
);

/** What sits in a part between two fit events: this very filter. */
export const items = sqliteTable(
  "items",
  {
    id: text("id").primaryKey(),
    partId: text("part_id")
      .notNull()
      .references(() => parts.id, { onDelete: "restrict" }),
    media: text("media").notNull(),
    ratingScheme: text("rating_scheme"),
    ratingClass: text("rating_class"),
    sizeText: text("size_text").notNull(),
    priceMinor: integer("price_minor"),
  },
  (table) => [index("items_part").on(table.partId)],
);
