ALTER TABLE `run_instruments` ADD `room_celsius` real DEFAULT 20 NOT NULL;--> statement-breakpoint
ALTER TABLE `run_instruments` ADD `thirst` real DEFAULT 1 NOT NULL;--> statement-breakpoint
UPDATE `run_instruments` SET `room_celsius` = (SELECT `room_celsius` FROM `runs` WHERE `runs`.`key` = `run_instruments`.`run_key`);--> statement-breakpoint
ALTER TABLE `plays` ADD `room_celsius` real;--> statement-breakpoint
ALTER TABLE `runs` DROP COLUMN `room_celsius`;