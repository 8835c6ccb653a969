PRAGMA foreign_keys=OFF;--> statement-breakpoint
CREATE TABLE `__new_runs` (
	`id` text PRIMARY KEY NOT NULL,
	`home_id` text NOT NULL,
	`unit_id` text,
	`part_id` text,
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
INSERT INTO `__new_runs`("id", "home_id", "unit_id", "part_id", "task_id", "procedure_id", "facts", "isolator", "started_at", "ended_at") SELECT "id", "home_id", "unit_id", "part_id", "task_id", "procedure_id", "facts", "isolator", "started_at", "ended_at" FROM `runs`;--> statement-breakpoint
DROP TABLE `runs`;--> statement-breakpoint
ALTER TABLE `__new_runs` RENAME TO `runs`;--> statement-breakpoint
PRAGMA foreign_keys=ON;--> statement-breakpoint
CREATE INDEX `runs_home` ON `runs` (`home_id`,`ended_at`);