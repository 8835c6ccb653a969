import { blob, index, integer, sqliteTable, text } from "drizzle-orm/sqlite-core";
import { PHOTO_MOMENTS } from "@/core/runs/run-event";
import { homes } from "./homes";
import { parts } from "./parts";
import { runs } from "./runs";
import { units } from "./units";
import { findings, visits } from "./visits";

/** A picture or paper; what it holds is kept apart, so that lists stay short to read. */
export const photos = sqliteTable(
  "photos",
  {
    id: text("id").primaryKey(),
    homeId: text("home_id")
      .notNull()
      .references(() => homes.id, { onDelete: "restrict" }),
    unitId: text("unit_id").references(() => units.id, { onDelete: "restrict" }),
    partId: text("part_id").references(() => parts.id, { onDelete: "restrict" }),
    runId: text("run_id").references(() => runs.id, { onDelete: "restrict" }),
    visitId: text("visit_id").references(() => visits.id, { onDelete: "restrict" }),
    findingId: text("finding_id").references(() => findings.id, { onDelete: "restrict" }),
    /** The stop of the first walk it was taken at. */
    stop: text("stop"),
    step: text("step"),
    moment: text("moment", { enum: PHOTO_MOMENTS }),
    mime: text("mime").notNull(),
    /** Pixels; null for a paper. */
    width: integer("width"),
    height: integer("height"),
    byteCount: integer("byte_count").notNull(),
    /** The name of the file it came from. */
    fileName: text("file_name"),
    addedAt: text("added_at").notNull(),
    deletedAt: text("deleted_at"),
  },
  (table) => [
    index("photos_run").on(table.runId),
    index("photos_home").on(table.homeId, table.addedAt),
    index("photos_unit").on(table.unitId),
    index("photos_visit").on(table.visitId),
  ],
);

export const photoFiles = sqliteTable("photo_files", {
  photoId: text("photo_id")
    .primaryKey()
    .references(() => photos.id, { onDelete: "cascade" }),
  bytes: blob("bytes", { mode: "buffer" }).notNull(),
});
