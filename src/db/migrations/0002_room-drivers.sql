PRAGMA foreign_keys=OFF;--> statement-breakpoint
CREATE TABLE `__new_drivers` (
	`id` text PRIMARY KEY NOT NULL,
	`home_id` text NOT NULL,
	`scope` text NOT NULL,
	`room_id` text,
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
	FOREIGN KEY (`room_id`) REFERENCES `rooms`(`id`) ON UPDATE no action ON DELETE restrict,
	FOREIGN KEY (`system_id`) REFERENCES `air_systems`(`id`) ON UPDATE no action ON DELETE restrict,
	FOREIGN KEY (`part_id`) REFERENCES `parts`(`id`) ON UPDATE no action ON DELETE restrict,
	CONSTRAINT "drivers_scope" CHECK(("__new_drivers"."scope" = 'room') = ("__new_drivers"."room_id" is not null)
        and ("__new_drivers"."scope" = 'system') = ("__new_drivers"."system_id" is not null)
        and ("__new_drivers"."scope" = 'part') = ("__new_drivers"."part_id" is not null)),
	CONSTRAINT "drivers_span" CHECK("__new_drivers"."from_on" is null or "__new_drivers"."to_on" is null or "__new_drivers"."from_on" <= "__new_drivers"."to_on")
);
--> statement-breakpoint
INSERT INTO `__new_drivers`("id", "home_id", "scope", "room_id", "system_id", "part_id", "kind", "count", "fraction", "from_on", "to_on", "label", "created_at", "deleted_at") SELECT "id", "home_id", "scope", "room_id", "system_id", "part_id", "kind", "count", "fraction", "from_on", "to_on", "label", "created_at", "deleted_at" FROM `drivers`;--> statement-breakpoint
DROP TABLE `drivers`;--> statement-breakpoint
ALTER TABLE `__new_drivers` RENAME TO `drivers`;--> statement-breakpoint
PRAGMA foreign_keys=ON;--> statement-breakpoint
CREATE INDEX `drivers_home` ON `drivers` (`home_id`);--> statement-breakpoint
ALTER TABLE `units` DROP COLUMN `make_model`;