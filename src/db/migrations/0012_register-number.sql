CREATE TABLE `register_number` (
	`id` integer PRIMARY KEY NOT NULL,
	`number` integer NOT NULL
);
--> statement-breakpoint
INSERT INTO `register_number` (`id`, `number`) VALUES (1, 1);
--> statement-breakpoint
CREATE TRIGGER `homes_insert_counted` AFTER INSERT ON `homes` BEGIN UPDATE `register_number` SET `number` = `number` + 1; END;
--> statement-breakpoint
CREATE TRIGGER `homes_update_counted` AFTER UPDATE ON `homes` BEGIN UPDATE `register_number` SET `number` = `number` + 1; END;
--> statement-breakpoint
CREATE TRIGGER `homes_delete_counted` AFTER DELETE ON `homes` BEGIN UPDATE `register_number` SET `number` = `number` + 1; END;
--> statement-breakpoint
CREATE TRIGGER `levels_insert_counted` AFTER INSERT ON `levels` BEGIN UPDATE `register_number` SET `number` = `number` + 1; END;
--> statement-breakpoint
CREATE TRIGGER `levels_update_counted` AFTER UPDATE ON `levels` BEGIN UPDATE `register_number` SET `number` = `number` + 1; END;
--> statement-breakpoint
CREATE TRIGGER `levels_delete_counted` AFTER DELETE ON `levels` BEGIN UPDATE `register_number` SET `number` = `number` + 1; END;
--> statement-breakpoint
CREATE TRIGGER `rooms_insert_counted` AFTER INSERT ON `rooms` BEGIN UPDATE `register_number` SET `number` = `number` + 1; END;
--> statement-breakpoint
CREATE TRIGGER `rooms_update_counted` AFTER UPDATE ON `rooms` BEGIN UPDATE `register_number` SET `number` = `number` + 1; END;
--> statement-breakpoint
CREATE TRIGGER `rooms_delete_counted` AFTER DELETE ON `rooms` BEGIN UPDATE `register_number` SET `number` = `number` + 1; END;
--> statement-breakpoint
CREATE TRIGGER `registers_insert_counted` AFTER INSERT ON `registers` BEGIN UPDATE `register_number` SET `number` = `number` + 1; END;
--> statement-breakpoint
CREATE TRIGGER `registers_update_counted` AFTER UPDATE ON `registers` BEGIN UPDATE `register_number` SET `number` = `number` + 1; END;
--> statement-breakpoint
CREATE TRIGGER `registers_delete_counted` AFTER DELETE ON `registers` BEGIN UPDATE `register_number` SET `number` = `number` + 1; END;
--> statement-breakpoint
CREATE TRIGGER `contacts_insert_counted` AFTER INSERT ON `contacts` BEGIN UPDATE `register_number` SET `number` = `number` + 1; END;
--> statement-breakpoint
CREATE TRIGGER `contacts_update_counted` AFTER UPDATE ON `contacts` BEGIN UPDATE `register_number` SET `number` = `number` + 1; END;
--> statement-breakpoint
CREATE TRIGGER `contacts_delete_counted` AFTER DELETE ON `contacts` BEGIN UPDATE `register_number` SET `number` = `number` + 1; END;
--> statement-breakpoint
CREATE TRIGGER `air_systems_insert_counted` AFTER INSERT ON `air_systems` BEGIN UPDATE `register_number` SET `number` = `number` + 1; END;
--> statement-breakpoint
CREATE TRIGGER `air_systems_update_counted` AFTER UPDATE ON `air_systems` BEGIN UPDATE `register_number` SET `number` = `number` + 1; END;
--> statement-breakpoint
CREATE TRIGGER `air_systems_delete_counted` AFTER DELETE ON `air_systems` BEGIN UPDATE `register_number` SET `number` = `number` + 1; END;
--> statement-breakpoint
CREATE TRIGGER `units_insert_counted` AFTER INSERT ON `units` BEGIN UPDATE `register_number` SET `number` = `number` + 1; END;
--> statement-breakpoint
CREATE TRIGGER `units_update_counted` AFTER UPDATE ON `units` BEGIN UPDATE `register_number` SET `number` = `number` + 1; END;
--> statement-breakpoint
CREATE TRIGGER `units_delete_counted` AFTER DELETE ON `units` BEGIN UPDATE `register_number` SET `number` = `number` + 1; END;
--> statement-breakpoint
CREATE TRIGGER `shut_offs_insert_counted` AFTER INSERT ON `shut_offs` BEGIN UPDATE `register_number` SET `number` = `number` + 1; END;
--> statement-breakpoint
CREATE TRIGGER `shut_offs_update_counted` AFTER UPDATE ON `shut_offs` BEGIN UPDATE `register_number` SET `number` = `number` + 1; END;
--> statement-breakpoint
CREATE TRIGGER `shut_offs_delete_counted` AFTER DELETE ON `shut_offs` BEGIN UPDATE `register_number` SET `number` = `number` + 1; END;
--> statement-breakpoint
CREATE TRIGGER `set_up_drafts_insert_counted` AFTER INSERT ON `set_up_drafts` BEGIN UPDATE `register_number` SET `number` = `number` + 1; END;
--> statement-breakpoint
CREATE TRIGGER `set_up_drafts_update_counted` AFTER UPDATE ON `set_up_drafts` BEGIN UPDATE `register_number` SET `number` = `number` + 1; END;
--> statement-breakpoint
CREATE TRIGGER `set_up_drafts_delete_counted` AFTER DELETE ON `set_up_drafts` BEGIN UPDATE `register_number` SET `number` = `number` + 1; END;
--> statement-breakpoint
CREATE TRIGGER `parts_insert_counted` AFTER INSERT ON `parts` BEGIN UPDATE `register_number` SET `number` = `number` + 1; END;
--> statement-breakpoint
CREATE TRIGGER `parts_update_counted` AFTER UPDATE ON `parts` BEGIN UPDATE `register_number` SET `number` = `number` + 1; END;
--> statement-breakpoint
CREATE TRIGGER `parts_delete_counted` AFTER DELETE ON `parts` BEGIN UPDATE `register_number` SET `number` = `number` + 1; END;
--> statement-breakpoint
CREATE TRIGGER `filter_slots_insert_counted` AFTER INSERT ON `filter_slots` BEGIN UPDATE `register_number` SET `number` = `number` + 1; END;
--> statement-breakpoint
CREATE TRIGGER `filter_slots_update_counted` AFTER UPDATE ON `filter_slots` BEGIN UPDATE `register_number` SET `number` = `number` + 1; END;
--> statement-breakpoint
CREATE TRIGGER `filter_slots_delete_counted` AFTER DELETE ON `filter_slots` BEGIN UPDATE `register_number` SET `number` = `number` + 1; END;
--> statement-breakpoint
CREATE TRIGGER `drivers_insert_counted` AFTER INSERT ON `drivers` BEGIN UPDATE `register_number` SET `number` = `number` + 1; END;
--> statement-breakpoint
CREATE TRIGGER `drivers_update_counted` AFTER UPDATE ON `drivers` BEGIN UPDATE `register_number` SET `number` = `number` + 1; END;
--> statement-breakpoint
CREATE TRIGGER `drivers_delete_counted` AFTER DELETE ON `drivers` BEGIN UPDATE `register_number` SET `number` = `number` + 1; END;
--> statement-breakpoint
CREATE TRIGGER `tasks_insert_counted` AFTER INSERT ON `tasks` BEGIN UPDATE `register_number` SET `number` = `number` + 1; END;
--> statement-breakpoint
CREATE TRIGGER `tasks_update_counted` AFTER UPDATE ON `tasks` BEGIN UPDATE `register_number` SET `number` = `number` + 1; END;
--> statement-breakpoint
CREATE TRIGGER `tasks_delete_counted` AFTER DELETE ON `tasks` BEGIN UPDATE `register_number` SET `number` = `number` + 1; END;
