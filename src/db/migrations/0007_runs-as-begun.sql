CREATE TABLE `photo_files` (
	`photo_id` text PRIMARY KEY NOT NULL,
	`bytes` blob NOT NULL,
	FOREIGN KEY (`photo_id`) REFERENCES `photos`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE TABLE `photos` (
	`id` text PRIMARY KEY NOT NULL,
	`home_id` text NOT NULL,
	`unit_id` text,
	`part_id` text,
	`run_id` text,
	`step` text,
	`moment` text,
	`mime` text NOT NULL,
	`width` integer,
	`height` integer,
	`byte_count` integer NOT NULL,
	`file_name` text,
	`added_at` text NOT NULL,
	`deleted_at` text,
	FOREIGN KEY (`home_id`) REFERENCES `homes`(`id`) ON UPDATE no action ON DELETE restrict,
	FOREIGN KEY (`unit_id`) REFERENCES `units`(`id`) ON UPDATE no action ON DELETE restrict,
	FOREIGN KEY (`part_id`) REFERENCES `parts`(`id`) ON UPDATE no action ON DELETE restrict,
	FOREIGN KEY (`run_id`) REFERENCES `runs`(`id`) ON UPDATE no action ON DELETE restrict
);
--> statement-breakpoint
CREATE INDEX `photos_run` ON `photos` (`run_id`);--> statement-breakpoint
CREATE INDEX `photos_home` ON `photos` (`home_id`,`added_at`);--> statement-breakpoint
ALTER TABLE `homes` ADD `local_rules` text;--> statement-breakpoint
ALTER TABLE `events` ADD `until_on` text;--> statement-breakpoint
ALTER TABLE `loose_end_entries` ADD `label` text;--> statement-breakpoint
ALTER TABLE `runs` ADD `procedure` text DEFAULT '{}' NOT NULL;--> statement-breakpoint
ALTER TABLE `runs` ADD `variant` text;--> statement-breakpoint
ALTER TABLE `runs` ADD `doer` text DEFAULT 'owner' NOT NULL;