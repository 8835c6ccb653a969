CREATE TABLE `breakdowns` (
	`event_id` text PRIMARY KEY NOT NULL,
	`code` text,
	`found` text,
	`cause` text,
	`days_without` integer,
	`prevented_task` text,
	`prevented_words` text,
	`follows_task` text,
	FOREIGN KEY (`event_id`) REFERENCES `events`(`id`) ON UPDATE no action ON DELETE restrict
);
--> statement-breakpoint
ALTER TABLE `homes` ADD `hour_minor` integer;--> statement-breakpoint
ALTER TABLE `units` ADD `purchase_minor` integer;--> statement-breakpoint
ALTER TABLE `units` ADD `replacement_minor` integer;--> statement-breakpoint
ALTER TABLE `events` ADD `sign` text;