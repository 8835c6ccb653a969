import { sql } from "drizzle-orm";
import { check, index, integer, primaryKey, sqliteTable, text } from "drizzle-orm/sqlite-core";
import { DECISIONS, VISIT_REASONS, VISIT_VERDICTS } from "@/core/visits/visit";
import { contacts } from "./contacts";
import { homes } from "./homes";
import { parts } from "./parts";
import { units } from "./units";

/** What readings are taken with. */
export const instruments = sqliteTable(
  "instruments",
  {
    id: text("id").primaryKey(),
    homeId: text("home_id")
      .notNull()
      .references(() => homes.id, { onDelete: "restrict" }),
    name: text("name").notNull(),
    note: text("note"),
    createdAt: text("created_at").notNull(),
    deletedAt: text("deleted_at"),
  },
  (table) => [index("instruments_home").on(table.homeId)],
);

/** A technician’s visit: planned, under way, or over. What was measured and done is in the record. */
export const visits = sqliteTable(
  "visits",
  {
    id: text("id").primaryKey(),
    homeId: text("home_id")
      .notNull()
      .references(() => homes.id, { onDelete: "restrict" }),
    contactId: text("contact_id").references(() => contacts.id, { onDelete: "restrict" }),
    reason: text("reason", { enum: VISIT_REASONS }).notNull(),
    /** The day it is planned for or was; null while no day was found. */
    visitDay: text("visit_on"),
    /** What the technician is to be asked, in the owner’s words. */
    questions: text("questions"),
    beganAt: text("began_at"),
    endedAt: text("ended_at"),
    verdict: text("verdict", { enum: VISIT_VERDICTS }),
    words: text("words"),
    minutes: integer("minutes"),
    costMinor: integer("cost_minor"),
    signedBy: text("signed_by"),
    nextOn: text("next_on"),
    /** JSON: what was typed at its end and not saved. */
    typed: text("typed"),
    createdAt: text("created_at").notNull(),
    deletedAt: text("deleted_at"),
  },
  (table) => [index("visits_home").on(table.homeId)],
);

export const visitUnits = sqliteTable(
  "visit_units",
  {
    visitId: text("visit_id")
      .notNull()
      .references(() => visits.id, { onDelete: "restrict" }),
    unitId: text("unit_id")
      .notNull()
      .references(() => units.id, { onDelete: "restrict" }),
    ordinal: integer("ordinal").notNull(),
    /** JSON: what was typed at its checks and not saved. */
    typed: text("typed"),
    /** When its checks were saved. */
    seenAt: text("seen_at"),
  },
  (table) => [primaryKey({ columns: [table.visitId, table.unitId] })],
);

/** What was found and advised on a visit, and what the owner decided. */
export const findings = sqliteTable(
  "findings",
  {
    id: text("id").primaryKey(),
    visitId: text("visit_id")
      .notNull()
      .references(() => visits.id, { onDelete: "restrict" }),
    unitId: text("unit_id")
      .notNull()
      .references(() => units.id, { onDelete: "restrict" }),
    partId: text("part_id").references(() => parts.id, { onDelete: "restrict" }),
    words: text("words").notNull(),
    advice: text("advice"),
    priceMinor: integer("price_minor"),
    decision: text("decision", { enum: DECISIONS }).notNull().default("open"),
    /** Of what is watched: until when. */
    until: text("until_on"),
    /** Why, in the owner’s words. */
    because: text("because"),
    /** The day it was put right. */
    settledOn: text("settled_on"),
    createdAt: text("created_at").notNull(),
    deletedAt: text("deleted_at"),
  },
  (table) => [
    index("findings_visit").on(table.visitId),
    check("findings_words", sql`length(trim(${table.words})) > 0`),
  ],
);
