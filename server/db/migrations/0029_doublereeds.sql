CREATE TABLE `reed_examinations` (
	`fact_id` integer PRIMARY KEY NOT NULL,
	`player_id` text NOT NULL,
	`reed_id` text NOT NULL,
	`way` text NOT NULL,
	`noticed` text NOT NULL,
	`soaked_minutes` integer NOT NULL,
	`interview_key` text,
	`interview_of` text,
	`at_ms` integer NOT NULL,
	FOREIGN KEY (`fact_id`) REFERENCES `facts`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`player_id`) REFERENCES `players`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`interview_of`) REFERENCES `instruments`(`id`) ON UPDATE no action ON DELETE no action,
	CONSTRAINT "reed_examinations_way" CHECK("reed_examinations"."way" in ('whole', 'quick'))
);
--> statement-breakpoint
CREATE INDEX `examinations_of_player` ON `reed_examinations` (`player_id`);--> statement-breakpoint
CREATE INDEX `examinations_of_reed` ON `reed_examinations` (`reed_id`);--> statement-breakpoint
CREATE INDEX `quick_examinations_of_player` ON `reed_examinations` (`player_id`,`fact_id`) WHERE way = 'quick';--> statement-breakpoint
CREATE TABLE `reed_crows` (
	`fact_id` integer PRIMARY KEY NOT NULL,
	`examination_key` text NOT NULL,
	`at_ms` integer NOT NULL,
	`heard` text NOT NULL,
	`cents` integer,
	`from` text NOT NULL,
	FOREIGN KEY (`fact_id`) REFERENCES `facts`(`id`) ON UPDATE no action ON DELETE no action,
	CONSTRAINT "reed_crows_from" CHECK("reed_crows"."from" in ('crow', 'instrument'))
);
--> statement-breakpoint
CREATE TABLE `reed_looks` (
	`fact_id` integer PRIMARY KEY NOT NULL,
	`examination_key` text NOT NULL,
	`at_ms` integer NOT NULL,
	`look` text NOT NULL,
	`answer` text NOT NULL,
	FOREIGN KEY (`fact_id`) REFERENCES `facts`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE TABLE `reed_steps` (
	`fact_id` integer PRIMARY KEY NOT NULL,
	`examination_key` text NOT NULL,
	`at_ms` integer NOT NULL,
	`player_id` text NOT NULL,
	`step` text NOT NULL,
	`tenths` integer NOT NULL,
	FOREIGN KEY (`fact_id`) REFERENCES `facts`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`player_id`) REFERENCES `players`(`id`) ON UPDATE no action ON DELETE no action,
	CONSTRAINT "reed_steps_step" CHECK("reed_steps"."step" in ('twist', 'close', 'open', 'clip')),
	CONSTRAINT "reed_steps_tenths" CHECK("reed_steps"."tenths" > 0)
);
--> statement-breakpoint
CREATE INDEX `clips_of_player` ON `reed_steps` (`player_id`,`fact_id`) WHERE step = 'clip';--> statement-breakpoint
ALTER TABLE `reed_boxes` ADD `scrape` text;--> statement-breakpoint
ALTER TABLE `reed_boxes` ADD `length_tenths` integer;--> statement-breakpoint
ALTER TABLE `reed_sayings` ADD `resistance` integer;--> statement-breakpoint
ALTER TABLE `reed_sayings` ADD `sits` text;--> statement-breakpoint
CREATE INDEX `reed_sayings_of_reed` ON `reed_sayings` (`reed_id`);