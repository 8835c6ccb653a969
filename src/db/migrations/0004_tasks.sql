CREATE TABLE `readings` (
	`event_id` text PRIMARY KEY NOT NULL,
	`kind` text NOT NULL,
	`value` real,
	`word` text,
	`unit` text,
	`typed_value` text,
	`typed_unit` text,
	`grounds` text DEFAULT '{}' NOT NULL,
	FOREIGN KEY (`event_id`) REFERENCES `events`(`id`) ON UPDATE no action ON DELETE restrict
);
--> statement-breakpoint
CREATE INDEX `readings_kind` ON `readings` (`kind`);--> statement-breakpoint
ALTER TABLE `tasks` ADD `task_key` text DEFAULT 'renew' NOT NULL;--> statement-breakpoint
ALTER TABLE `tasks` ADD `changes` text DEFAULT '{}' NOT NULL;--> statement-breakpoint
ALTER TABLE `events` ADD `task_key` text;