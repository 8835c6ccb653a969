CREATE TABLE `own_procedures` (
	`id` text PRIMARY KEY NOT NULL,
	`home_id` text NOT NULL,
	`based_on` text,
	`jobs` text DEFAULT '[]' NOT NULL,
	`procedure` text NOT NULL,
	`created_at` text NOT NULL,
	`deleted_at` text,
	FOREIGN KEY (`home_id`) REFERENCES `homes`(`id`) ON UPDATE no action ON DELETE restrict
);
--> statement-breakpoint
CREATE INDEX `own_procedures_home` ON `own_procedures` (`home_id`);
--> statement-breakpoint
CREATE TRIGGER `own_procedures_insert_counted` AFTER INSERT ON `own_procedures` BEGIN UPDATE `register_number` SET `number` = `number` + 1; END;
--> statement-breakpoint
CREATE TRIGGER `own_procedures_update_counted` AFTER UPDATE ON `own_procedures` BEGIN UPDATE `register_number` SET `number` = `number` + 1; END;
--> statement-breakpoint
CREATE TRIGGER `own_procedures_delete_counted` AFTER DELETE ON `own_procedures` BEGIN UPDATE `register_number` SET `number` = `number` + 1; END;
