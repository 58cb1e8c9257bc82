ALTER TABLE `events` ADD `at_minute` integer;--> statement-breakpoint
ALTER TABLE `events` ADD `minutes_of` text;--> statement-breakpoint
ALTER TABLE `events` ADD `repeats` text;