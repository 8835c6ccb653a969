ALTER TABLE `homes` ADD `mains` text DEFAULT '{}' NOT NULL;--> statement-breakpoint
ALTER TABLE `runs` ADD `learned` text;--> statement-breakpoint
UPDATE `loose_end_entries` SET `part_id` = NULL WHERE `end` IN ('switch-off', 'breaker-off', 'disconnect-out', 'gas-shut', 'valve-shut');--> statement-breakpoint
UPDATE `units` SET `answers` = json_set(`answers`, '$.reached', 'roof') WHERE `kind` = 'rooftop';--> statement-breakpoint
UPDATE `units` SET `answers` = json_set(`answers`, '$.reached', 'loft') WHERE `kind` <> 'rooftop' AND `level_id` IN (SELECT `id` FROM `levels` WHERE lower(`name`) LIKE '%loft%' OR lower(`name`) LIKE '%attic%' OR lower(`name`) LIKE '%crawl%');
