CREATE TABLE `homes` (
	`id` text PRIMARY KEY NOT NULL,
	`name` text NOT NULL,
	`time_zone` text NOT NULL,
	`unit_system` text NOT NULL,
	`currency` text NOT NULL,
	`monthly_mean_c` text NOT NULL,
	`heating_design_c` real NOT NULL,
	`cooling_design_mean_c` real NOT NULL,
	`daily_range_k` text NOT NULL,
	`spread_k` real NOT NULL,
	`created_at` text NOT NULL,
	`deleted_at` text,
	CONSTRAINT "homes_name" CHECK(length(trim("homes"."name")) > 0)
);
--> statement-breakpoint
CREATE TABLE `levels` (
	`id` text PRIMARY KEY NOT NULL,
	`home_id` text NOT NULL,
	`name` text NOT NULL,
	`storey` integer NOT NULL,
	`place` text NOT NULL,
	FOREIGN KEY (`home_id`) REFERENCES `homes`(`id`) ON UPDATE no action ON DELETE restrict
);
--> statement-breakpoint
CREATE INDEX `levels_home` ON `levels` (`home_id`);--> statement-breakpoint
CREATE TABLE `weather_days` (
	`home_id` text NOT NULL,
	`observed_on` text NOT NULL,
	`mean_c` real NOT NULL,
	PRIMARY KEY(`home_id`, `observed_on`),
	FOREIGN KEY (`home_id`) REFERENCES `homes`(`id`) ON UPDATE no action ON DELETE restrict
);
--> statement-breakpoint
CREATE TABLE `air_systems` (
	`id` text PRIMARY KEY NOT NULL,
	`home_id` text NOT NULL,
	`name` text NOT NULL,
	`ducted` integer NOT NULL,
	`equipment` text NOT NULL,
	FOREIGN KEY (`home_id`) REFERENCES `homes`(`id`) ON UPDATE no action ON DELETE restrict
);
--> statement-breakpoint
CREATE INDEX `air_systems_home` ON `air_systems` (`home_id`);--> statement-breakpoint
CREATE TABLE `measured_hours` (
	`system_id` text NOT NULL,
	`measured_on` text NOT NULL,
	`run_hours` real NOT NULL,
	PRIMARY KEY(`system_id`, `measured_on`),
	FOREIGN KEY (`system_id`) REFERENCES `air_systems`(`id`) ON UPDATE no action ON DELETE restrict,
	CONSTRAINT "measured_hours_of_a_day" CHECK("measured_hours"."run_hours" between 0 and 24)
);
--> statement-breakpoint
CREATE TABLE `shut_offs` (
	`id` text PRIMARY KEY NOT NULL,
	`unit_id` text NOT NULL,
	`kind` text NOT NULL,
	`place` text NOT NULL,
	`off_position` text,
	`ordinal` integer NOT NULL,
	FOREIGN KEY (`unit_id`) REFERENCES `units`(`id`) ON UPDATE no action ON DELETE restrict
);
--> statement-breakpoint
CREATE INDEX `shut_offs_unit` ON `shut_offs` (`unit_id`);--> statement-breakpoint
CREATE TABLE `units` (
	`id` text PRIMARY KEY NOT NULL,
	`home_id` text NOT NULL,
	`level_id` text NOT NULL,
	`system_id` text NOT NULL,
	`kind` text NOT NULL,
	`name` text NOT NULL,
	`make_model` text,
	`access` text,
	`created_at` text NOT NULL,
	`deleted_at` text,
	FOREIGN KEY (`home_id`) REFERENCES `homes`(`id`) ON UPDATE no action ON DELETE restrict,
	FOREIGN KEY (`level_id`) REFERENCES `levels`(`id`) ON UPDATE no action ON DELETE restrict,
	FOREIGN KEY (`system_id`) REFERENCES `air_systems`(`id`) ON UPDATE no action ON DELETE restrict
);
--> statement-breakpoint
CREATE INDEX `units_home` ON `units` (`home_id`);--> statement-breakpoint
CREATE TABLE `filter_slots` (
	`part_id` text PRIMARY KEY NOT NULL,
	`media` text NOT NULL,
	`rating_scheme` text,
	`rating_class` text,
	`air_side` text NOT NULL,
	`filter_count` integer NOT NULL,
	`nominal_text` text NOT NULL,
	`nominal_unit` text NOT NULL,
	`nominal_width_mm` real NOT NULL,
	`nominal_height_mm` real NOT NULL,
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
	`indicator` integer NOT NULL,
	`price_minor` integer,
	`base_hours` real,
	`max_age_days` integer,
	FOREIGN KEY (`part_id`) REFERENCES `parts`(`id`) ON UPDATE no action ON DELETE restrict,
	CONSTRAINT "filter_slots_count" CHECK("filter_slots"."filter_count" >= 1),
	CONSTRAINT "filter_slots_size" CHECK("filter_slots"."nominal_width_mm" > 0 and "filter_slots"."nominal_height_mm" > 0)
);
--> statement-breakpoint
CREATE TABLE `items` (
	`id` text PRIMARY KEY NOT NULL,
	`part_id` text NOT NULL,
	`media` text NOT NULL,
	`rating_scheme` text,
	`rating_class` text,
	`size_text` text NOT NULL,
	`price_minor` integer,
	FOREIGN KEY (`part_id`) REFERENCES `parts`(`id`) ON UPDATE no action ON DELETE restrict
);
--> statement-breakpoint
CREATE INDEX `items_part` ON `items` (`part_id`);--> statement-breakpoint
CREATE TABLE `parts` (
	`id` text PRIMARY KEY NOT NULL,
	`unit_id` text NOT NULL,
	`kind` text NOT NULL,
	`name` text NOT NULL,
	`place` text,
	`created_at` text NOT NULL,
	`deleted_at` text,
	FOREIGN KEY (`unit_id`) REFERENCES `units`(`id`) ON UPDATE no action ON DELETE restrict
);
--> statement-breakpoint
CREATE INDEX `parts_unit` ON `parts` (`unit_id`);--> statement-breakpoint
CREATE TABLE `drivers` (
	`id` text PRIMARY KEY NOT NULL,
	`home_id` text NOT NULL,
	`scope` text NOT NULL,
	`system_id` text,
	`part_id` text,
	`kind` text NOT NULL,
	`count` integer,
	`fraction` real,
	`from_on` text,
	`to_on` text,
	`label` text,
	`created_at` text NOT NULL,
	`deleted_at` text,
	FOREIGN KEY (`home_id`) REFERENCES `homes`(`id`) ON UPDATE no action ON DELETE restrict,
	FOREIGN KEY (`system_id`) REFERENCES `air_systems`(`id`) ON UPDATE no action ON DELETE restrict,
	FOREIGN KEY (`part_id`) REFERENCES `parts`(`id`) ON UPDATE no action ON DELETE restrict,
	CONSTRAINT "drivers_scope" CHECK(("drivers"."scope" = 'home' and "drivers"."system_id" is null and "drivers"."part_id" is null)
        or ("drivers"."scope" = 'system' and "drivers"."system_id" is not null and "drivers"."part_id" is null)
        or ("drivers"."scope" = 'part' and "drivers"."part_id" is not null and "drivers"."system_id" is null)),
	CONSTRAINT "drivers_span" CHECK("drivers"."from_on" is null or "drivers"."to_on" is null or "drivers"."from_on" <= "drivers"."to_on")
);
--> statement-breakpoint
CREATE INDEX `drivers_home` ON `drivers` (`home_id`);--> statement-breakpoint
CREATE TABLE `tasks` (
	`id` text PRIMARY KEY NOT NULL,
	`home_id` text NOT NULL,
	`unit_id` text,
	`part_id` text,
	`procedure_id` text NOT NULL,
	`cadence` text NOT NULL,
	`also_satisfies` text NOT NULL,
	`created_at` text NOT NULL,
	FOREIGN KEY (`home_id`) REFERENCES `homes`(`id`) ON UPDATE no action ON DELETE restrict,
	FOREIGN KEY (`unit_id`) REFERENCES `units`(`id`) ON UPDATE no action ON DELETE restrict,
	FOREIGN KEY (`part_id`) REFERENCES `parts`(`id`) ON UPDATE no action ON DELETE restrict
);
--> statement-breakpoint
CREATE INDEX `tasks_home` ON `tasks` (`home_id`);--> statement-breakpoint
CREATE INDEX `tasks_part` ON `tasks` (`part_id`);--> statement-breakpoint
CREATE TABLE `events` (
	`id` text PRIMARY KEY NOT NULL,
	`ordinal` integer NOT NULL,
	`home_id` text NOT NULL,
	`unit_id` text,
	`part_id` text,
	`item_id` text,
	`kind` text NOT NULL,
	`happened_on` text NOT NULL,
	`recorded_at` text NOT NULL,
	`corrects_id` text,
	`run_id` text,
	`words` text,
	`minutes` integer,
	`cost_minor` integer,
	FOREIGN KEY (`home_id`) REFERENCES `homes`(`id`) ON UPDATE no action ON DELETE restrict,
	FOREIGN KEY (`unit_id`) REFERENCES `units`(`id`) ON UPDATE no action ON DELETE restrict,
	FOREIGN KEY (`part_id`) REFERENCES `parts`(`id`) ON UPDATE no action ON DELETE restrict,
	FOREIGN KEY (`item_id`) REFERENCES `items`(`id`) ON UPDATE no action ON DELETE restrict,
	FOREIGN KEY (`corrects_id`) REFERENCES `events`(`id`) ON UPDATE no action ON DELETE restrict,
	CONSTRAINT "events_withdrawal" CHECK("events"."kind" <> 'withdrawn' or "events"."corrects_id" is not null)
);
--> statement-breakpoint
CREATE UNIQUE INDEX `events_ordinal_unique` ON `events` (`ordinal`);--> statement-breakpoint
CREATE INDEX `events_part` ON `events` (`part_id`,`happened_on`);--> statement-breakpoint
CREATE INDEX `events_home` ON `events` (`home_id`,`happened_on`);--> statement-breakpoint
CREATE INDEX `events_corrects` ON `events` (`corrects_id`);--> statement-breakpoint
CREATE TABLE `looks` (
	`event_id` text PRIMARY KEY NOT NULL,
	`grade` text,
	`pressure_drop_pa` real,
	FOREIGN KEY (`event_id`) REFERENCES `events`(`id`) ON UPDATE no action ON DELETE restrict,
	CONSTRAINT "looks_something" CHECK("looks"."grade" is not null or "looks"."pressure_drop_pa" is not null)
);
--> statement-breakpoint
CREATE TABLE `loose_end_entries` (
	`ordinal` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`end_id` text NOT NULL,
	`home_id` text NOT NULL,
	`unit_id` text NOT NULL,
	`part_id` text,
	`end` text NOT NULL,
	`at` text NOT NULL,
	`action` text NOT NULL,
	`ready_at` text,
	`run_id` text,
	`words` text,
	FOREIGN KEY (`home_id`) REFERENCES `homes`(`id`) ON UPDATE no action ON DELETE restrict,
	FOREIGN KEY (`unit_id`) REFERENCES `units`(`id`) ON UPDATE no action ON DELETE restrict,
	FOREIGN KEY (`part_id`) REFERENCES `parts`(`id`) ON UPDATE no action ON DELETE restrict,
	FOREIGN KEY (`run_id`) REFERENCES `runs`(`id`) ON UPDATE no action ON DELETE restrict
);
--> statement-breakpoint
CREATE INDEX `loose_end_entries_home` ON `loose_end_entries` (`home_id`);--> statement-breakpoint
CREATE TABLE `run_events` (
	`id` text PRIMARY KEY NOT NULL,
	`run_id` text NOT NULL,
	`ordinal` integer NOT NULL,
	`at` text NOT NULL,
	`event` text NOT NULL,
	FOREIGN KEY (`run_id`) REFERENCES `runs`(`id`) ON UPDATE no action ON DELETE restrict
);
--> statement-breakpoint
CREATE INDEX `run_events_run` ON `run_events` (`run_id`,`ordinal`);--> statement-breakpoint
CREATE TABLE `runs` (
	`id` text PRIMARY KEY NOT NULL,
	`home_id` text NOT NULL,
	`unit_id` text NOT NULL,
	`part_id` text NOT NULL,
	`task_id` text NOT NULL,
	`procedure_id` text NOT NULL,
	`facts` text NOT NULL,
	`isolator` text NOT NULL,
	`started_at` text NOT NULL,
	`ended_at` text,
	FOREIGN KEY (`home_id`) REFERENCES `homes`(`id`) ON UPDATE no action ON DELETE restrict,
	FOREIGN KEY (`unit_id`) REFERENCES `units`(`id`) ON UPDATE no action ON DELETE restrict,
	FOREIGN KEY (`part_id`) REFERENCES `parts`(`id`) ON UPDATE no action ON DELETE restrict,
	FOREIGN KEY (`task_id`) REFERENCES `tasks`(`id`) ON UPDATE no action ON DELETE restrict
);
--> statement-breakpoint
CREATE INDEX `runs_home` ON `runs` (`home_id`,`ended_at`);