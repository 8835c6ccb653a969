CREATE TABLE `commands` (
	`id` text PRIMARY KEY NOT NULL,
	`digest` text NOT NULL,
	`answer` text NOT NULL,
	`done_at` text NOT NULL
);
