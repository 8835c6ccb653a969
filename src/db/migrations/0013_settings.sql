CREATE TABLE `settings` (
	`ordinal` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`id` text NOT NULL,
	`home_id` text NOT NULL,
	`unit_id` text,
	`part_id` text,
	`key` text NOT NULL,
	`label` text NOT NULL,
	`value` text,
	`noted_on` text NOT NULL,
	`run_id` text,
	`created_at` text NOT NULL,
	FOREIGN KEY (`home_id`) REFERENCES `homes`(`id`) ON UPDATE no action ON DELETE restrict,
	FOREIGN KEY (`unit_id`) REFERENCES `units`(`id`) ON UPDATE no action ON DELETE restrict,
	FOREIGN KEY (`part_id`) REFERENCES `parts`(`id`) ON UPDATE no action ON DELETE restrict,
	FOREIGN KEY (`run_id`) REFERENCES `runs`(`id`) ON UPDATE no action ON DELETE restrict
);
--> statement-breakpoint
CREATE UNIQUE INDEX `settings_id_unique` ON `settings` (`id`);--> statement-breakpoint
CREATE INDEX `settings_home` ON `settings` (`home_id`);--> statement-breakpoint
ALTER TABLE `runs` ADD `parked` text DEFAULT '[]' NOT NULL;--> statement-breakpoint
ALTER TABLE `runs` ADD `together` text DEFAULT '[]' NOT NULL;
--> statement-breakpoint
CREATE TRIGGER `settings_insert_counted` AFTER INSERT ON `settings` BEGIN UPDATE `register_number` SET `number` = `number` + 1; END;
--> statement-breakpoint
CREATE TRIGGER `settings_update_counted` AFTER UPDATE ON `settings` BEGIN UPDATE `register_number` SET `number` = `number` + 1; END;
--> statement-breakpoint
CREATE TRIGGER `settings_delete_counted` AFTER DELETE ON `settings` BEGIN UPDATE `register_number` SET `number` = `number` + 1; END;
