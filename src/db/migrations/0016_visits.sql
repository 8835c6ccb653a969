CREATE TABLE `findings` (
	`id` text PRIMARY KEY NOT NULL,
	`visit_id` text NOT NULL,
	`unit_id` text NOT NULL,
	`part_id` text,
	`words` text NOT NULL,
	`advice` text,
	`price_minor` integer,
	`decision` text DEFAULT 'open' NOT NULL,
	`until_on` text,
	`because` text,
	`settled_on` text,
	`created_at` text NOT NULL,
	`deleted_at` text,
	FOREIGN KEY (`visit_id`) REFERENCES `visits`(`id`) ON UPDATE no action ON DELETE restrict,
	FOREIGN KEY (`unit_id`) REFERENCES `units`(`id`) ON UPDATE no action ON DELETE restrict,
	FOREIGN KEY (`part_id`) REFERENCES `parts`(`id`) ON UPDATE no action ON DELETE restrict,
	CONSTRAINT "findings_words" CHECK(length(trim("findings"."words")) > 0)
);
--> statement-breakpoint
CREATE INDEX `findings_visit` ON `findings` (`visit_id`);--> statement-breakpoint
CREATE TABLE `instruments` (
	`id` text PRIMARY KEY NOT NULL,
	`home_id` text NOT NULL,
	`name` text NOT NULL,
	`note` text,
	`created_at` text NOT NULL,
	`deleted_at` text,
	FOREIGN KEY (`home_id`) REFERENCES `homes`(`id`) ON UPDATE no action ON DELETE restrict
);
--> statement-breakpoint
CREATE INDEX `instruments_home` ON `instruments` (`home_id`);--> statement-breakpoint
CREATE TABLE `visit_units` (
	`visit_id` text NOT NULL,
	`unit_id` text NOT NULL,
	`ordinal` integer NOT NULL,
	`typed` text,
	`seen_at` text,
	PRIMARY KEY(`visit_id`, `unit_id`),
	FOREIGN KEY (`visit_id`) REFERENCES `visits`(`id`) ON UPDATE no action ON DELETE restrict,
	FOREIGN KEY (`unit_id`) REFERENCES `units`(`id`) ON UPDATE no action ON DELETE restrict
);
--> statement-breakpoint
CREATE TABLE `visits` (
	`id` text PRIMARY KEY NOT NULL,
	`home_id` text NOT NULL,
	`contact_id` text,
	`reason` text NOT NULL,
	`visit_on` text,
	`questions` text,
	`began_at` text,
	`ended_at` text,
	`verdict` text,
	`words` text,
	`minutes` integer,
	`cost_minor` integer,
	`signed_by` text,
	`next_on` text,
	`typed` text,
	`created_at` text NOT NULL,
	`deleted_at` text,
	FOREIGN KEY (`home_id`) REFERENCES `homes`(`id`) ON UPDATE no action ON DELETE restrict,
	FOREIGN KEY (`contact_id`) REFERENCES `contacts`(`id`) ON UPDATE no action ON DELETE restrict
);
--> statement-breakpoint
CREATE INDEX `visits_home` ON `visits` (`home_id`);--> statement-breakpoint
ALTER TABLE `events` ADD `visit_id` text;--> statement-breakpoint
ALTER TABLE `readings` ADD `conditions` text DEFAULT '{}' NOT NULL;--> statement-breakpoint
ALTER TABLE `photos` ADD `visit_id` text REFERENCES visits(id);--> statement-breakpoint
ALTER TABLE `photos` ADD `finding_id` text REFERENCES findings(id);--> statement-breakpoint
CREATE INDEX `photos_visit` ON `photos` (`visit_id`);
--> statement-breakpoint
CREATE TRIGGER `instruments_insert_counted` AFTER INSERT ON `instruments` BEGIN UPDATE `register_number` SET `number` = `number` + 1; END;
--> statement-breakpoint
CREATE TRIGGER `instruments_update_counted` AFTER UPDATE ON `instruments` BEGIN UPDATE `register_number` SET `number` = `number` + 1; END;
--> statement-breakpoint
CREATE TRIGGER `instruments_delete_counted` AFTER DELETE ON `instruments` BEGIN UPDATE `register_number` SET `number` = `number` + 1; END;
--> statement-breakpoint
CREATE TRIGGER `visits_insert_counted` AFTER INSERT ON `visits` BEGIN UPDATE `register_number` SET `number` = `number` + 1; END;
--> statement-breakpoint
CREATE TRIGGER `visits_update_counted` AFTER UPDATE ON `visits` BEGIN UPDATE `register_number` SET `number` = `number` + 1; END;
--> statement-breakpoint
CREATE TRIGGER `visits_delete_counted` AFTER DELETE ON `visits` BEGIN UPDATE `register_number` SET `number` = `number` + 1; END;
--> statement-breakpoint
CREATE TRIGGER `visit_units_insert_counted` AFTER INSERT ON `visit_units` BEGIN UPDATE `register_number` SET `number` = `number` + 1; END;
--> statement-breakpoint
CREATE TRIGGER `visit_units_update_counted` AFTER UPDATE ON `visit_units` BEGIN UPDATE `register_number` SET `number` = `number` + 1; END;
--> statement-breakpoint
CREATE TRIGGER `visit_units_delete_counted` AFTER DELETE ON `visit_units` BEGIN UPDATE `register_number` SET `number` = `number` + 1; END;
--> statement-breakpoint
CREATE TRIGGER `findings_insert_counted` AFTER INSERT ON `findings` BEGIN UPDATE `register_number` SET `number` = `number` + 1; END;
--> statement-breakpoint
CREATE TRIGGER `findings_update_counted` AFTER UPDATE ON `findings` BEGIN UPDATE `register_number` SET `number` = `number` + 1; END;
--> statement-breakpoint
CREATE TRIGGER `findings_delete_counted` AFTER DELETE ON `findings` BEGIN UPDATE `register_number` SET `number` = `number` + 1; END;
