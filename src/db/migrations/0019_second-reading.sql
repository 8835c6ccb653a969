ALTER TABLE `homes` ADD `capacitor_strategy` text;--> statement-breakpoint
ALTER TABLE `filter_slots` ADD `across_mm` real;--> statement-breakpoint
ALTER TABLE `events` ADD `room_id` text;