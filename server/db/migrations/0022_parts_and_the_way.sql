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
	CONSTRAINT "run_events_kind" CHECK("__new_run_events"."kind" in ('ticked', 'ticked-along', 'unticked', 'skipped', 'counted', 'answered', 'not-looked', 'pulled-in', 'away', 'at-home', 'last-pass', 'finished'))
);
--> statement-breakpoint
INSERT INTO `__new_run_events`("fact_id", "run_id", "kind", "step_key", "reason", "count", "answer", "at") SELECT "fact_id", "run_id", "kind", "step_key", "reason", "count", "answer", "at" FROM `run_events`;--> statement-breakpoint
DROP TABLE `run_events`;--> statement-breakpoint
ALTER TABLE `__new_run_events` RENAME TO `run_events`;--> statement-breakpoint
PRAGMA foreign_keys=ON;--> statement-breakpoint
CREATE INDEX `events_of_run` ON `run_events` (`run_id`,`fact_id`);--> statement-breakpoint
CREATE INDEX `last_passes` ON `run_events` (`run_id`) WHERE kind = 'last-pass';--> statement-breakpoint
ALTER TABLE `conditions` ADD `alone` text;--> statement-breakpoint
ALTER TABLE `run_shares` ADD `alone` text;--> statement-breakpoint
ALTER TABLE `plays` ADD `alone` text;--> statement-breakpoint
CREATE INDEX `plays_alone` ON `plays` (`instrument_id`,`counts`,`wall_minute`) WHERE alone is not null;