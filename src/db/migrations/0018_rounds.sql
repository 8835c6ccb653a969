CREATE TABLE `people` (
	`home_id` text NOT NULL,
	`id` text NOT NULL,
	`name` text NOT NULL,
	`kind` text NOT NULL,
	`days` text NOT NULL,
	`created_at` text NOT NULL,
	`deleted_at` text,
	PRIMARY KEY(`home_id`, `id`),
	FOREIGN KEY (`home_id`) REFERENCES `homes`(`id`) ON UPDATE no action ON DELETE restrict
);
--> statement-breakpoint
CREATE TABLE `plan_pins` (
	`id` text PRIMARY KEY NOT NULL,
	`home_id` text NOT NULL,
	`task_id` text NOT NULL,
	`pinned_on` text NOT NULL,
	`created_at` text NOT NULL,
	`deleted_at` text,
	FOREIGN KEY (`home_id`) REFERENCES `homes`(`id`) ON UPDATE no action ON DELETE restrict
);
--> statement-breakpoint
CREATE INDEX `plan_pins_home` ON `plan_pins` (`home_id`);--> statement-breakpoint
CREATE TABLE `rounds` (
	`id` text PRIMARY KEY NOT NULL,
	`home_id` text NOT NULL,
	`person_id` text NOT NULL,
	`round_on` text NOT NULL,
	`announced_at` text,
	`started_at` text,
	`ended_at` text,
	`tasks` text DEFAULT '[]' NOT NULL,
	`created_at` text NOT NULL,
	FOREIGN KEY (`home_id`) REFERENCES `homes`(`id`) ON UPDATE no action ON DELETE restrict
);
--> statement-breakpoint
CREATE INDEX `rounds_home` ON `rounds` (`home_id`,`round_on`);--> statement-breakpoint
CREATE TABLE `year_plans` (
	`id` text PRIMARY KEY NOT NULL,
	`home_id` text NOT NULL,
	`made_on` text NOT NULL,
	`horizon_end` text NOT NULL,
	`days` text NOT NULL,
	`version` integer DEFAULT 1 NOT NULL,
	`created_at` text NOT NULL,
	`published_at` text,
	`discarded_at` text,
	FOREIGN KEY (`home_id`) REFERENCES `homes`(`id`) ON UPDATE no action ON DELETE restrict
);
--> statement-breakpoint
CREATE INDEX `year_plans_home` ON `year_plans` (`home_id`,`published_at`);--> statement-breakpoint
ALTER TABLE `runs` ADD `in_round` text DEFAULT '{}' NOT NULL;--> statement-breakpoint
CREATE TRIGGER `people_insert_counted` AFTER INSERT ON `people` BEGIN UPDATE `register_number` SET `number` = `number` + 1; END;
--> statement-breakpoint
CREATE TRIGGER `people_update_counted` AFTER UPDATE ON `people` BEGIN UPDATE `register_number` SET `number` = `number` + 1; END;
--> statement-breakpoint
CREATE TRIGGER `people_delete_counted` AFTER DELETE ON `people` BEGIN UPDATE `register_number` SET `number` = `number` + 1; END;
--> statement-breakpoint
CREATE TRIGGER `year_plans_insert_counted` AFTER INSERT ON `year_plans` BEGIN UPDATE `register_number` SET `number` = `number` + 1; END;
--> statement-breakpoint
CREATE TRIGGER `year_plans_update_counted` AFTER UPDATE ON `year_plans` BEGIN UPDATE `register_number` SET `number` = `number` + 1; END;
--> statement-breakpoint
CREATE TRIGGER `year_plans_delete_counted` AFTER DELETE ON `year_plans` BEGIN UPDATE `register_number` SET `number` = `number` + 1; END;
--> statement-breakpoint
CREATE TRIGGER `plan_pins_insert_counted` AFTER INSERT ON `plan_pins` BEGIN UPDATE `register_number` SET `number` = `number` + 1; END;
--> statement-breakpoint
CREATE TRIGGER `plan_pins_update_counted` AFTER UPDATE ON `plan_pins` BEGIN UPDATE `register_number` SET `number` = `number` + 1; END;
--> statement-breakpoint
CREATE TRIGGER `plan_pins_delete_counted` AFTER DELETE ON `plan_pins` BEGIN UPDATE `register_number` SET `number` = `number` + 1; END;
--> statement-breakpoint
CREATE TRIGGER `rounds_insert_counted` AFTER INSERT ON `rounds` BEGIN UPDATE `register_number` SET `number` = `number` + 1; END;
--> statement-breakpoint
CREATE TRIGGER `rounds_update_counted` AFTER UPDATE ON `rounds` BEGIN UPDATE `register_number` SET `number` = `number` + 1; END;
--> statement-breakpoint
CREATE TRIGGER `rounds_delete_counted` AFTER DELETE ON `rounds` BEGIN UPDATE `register_number` SET `number` = `number` + 1; END;