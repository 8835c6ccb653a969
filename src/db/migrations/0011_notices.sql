CREATE TABLE `home_notices` (
	`home_id` text NOT NULL,
	`kind` text NOT NULL,
	`read_at` text,
	PRIMARY KEY(`home_id`, `kind`),
	FOREIGN KEY (`home_id`) REFERENCES `homes`(`id`) ON UPDATE no action ON DELETE restrict
);
--> statement-breakpoint
INSERT INTO `home_notices` (`home_id`, `kind`) SELECT `id`, 'dates-anew' FROM `homes`;
