CREATE TABLE `minders` (
	`fact_id` integer PRIMARY KEY NOT NULL,
	`player_id` text NOT NULL,
	`minder_id` text,
	FOREIGN KEY (`fact_id`) REFERENCES `facts`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`player_id`) REFERENCES `players`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`minder_id`) REFERENCES `players`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `minders_of_player` ON `minders` (`player_id`);--> statement-breakpoint
CREATE TABLE `run_ways` (
	`fact_id` integer PRIMARY KEY NOT NULL,
	`player_id` text NOT NULL,
	`way` text NOT NULL,
	FOREIGN KEY (`fact_id`) REFERENCES `facts`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`player_id`) REFERENCES `players`(`id`) ON UPDATE no action ON DELETE no action,
	CONSTRAINT "run_ways_way" CHECK("run_ways"."way" in ('guided', 'stretches', 'as-listed'))
);
--> statement-breakpoint
CREATE INDEX `run_ways_of_player` ON `run_ways` (`player_id`);--> statement-breakpoint
CREATE TABLE `evenings` (
	`fact_id` integer PRIMARY KEY NOT NULL,
	`player_id` text NOT NULL,
	`ended_on` text NOT NULL,
	`ended_at_minute` integer,
	`room_celsius` real,
	`plays` text NOT NULL,
	FOREIGN KEY (`fact_id`) REFERENCES `facts`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`player_id`) REFERENCES `players`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
PRAGMA foreign_keys=OFF;--> statement-breakpoint
CREATE TABLE `__new_run_events` (
	`fact_id` integer PRIMARY KEY NOT NULL,
	`run_id` integer NOT NULL,
	`kind` text NOT NULL,
	`step_key` text,
	`reason` text,
	`count` integer,
	`answer` text,
	`at` text,
	FOREIGN KEY (`fact_id`) REFERENCES `facts`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`run_id`) REFERENCES `facts`(`id`) ON UPDATE no action ON DELETE no action,
	CONSTRAINT "run_events_kind" CHECK("__new_run_events"."kind" in ('ticked', 'ticked-along', 'unticked', 'skipped', 'counted', 'answered', 'not-looked', 'pulled-in', 'last-pass', 'finished'))
);
--> statement-breakpoint
INSERT INTO `__new_run_events`("fact_id", "run_id", "kind", "step_key", "reason", "count", "answer", "at") SELECT "fact_id", "run_id", "kind", "step_key", "reason", "count", "answer", "at" FROM `run_events`;--> statement-breakpoint
DROP TABLE `run_events`;--> statement-breakpoint
ALTER TABLE `__new_run_events` RENAME TO `run_events`;--> statement-breakpoint
PRAGMA foreign_keys=ON;--> statement-breakpoint
CREATE INDEX `events_of_run` ON `run_events` (`run_id`,`fact_id`);--> statement-breakpoint
CREATE INDEX `last_passes` ON `run_events` (`run_id`) WHERE kind = 'last-pass';