CREATE TABLE `care_decisions` (
	`key` text PRIMARY KEY NOT NULL,
	`instrument_id` text NOT NULL,
	`item_id` text NOT NULL,
	`kind` text NOT NULL,
	`decided_on` text NOT NULL,
	`until` text,
	`logged_at` text NOT NULL,
	FOREIGN KEY (`instrument_id`) REFERENCES `instruments`(`id`) ON UPDATE no action ON DELETE no action,
	CONSTRAINT "care_decisions_kind" CHECK("care_decisions"."kind" in ('postponed', 'declined', 'resumed')),
	CONSTRAINT "care_decisions_until" CHECK(("care_decisions"."kind" = 'postponed') = ("care_decisions"."until" is not null))
);
--> statement-breakpoint
CREATE INDEX `decisions_of_item` ON `care_decisions` (`instrument_id`,`item_id`,`logged_at`);--> statement-breakpoint
CREATE TABLE `care_done` (
	`key` text PRIMARY KEY NOT NULL,
	`instrument_id` text NOT NULL,
	`item_id` text NOT NULL,
	`done_on` text NOT NULL,
	`done_at_minute` integer NOT NULL,
	`by` text NOT NULL,
	`source_key` text,
	`logged_at` text NOT NULL,
	FOREIGN KEY (`instrument_id`) REFERENCES `instruments`(`id`) ON UPDATE no action ON DELETE no action,
	CONSTRAINT "care_done_by" CHECK("care_done"."by" in ('player', 'bench')),
	CONSTRAINT "care_done_minute_of_day" CHECK("care_done"."done_at_minute" between 0 and 1439)
);
--> statement-breakpoint
CREATE INDEX `care_of_item` ON `care_done` (`instrument_id`,`item_id`,`done_on`,`done_at_minute`);--> statement-breakpoint
CREATE INDEX `care_of_source` ON `care_done` (`source_key`);--> statement-breakpoint
CREATE TABLE `signs_noticed` (
	`key` text PRIMARY KEY NOT NULL,
	`instrument_id` text NOT NULL,
	`item_id` text NOT NULL,
	`part` text NOT NULL,
	`noticed_on` text NOT NULL,
	`noticed_at_minute` integer NOT NULL,
	`source_key` text,
	`logged_at` text NOT NULL,
	FOREIGN KEY (`instrument_id`) REFERENCES `instruments`(`id`) ON UPDATE no action ON DELETE no action,
	CONSTRAINT "signs_minute_of_day" CHECK("signs_noticed"."noticed_at_minute" between 0 and 1439)
);
--> statement-breakpoint
CREATE INDEX `signs_of_item` ON `signs_noticed` (`instrument_id`,`item_id`,`noticed_on`,`noticed_at_minute`);--> statement-breakpoint
CREATE TABLE `wetness_resets` (
	`key` text PRIMARY KEY NOT NULL,
	`instrument_id` text NOT NULL,
	`at` text NOT NULL,
	FOREIGN KEY (`instrument_id`) REFERENCES `instruments`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `resets_of_instrument` ON `wetness_resets` (`instrument_id`,`at`);--> statement-breakpoint
CREATE TABLE `instruments` (
	`id` text PRIMARY KEY NOT NULL,
	`name` text NOT NULL,
	`kind` text NOT NULL,
	`build` text NOT NULL,
	`player_id` text NOT NULL,
	`acquired_on` text NOT NULL,
	`came_new` integer NOT NULL,
	`left_on` text,
	`added_at` text NOT NULL,
	FOREIGN KEY (`player_id`) REFERENCES `players`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `instruments_player` ON `instruments` (`player_id`);--> statement-breakpoint
CREATE TABLE `run_events` (
	`sequence` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`key` text NOT NULL,
	`run_key` text NOT NULL,
	`kind` text NOT NULL,
	`step_key` text,
	`reason` text,
	`count` integer,
	`answer` text,
	`at` text NOT NULL,
	FOREIGN KEY (`run_key`) REFERENCES `runs`(`key`) ON UPDATE no action ON DELETE no action,
	CONSTRAINT "run_events_kind" CHECK("run_events"."kind" in ('ticked', 'unticked', 'skipped', 'counted', 'answered', 'pulled-in', 'last-pass', 'finished'))
);
--> statement-breakpoint
CREATE UNIQUE INDEX `run_events_key_unique` ON `run_events` (`key`);--> statement-breakpoint
CREATE INDEX `events_of_run` ON `run_events` (`run_key`,`sequence`);--> statement-breakpoint
CREATE TABLE `run_instruments` (
	`run_key` text NOT NULL,
	`position` integer NOT NULL,
	`instrument_id` text NOT NULL,
	`play_key` text,
	`played_minutes` integer NOT NULL,
	PRIMARY KEY(`run_key`, `instrument_id`),
	FOREIGN KEY (`run_key`) REFERENCES `runs`(`key`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`instrument_id`) REFERENCES `instruments`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`play_key`) REFERENCES `plays`(`key`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `runs_of_instrument` ON `run_instruments` (`instrument_id`,`run_key`);--> statement-breakpoint
CREATE INDEX `runs_of_play` ON `run_instruments` (`play_key`);--> statement-breakpoint
CREATE TABLE `runs` (
	`key` text PRIMARY KEY NOT NULL,
	`player_id` text NOT NULL,
	`kind` text NOT NULL,
	`minutes_at_hand` real,
	`room_celsius` real NOT NULL,
	`plan` text NOT NULL,
	`started_on` text NOT NULL,
	`started_at_minute` integer NOT NULL,
	`started_at` text NOT NULL,
	FOREIGN KEY (`player_id`) REFERENCES `players`(`id`) ON UPDATE no action ON DELETE no action,
	CONSTRAINT "runs_kind" CHECK("runs"."kind" in ('before', 'after', 'care'))
);
--> statement-breakpoint
CREATE INDEX `runs_by_start` ON `runs` (`started_at`);--> statement-breakpoint
CREATE TABLE `players` (
	`id` text PRIMARY KEY NOT NULL,
	`name` text NOT NULL,
	`standing` text NOT NULL,
	`does` text NOT NULL,
	`added_at` text NOT NULL,
	CONSTRAINT "players_standing" CHECK("players"."standing" in ('grown-up', 'pupil', 'child'))
);
--> statement-breakpoint
CREATE TABLE `plays` (
	`key` text PRIMARY KEY NOT NULL,
	`instrument_id` text NOT NULL,
	`player_id` text NOT NULL,
	`ended_on` text NOT NULL,
	`ended_at_minute` integer,
	`minutes` integer NOT NULL,
	`wall_minute` integer GENERATED ALWAYS AS ((unixepoch(ended_on) / 60 + coalesce(ended_at_minute, 0))) STORED NOT NULL,
	`logged_at` text NOT NULL,
	FOREIGN KEY (`instrument_id`) REFERENCES `instruments`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`player_id`) REFERENCES `players`(`id`) ON UPDATE no action ON DELETE no action,
	CONSTRAINT "plays_minutes" CHECK("plays"."minutes" between 1 and 1440),
	CONSTRAINT "plays_minute_of_day" CHECK("plays"."ended_at_minute" between 0 and 1439)
);
--> statement-breakpoint
CREATE INDEX `plays_of_instrument` ON `plays` (`instrument_id`,`wall_minute`,`minutes`);--> statement-breakpoint
CREATE TABLE `withdrawals` (
	`key` text PRIMARY KEY NOT NULL,
	`target_key` text NOT NULL,
	`at` text NOT NULL
);
--> statement-breakpoint
CREATE UNIQUE INDEX `withdrawals_target_key_unique` ON `withdrawals` (`target_key`);