CREATE TABLE `household_answers` (
	`home_id` text NOT NULL,
	`kind` text NOT NULL,
	`answered_at` text NOT NULL,
	PRIMARY KEY(`home_id`, `kind`),
	FOREIGN KEY (`home_id`) REFERENCES `homes`(`id`) ON UPDATE no action ON DELETE restrict
);
--> statement-breakpoint
CREATE TABLE `registers` (
	`id` text PRIMARY KEY NOT NULL,
	`room_id` text NOT NULL,
	`role` text NOT NULL,
	`place` text,
	`is_shut` integer NOT NULL,
	`created_at` text NOT NULL,
	`deleted_at` text,
	FOREIGN KEY (`room_id`) REFERENCES `rooms`(`id`) ON UPDATE no action ON DELETE restrict
);
--> statement-breakpoint
CREATE INDEX `registers_room` ON `registers` (`room_id`);--> statement-breakpoint
CREATE TABLE `rooms` (
	`id` text PRIMARY KEY NOT NULL,
	`home_id` text NOT NULL,
	`level_id` text NOT NULL,
	`name` text NOT NULL,
	`sleeps` integer NOT NULL,
	`created_at` text NOT NULL,
	`deleted_at` text,
	FOREIGN KEY (`home_id`) REFERENCES `homes`(`id`) ON UPDATE no action ON DELETE restrict,
	FOREIGN KEY (`level_id`) REFERENCES `levels`(`id`) ON UPDATE no action ON DELETE restrict
);
--> statement-breakpoint
CREATE INDEX `rooms_home` ON `rooms` (`home_id`);--> statement-breakpoint
CREATE TABLE `contacts` (
	`id` text PRIMARY KEY NOT NULL,
	`home_id` text NOT NULL,
	`name` text NOT NULL,
	`role` text NOT NULL,
	`phone` text,
	`email` text,
	`note` text,
	`created_at` text NOT NULL,
	`deleted_at` text,
	FOREIGN KEY (`home_id`) REFERENCES `homes`(`id`) ON UPDATE no action ON DELETE restrict
);
--> statement-breakpoint
CREATE INDEX `contacts_home` ON `contacts` (`home_id`);--> statement-breakpoint
CREATE TABLE `set_up_drafts` (
	`unit_id` text NOT NULL,
	`step` text NOT NULL,
	`typed` text NOT NULL,
	`saved_at` text NOT NULL,
	PRIMARY KEY(`unit_id`, `step`),
	FOREIGN KEY (`unit_id`) REFERENCES `units`(`id`) ON UPDATE no action ON DELETE restrict
);
--> statement-breakpoint
ALTER TABLE `homes` ADD `observed_version` integer DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE `air_systems` ADD `airflow_m3h` real;--> statement-breakpoint
ALTER TABLE `units` ADD `room_id` text REFERENCES rooms(id);--> statement-breakpoint
ALTER TABLE `units` ADD `make` text;--> statement-breakpoint
ALTER TABLE `units` ADD `model` text;--> statement-breakpoint
ALTER TABLE `units` ADD `serial` text;--> statement-breakpoint
ALTER TABLE `units` ADD `refrigerant` text;--> statement-breakpoint
ALTER TABLE `units` ADD `fitted_on` text;--> statement-breakpoint
ALTER TABLE `units` ADD `papers` text;--> statement-breakpoint
ALTER TABLE `units` ADD `warranty_ends_on` text;--> statement-breakpoint
ALTER TABLE `units` ADD `warranty_registered` integer;--> statement-breakpoint
ALTER TABLE `units` ADD `contact_id` text REFERENCES contacts(id);--> statement-breakpoint
ALTER TABLE `units` ADD `note` text;--> statement-breakpoint
ALTER TABLE `units` ADD `answers` text DEFAULT '{}' NOT NULL;--> statement-breakpoint
ALTER TABLE `units` ADD `set_up_step` text;--> statement-breakpoint
ALTER TABLE `units` ADD `retired_on` text;--> statement-breakpoint
ALTER TABLE `units` ADD `successor_id` text REFERENCES units(id);--> statement-breakpoint
ALTER TABLE `filter_slots` ADD `slot_place` text DEFAULT 'elsewhere' NOT NULL;--> statement-breakpoint
ALTER TABLE `filter_slots` ADD `cut_to_size` integer DEFAULT false NOT NULL;--> statement-breakpoint
ALTER TABLE `filter_slots` ADD `seat` text DEFAULT 'rail' NOT NULL;--> statement-breakpoint
ALTER TABLE `filter_slots` ADD `indicator_reset` text;--> statement-breakpoint
ALTER TABLE `filter_slots` ADD `clean_drop_pa` real;--> statement-breakpoint
ALTER TABLE `parts` ADD `room_id` text REFERENCES rooms(id);--> statement-breakpoint
ALTER TABLE `parts` ADD `note` text;--> statement-breakpoint
ALTER TABLE `parts` ADD `answers` text DEFAULT '{}' NOT NULL;--> statement-breakpoint
ALTER TABLE `drivers` ADD `room_id` text REFERENCES rooms(id);--> statement-breakpoint
UPDATE `units` SET `model` = `make_model`;
