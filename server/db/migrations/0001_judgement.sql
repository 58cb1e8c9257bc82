CREATE TABLE `condition_ends` (
	`key` text PRIMARY KEY NOT NULL,
	`condition_key` text NOT NULL,
	`ends_on` text NOT NULL,
	`logged_at` text NOT NULL,
	FOREIGN KEY (`condition_key`) REFERENCES `conditions`(`key`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `ends_of_condition` ON `condition_ends` (`condition_key`,`logged_at`);--> statement-breakpoint
CREATE TABLE `conditions` (
	`key` text PRIMARY KEY NOT NULL,
	`condition` text NOT NULL,
	`instrument_id` text,
	`player_id` text,
	`begins_on` text NOT NULL,
	`ends_on` text,
	`part` text,
	`celsius` real,
	`humidity_percent` real,
	`logged_at` text NOT NULL,
	FOREIGN KEY (`instrument_id`) REFERENCES `instruments`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`player_id`) REFERENCES `players`(`id`) ON UPDATE no action ON DELETE no action,
	CONSTRAINT "conditions_of_one" CHECK(("conditions"."instrument_id" is null) <> ("conditions"."player_id" is null)),
	CONSTRAINT "conditions_in_order" CHECK("conditions"."ends_on" is null or "conditions"."ends_on" >= "conditions"."begins_on")
);
--> statement-breakpoint
CREATE INDEX `conditions_of_instrument` ON `conditions` (`instrument_id`,`begins_on`);--> statement-breakpoint
CREATE INDEX `conditions_of_player` ON `conditions` (`player_id`,`begins_on`);--> statement-breakpoint
CREATE TABLE `school_choices` (
	`key` text PRIMARY KEY NOT NULL,
	`instrument_id` text NOT NULL,
	`school` text NOT NULL,
	`choice` text,
	`chosen_on` text NOT NULL,
	`source_key` text,
	`logged_at` text NOT NULL,
	FOREIGN KEY (`instrument_id`) REFERENCES `instruments`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `choices_of_instrument` ON `school_choices` (`instrument_id`,`logged_at`);--> statement-breakpoint
CREATE TABLE `school_sets` (
	`key` text PRIMARY KEY NOT NULL,
	`instrument_id` text NOT NULL,
	`name` text NOT NULL,
	`taken_on` text NOT NULL,
	`logged_at` text NOT NULL,
	FOREIGN KEY (`instrument_id`) REFERENCES `instruments`(`id`) ON UPDATE no action ON DELETE no action,
	CONSTRAINT "school_sets_name" CHECK(length("school_sets"."name") between 1 and 120)
);
--> statement-breakpoint
-- A new cork was a sign until now; it is a condition with a begin and an end. Its key stays, so what was taken back stays so.
INSERT INTO `conditions` (`key`, `condition`, `instrument_id`, `begins_on`, `part`, `logged_at`)
SELECT `key`, 'new-cork', `instrument_id`, `noticed_on`, `part`, `logged_at` FROM `signs_noticed`
WHERE `item_id` IN ('tenons/new-cork', 'saxophone/new-cork');
--> statement-breakpoint
DELETE FROM `signs_noticed` WHERE `item_id` IN ('tenons/new-cork', 'saxophone/new-cork');
