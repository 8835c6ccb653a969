CREATE TABLE `walk_stops` (
	`home_id` text NOT NULL,
	`stop` text NOT NULL,
	`typed` text,
	`seen_at` text,
	PRIMARY KEY(`home_id`, `stop`),
	FOREIGN KEY (`home_id`) REFERENCES `homes`(`id`) ON UPDATE no action ON DELETE restrict
);
--> statement-breakpoint
ALTER TABLE `photos` ADD `stop` text;--> statement-breakpoint
CREATE INDEX `photos_unit` ON `photos` (`unit_id`);