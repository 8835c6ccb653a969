PRAGMA foreign_keys=OFF;--> statement-breakpoint
CREATE TABLE `__new_filter_slots` (
	`part_id` text PRIMARY KEY NOT NULL,
	`slot_place` text DEFAULT 'elsewhere' NOT NULL,
	`media` text NOT NULL,
	`rating_scheme` text,
	`rating_class` text,
	`air_side` text NOT NULL,
	`filter_count` integer NOT NULL,
	`nominal_text` text,
	`nominal_unit` text,
	`nominal_width_mm` real,
	`nominal_height_mm` real,
	`nominal_depth_mm` real,
	`measured_text` text,
	`measured_width_mm` real,
	`measured_height_mm` real,
	`measured_depth_mm` real,
	`opening_text` text,
	`opening_width_mm` real,
	`opening_height_mm` real,
	`opening_depth_mm` real,
	`direction` text NOT NULL,
	`direction_mark` text,
	`cut_to_size` integer DEFAULT false NOT NULL,
	`seat` text DEFAULT 'rail' NOT NULL,
	`indicator` integer NOT NULL,
	`indicator_reset` text,
	`across_mm` real,
	`clean_drop_pa` real,
	`price_minor` integer,
	`base_hours` real,
	`max_age_days` integer,
	FOREIGN KEY (`part_id`) REFERENCES `parts`(`id`) ON UPDATE no action ON DELETE restrict,
	CONSTRAINT "filter_slots_count" CHECK("filter_count" >= 1),
	CONSTRAINT "filter_slots_size" CHECK("nominal_width_mm" > 0 and "nominal_height_mm" > 0)
);
--> statement-breakpoint
INSERT INTO `__new_filter_slots`("part_id", "slot_place", "media", "rating_scheme", "rating_class", "air_side", "filter_count", "nominal_text", "nominal_unit", "nominal_width_mm", "nominal_height_mm", "nominal_depth_mm", "measured_text", "measured_width_mm", "measured_height_mm", "measured_depth_mm", "opening_text", "opening_width_mm", "opening_height_mm", "opening_depth_mm", "direction", "direction_mark", "cut_to_size", "seat", "indicator", "indicator_reset", "across_mm", "clean_drop_pa", "price_minor", "base_hours", "max_age_days") SELECT "part_id", "slot_place", "media", "rating_scheme", "rating_class", "air_side", "filter_count", "nominal_text", "nominal_unit", "nominal_width_mm", "nominal_height_mm", "nominal_depth_mm", "measured_text", "measured_width_mm", "measured_height_mm", "measured_depth_mm", "opening_text", "opening_width_mm", "opening_height_mm", "opening_depth_mm", "direction", "direction_mark", "cut_to_size", "seat", "indicator", "indicator_reset", "across_mm", "clean_drop_pa", "price_minor", "base_hours", "max_age_days" FROM `filter_slots`;--> statement-breakpoint
-- What finds words in parts looks into this table: it is not to mind that it is gone for a moment.
PRAGMA legacy_alter_table=ON;--> statement-breakpoint
DROP TABLE `filter_slots`;--> statement-breakpoint
ALTER TABLE `__new_filter_slots` RENAME TO `filter_slots`;--> statement-breakpoint
PRAGMA legacy_alter_table=OFF;--> statement-breakpoint
PRAGMA foreign_keys=ON;--> statement-breakpoint
-- With the old table went what counts its changes.
CREATE TRIGGER `filter_slots_insert_counted` AFTER INSERT ON `filter_slots` BEGIN UPDATE `register_number` SET `number` = `number` + 1; END;
--> statement-breakpoint
CREATE TRIGGER `filter_slots_update_counted` AFTER UPDATE ON `filter_slots` BEGIN UPDATE `register_number` SET `number` = `number` + 1; END;
--> statement-breakpoint
CREATE TRIGGER `filter_slots_delete_counted` AFTER DELETE ON `filter_slots` BEGIN UPDATE `register_number` SET `number` = `number` + 1; END;
