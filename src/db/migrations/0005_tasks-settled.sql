ALTER TABLE `tasks` DROP COLUMN `procedure_id`;--> statement-breakpoint
ALTER TABLE `tasks` DROP COLUMN `cadence`;--> statement-breakpoint
ALTER TABLE `tasks` DROP COLUMN `also_satisfies`;