-- One record: every fact has a row in the spine and a body of its own. What was stored under a key keeps it, counts as it did, and
-- keeps what it says. The tables of before are moved aside, read once, and dropped.
DROP INDEX `decisions_of_item`;
--> statement-breakpoint
DROP INDEX `care_of_item`;
--> statement-breakpoint
DROP INDEX `care_of_source`;
--> statement-breakpoint
DROP INDEX `signs_of_item`;
--> statement-breakpoint
DROP INDEX `resets_of_instrument`;
--> statement-breakpoint
DROP INDEX `instruments_player`;
--> statement-breakpoint
DROP INDEX `run_events_key_unique`;
--> statement-breakpoint
DROP INDEX `events_of_run`;
--> statement-breakpoint
DROP INDEX `runs_of_instrument`;
--> statement-breakpoint
DROP INDEX `runs_of_play`;
--> statement-breakpoint
DROP INDEX `runs_by_start`;
--> statement-breakpoint
DROP INDEX `plays_of_instrument`;
--> statement-breakpoint
DROP INDEX `withdrawals_target_key_unique`;
--> statement-breakpoint
DROP INDEX `ends_of_condition`;
--> statement-breakpoint
DROP INDEX `conditions_of_instrument`;
--> statement-breakpoint
DROP INDEX `conditions_of_player`;
--> statement-breakpoint
DROP INDEX `choices_of_instrument`;
--> statement-breakpoint
ALTER TABLE `players` RENAME TO `old_players`;
--> statement-breakpoint
ALTER TABLE `instruments` RENAME TO `old_instruments`;
--> statement-breakpoint
ALTER TABLE `plays` RENAME TO `old_plays`;
--> statement-breakpoint
ALTER TABLE `runs` RENAME TO `old_runs`;
--> statement-breakpoint
ALTER TABLE `run_instruments` RENAME TO `old_run_instruments`;
--> statement-breakpoint
ALTER TABLE `run_events` RENAME TO `old_run_events`;
--> statement-breakpoint
ALTER TABLE `care_done` RENAME TO `old_care_done`;
--> statement-breakpoint
ALTER TABLE `signs_noticed` RENAME TO `old_signs_noticed`;
--> statement-breakpoint
ALTER TABLE `care_decisions` RENAME TO `old_care_decisions`;
--> statement-breakpoint
ALTER TABLE `wetness_resets` RENAME TO `old_wetness_resets`;
--> statement-breakpoint
ALTER TABLE `withdrawals` RENAME TO `old_withdrawals`;
--> statement-breakpoint
ALTER TABLE `school_choices` RENAME TO `old_school_choices`;
--> statement-breakpoint
ALTER TABLE `school_sets` RENAME TO `old_school_sets`;
--> statement-breakpoint
ALTER TABLE `conditions` RENAME TO `old_conditions`;
--> statement-breakpoint
ALTER TABLE `condition_ends` RENAME TO `old_condition_ends`;
--> statement-breakpoint
CREATE TABLE `care_decisions` (
	`fact_id` integer PRIMARY KEY NOT NULL,
	`instrument_id` text NOT NULL,
	`item_id` text NOT NULL,
	`kind` text NOT NULL,
	`until` text,
	FOREIGN KEY (`fact_id`) REFERENCES `facts`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`instrument_id`) REFERENCES `instruments`(`id`) ON UPDATE no action ON DELETE no action,
	CONSTRAINT "care_decisions_kind" CHECK("care_decisions"."kind" in ('postponed', 'declined', 'resumed')),
	CONSTRAINT "care_decisions_until" CHECK(("care_decisions"."kind" = 'postponed') = ("care_decisions"."until" is not null))
);
--> statement-breakpoint
CREATE INDEX `decisions_of_instrument` ON `care_decisions` (`instrument_id`);
--> statement-breakpoint
CREATE TABLE `care_done` (
	`fact_id` integer PRIMARY KEY NOT NULL,
	`instrument_id` text NOT NULL,
	`item_id` text NOT NULL,
	`by` text NOT NULL,
	`wall_minute` integer NOT NULL,
	`counts` integer DEFAULT true NOT NULL,
	FOREIGN KEY (`fact_id`) REFERENCES `facts`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`instrument_id`) REFERENCES `instruments`(`id`) ON UPDATE no action ON DELETE no action,
	CONSTRAINT "care_done_by" CHECK("care_done"."by" in ('player', 'bench'))
);
--> statement-breakpoint
CREATE INDEX `care_of_item` ON `care_done` (`instrument_id`,`item_id`,`counts`,`wall_minute`,`by`);
--> statement-breakpoint
CREATE TABLE `signs_noticed` (
	`fact_id` integer PRIMARY KEY NOT NULL,
	`instrument_id` text NOT NULL,
	`item_id` text NOT NULL,
	`part` text NOT NULL,
	FOREIGN KEY (`fact_id`) REFERENCES `facts`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`instrument_id`) REFERENCES `instruments`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `signs_of_instrument` ON `signs_noticed` (`instrument_id`);
--> statement-breakpoint
CREATE TABLE `wetness_resets` (
	`fact_id` integer PRIMARY KEY NOT NULL,
	`instrument_id` text NOT NULL,
	FOREIGN KEY (`fact_id`) REFERENCES `facts`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`instrument_id`) REFERENCES `instruments`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `resets_of_instrument` ON `wetness_resets` (`instrument_id`);
--> statement-breakpoint
CREATE TABLE `condition_ends` (
	`fact_id` integer PRIMARY KEY NOT NULL,
	`condition_key` text NOT NULL,
	`ends_on` text NOT NULL,
	FOREIGN KEY (`fact_id`) REFERENCES `facts`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `ends_of_condition` ON `condition_ends` (`condition_key`);
--> statement-breakpoint
CREATE TABLE `conditions` (
	`fact_id` integer PRIMARY KEY NOT NULL,
	`condition` text NOT NULL,
	`instrument_id` text,
	`player_id` text,
	`said_on` text,
	`begins_on` text NOT NULL,
	`ends_on` text,
	`part` text,
	`celsius` real,
	`humidity_percent` real,
	FOREIGN KEY (`fact_id`) REFERENCES `facts`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`instrument_id`) REFERENCES `instruments`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`player_id`) REFERENCES `players`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`said_on`) REFERENCES `instruments`(`id`) ON UPDATE no action ON DELETE no action,
	CONSTRAINT "conditions_of_one" CHECK(("conditions"."instrument_id" is null) <> ("conditions"."player_id" is null)),
	CONSTRAINT "conditions_in_order" CHECK("conditions"."ends_on" is null or "conditions"."ends_on" >= "conditions"."begins_on")
);
--> statement-breakpoint
CREATE INDEX `conditions_of_instrument` ON `conditions` (`instrument_id`);
--> statement-breakpoint
CREATE INDEX `conditions_of_player` ON `conditions` (`player_id`);
--> statement-breakpoint
CREATE TABLE `builds` (
	`fact_id` integer PRIMARY KEY NOT NULL,
	`instrument_id` text NOT NULL,
	`build` text NOT NULL,
	FOREIGN KEY (`fact_id`) REFERENCES `facts`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`instrument_id`) REFERENCES `instruments`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `builds_of_instrument` ON `builds` (`instrument_id`);
--> statement-breakpoint
CREATE TABLE `departures` (
	`fact_id` integer PRIMARY KEY NOT NULL,
	`instrument_id` text NOT NULL,
	`left_on` text,
	FOREIGN KEY (`fact_id`) REFERENCES `facts`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`instrument_id`) REFERENCES `instruments`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `departures_of_instrument` ON `departures` (`instrument_id`);
--> statement-breakpoint
CREATE TABLE `instruments` (
	`id` text PRIMARY KEY NOT NULL,
	`fact_id` integer NOT NULL,
	`name` text NOT NULL,
	`kind` text NOT NULL,
	`player_id` text NOT NULL,
	`acquired_on` text NOT NULL,
	`came_new` integer NOT NULL,
	FOREIGN KEY (`fact_id`) REFERENCES `facts`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`player_id`) REFERENCES `players`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE UNIQUE INDEX `instruments_fact_id_unique` ON `instruments` (`fact_id`);
--> statement-breakpoint
CREATE INDEX `instruments_player` ON `instruments` (`player_id`);
--> statement-breakpoint
CREATE TABLE `method_choices` (
	`fact_id` integer PRIMARY KEY NOT NULL,
	`instrument_id` text NOT NULL,
	`method` text NOT NULL,
	`choice` text,
	FOREIGN KEY (`fact_id`) REFERENCES `facts`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`instrument_id`) REFERENCES `instruments`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `choices_of_instrument` ON `method_choices` (`instrument_id`);
--> statement-breakpoint
CREATE TABLE `method_sets` (
	`fact_id` integer PRIMARY KEY NOT NULL,
	`instrument_id` text NOT NULL,
	`name` text NOT NULL,
	`set` text,
	FOREIGN KEY (`fact_id`) REFERENCES `facts`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`instrument_id`) REFERENCES `instruments`(`id`) ON UPDATE no action ON DELETE no action,
	CONSTRAINT "method_sets_name" CHECK(length("method_sets"."name") between 1 and 120)
);
--> statement-breakpoint
CREATE TABLE `run_events` (
	`fact_id` integer PRIMARY KEY NOT NULL,
	`run_id` integer NOT NULL,
	`kind` text NOT NULL,
	`step_key` text,
	`reason` text,
	`count` integer,
	`answer` text,
	FOREIGN KEY (`fact_id`) REFERENCES `facts`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`run_id`) REFERENCES `facts`(`id`) ON UPDATE no action ON DELETE no action,
	CONSTRAINT "run_events_kind" CHECK("run_events"."kind" in ('ticked', 'unticked', 'skipped', 'counted', 'answered', 'pulled-in', 'last-pass', 'finished'))
);
--> statement-breakpoint
CREATE INDEX `events_of_run` ON `run_events` (`run_id`,`fact_id`);
--> statement-breakpoint
CREATE INDEX `last_passes` ON `run_events` (`run_id`) WHERE kind = 'last-pass';
--> statement-breakpoint
CREATE TABLE `run_shares` (
	`run_id` integer NOT NULL,
	`position` integer NOT NULL,
	`instrument_id` text NOT NULL,
	`play_key` text,
	`played_minutes` integer,
	`room_celsius` real DEFAULT 20 NOT NULL,
	`thirst` real DEFAULT 1 NOT NULL,
	`asked` text,
	PRIMARY KEY(`run_id`, `instrument_id`),
	FOREIGN KEY (`run_id`) REFERENCES `facts`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`instrument_id`) REFERENCES `instruments`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `runs_of_instrument` ON `run_shares` (`instrument_id`,`run_id`);
--> statement-breakpoint
CREATE INDEX `runs_of_play` ON `run_shares` (`play_key`);
--> statement-breakpoint
CREATE TABLE `runs` (
	`fact_id` integer PRIMARY KEY NOT NULL,
	`player_id` text NOT NULL,
	`kind` text NOT NULL,
	`minutes_at_hand` real,
	`plan` text NOT NULL,
	`finished` integer DEFAULT false NOT NULL,
	FOREIGN KEY (`fact_id`) REFERENCES `facts`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`player_id`) REFERENCES `players`(`id`) ON UPDATE no action ON DELETE no action,
	CONSTRAINT "runs_kind" CHECK("runs"."kind" in ('before', 'after', 'care'))
);
--> statement-breakpoint
CREATE INDEX `open_runs` ON `runs` (`fact_id`) WHERE finished = 0;
--> statement-breakpoint
CREATE TABLE `players` (
	`id` text PRIMARY KEY NOT NULL,
	`fact_id` integer NOT NULL,
	FOREIGN KEY (`fact_id`) REFERENCES `facts`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE UNIQUE INDEX `players_fact_id_unique` ON `players` (`fact_id`);
--> statement-breakpoint
CREATE TABLE `profiles` (
	`fact_id` integer PRIMARY KEY NOT NULL,
	`player_id` text NOT NULL,
	`name` text NOT NULL,
	`standing` text NOT NULL,
	`does` text NOT NULL,
	FOREIGN KEY (`fact_id`) REFERENCES `facts`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`player_id`) REFERENCES `players`(`id`) ON UPDATE no action ON DELETE no action,
	CONSTRAINT "profiles_standing" CHECK("profiles"."standing" in ('grown-up', 'pupil', 'child'))
);
--> statement-breakpoint
CREATE INDEX `profiles_of_player` ON `profiles` (`player_id`);
--> statement-breakpoint
CREATE TABLE `plays` (
	`fact_id` integer PRIMARY KEY NOT NULL,
	`instrument_id` text NOT NULL,
	`player_id` text NOT NULL,
	`ended_on` text NOT NULL,
	`ended_at_minute` integer,
	`minutes` integer NOT NULL,
	`room_celsius` real,
	`wall_minute` integer GENERATED ALWAYS AS ((unixepoch(ended_on) / 60 + coalesce(ended_at_minute, 0))) STORED NOT NULL,
	`counts` integer DEFAULT true NOT NULL,
	FOREIGN KEY (`fact_id`) REFERENCES `facts`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`instrument_id`) REFERENCES `instruments`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`player_id`) REFERENCES `players`(`id`) ON UPDATE no action ON DELETE no action,
	CONSTRAINT "plays_minutes" CHECK("plays"."minutes" between 1 and 1440),
	CONSTRAINT "plays_minute_of_day" CHECK("plays"."ended_at_minute" between 0 and 1439)
);
--> statement-breakpoint
CREATE INDEX `plays_of_instrument` ON `plays` (`instrument_id`,`counts`,`wall_minute`,`minutes`);
--> statement-breakpoint
CREATE TABLE `fact_subjects` (
	`fact_id` integer NOT NULL,
	`subject_id` integer NOT NULL,
	`listed_at` integer,
	PRIMARY KEY(`fact_id`, `subject_id`),
	FOREIGN KEY (`fact_id`) REFERENCES `facts`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`subject_id`) REFERENCES `subjects`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `facts_of_subject` ON `fact_subjects` (`subject_id`,`listed_at`);
--> statement-breakpoint
CREATE TABLE `facts` (
	`id` integer PRIMARY KEY NOT NULL,
	`key` text NOT NULL,
	`kind` text NOT NULL,
	`on` text NOT NULL,
	`at_minute` integer,
	`logged_at` text NOT NULL,
	`corrects` integer,
	`belongs_to` integer,
	`counts` integer DEFAULT true NOT NULL,
	FOREIGN KEY (`corrects`) REFERENCES `facts`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`belongs_to`) REFERENCES `facts`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE UNIQUE INDEX `facts_key_unique` ON `facts` (`key`);
--> statement-breakpoint
CREATE INDEX `facts_corrects` ON `facts` (`corrects`) WHERE corrects is not null;
--> statement-breakpoint
CREATE INDEX `facts_belongs_to` ON `facts` (`belongs_to`) WHERE belongs_to is not null;
--> statement-breakpoint
CREATE TABLE `other_keys` (
	`key` text PRIMARY KEY NOT NULL,
	`fact_id` integer NOT NULL,
	`sent` text NOT NULL,
	FOREIGN KEY (`fact_id`) REFERENCES `facts`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE TABLE `subjects` (
	`id` integer PRIMARY KEY NOT NULL,
	`kind` text NOT NULL,
	`name` text NOT NULL,
	`revision` integer DEFAULT 0 NOT NULL
);
--> statement-breakpoint
CREATE UNIQUE INDEX `subjects_by_name` ON `subjects` (`kind`,`name`);
--> statement-breakpoint
CREATE TABLE `withdrawals` (
	`fact_id` integer PRIMARY KEY NOT NULL,
	`target_key` text NOT NULL,
	FOREIGN KEY (`fact_id`) REFERENCES `facts`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE UNIQUE INDEX `withdrawals_target_key_unique` ON `withdrawals` (`target_key`);
--> statement-breakpoint
CREATE TABLE `staged` (
	`id` integer PRIMARY KEY NOT NULL, `kind` text NOT NULL, `row` integer NOT NULL, `base` text NOT NULL, `key` text,
	`day` text NOT NULL, `minute` integer, `at` text NOT NULL, `owner` text, `owner_kind` text, `instrument` text, `player` text
);
--> statement-breakpoint
INSERT INTO `staged` (`kind`, `row`, `base`, `day`, `minute`, `at`, `owner`, `owner_kind`, `instrument`, `player`)
SELECT 'player', old_players.rowid, 'player/' || id, substr(added_at, 1, 10), null, added_at, null, null, null, id FROM `old_players`  ORDER BY added_at, id;
--> statement-breakpoint
INSERT INTO `staged` (`kind`, `row`, `base`, `day`, `minute`, `at`, `owner`, `owner_kind`, `instrument`, `player`)
SELECT 'profile', old_players.rowid, 'profile/' || id, substr(added_at, 1, 10), null, added_at, 'player/' || id, 'player', null, id FROM `old_players`  ORDER BY added_at, id;
--> statement-breakpoint
INSERT INTO `staged` (`kind`, `row`, `base`, `day`, `minute`, `at`, `owner`, `owner_kind`, `instrument`, `player`)
SELECT 'instrument', old_instruments.rowid, 'instrument/' || id, substr(added_at, 1, 10), null, added_at, null, null, id, null FROM `old_instruments`  ORDER BY added_at, id;
--> statement-breakpoint
INSERT INTO `staged` (`kind`, `row`, `base`, `day`, `minute`, `at`, `owner`, `owner_kind`, `instrument`, `player`)
SELECT 'build', old_instruments.rowid, 'build/' || id, substr(added_at, 1, 10), null, added_at, 'instrument/' || id, 'instrument', id, null FROM `old_instruments`  ORDER BY added_at, id;
--> statement-breakpoint
INSERT INTO `staged` (`kind`, `row`, `base`, `day`, `minute`, `at`, `owner`, `owner_kind`, `instrument`, `player`)
SELECT 'departure', old_instruments.rowid, 'departure/' || id, left_on, null, added_at, null, null, id, null FROM `old_instruments` WHERE left_on is not null ORDER BY added_at, id;
--> statement-breakpoint
INSERT INTO `staged` (`kind`, `row`, `base`, `day`, `minute`, `at`, `owner`, `owner_kind`, `instrument`, `player`)
SELECT 'play', old_plays.rowid, key, ended_on, ended_at_minute, logged_at, null, null, instrument_id, null FROM `old_plays`  ORDER BY rowid;
--> statement-breakpoint
INSERT INTO `staged` (`kind`, `row`, `base`, `day`, `minute`, `at`, `owner`, `owner_kind`, `instrument`, `player`)
SELECT 'run', old_runs.rowid, key, started_on, started_at_minute, started_at, null, null, null, null FROM `old_runs`  ORDER BY started_at, rowid;
--> statement-breakpoint
INSERT INTO `staged` (`kind`, `row`, `base`, `day`, `minute`, `at`, `owner`, `owner_kind`)
SELECT 'run-event', e.sequence, e.key, r.started_on, null, e.at, e.run_key, 'run' FROM `old_run_events` e JOIN `old_runs` r ON r.key = e.run_key ORDER BY e.sequence;
--> statement-breakpoint
INSERT INTO `staged` (`kind`, `row`, `base`, `day`, `minute`, `at`, `owner`, `owner_kind`, `instrument`, `player`)
SELECT 'care', old_care_done.rowid, key, done_on, CASE WHEN source_key is null THEN null ELSE done_at_minute END, logged_at, source_key, 'run-event', instrument_id, null FROM `old_care_done`  ORDER BY logged_at, rowid;
--> statement-breakpoint
INSERT INTO `staged` (`kind`, `row`, `base`, `day`, `minute`, `at`, `owner`, `owner_kind`, `instrument`, `player`)
SELECT 'sign', old_signs_noticed.rowid, key, noticed_on, noticed_at_minute, logged_at, source_key, 'run-event', instrument_id, null FROM `old_signs_noticed`  ORDER BY logged_at, rowid;
--> statement-breakpoint
INSERT INTO `staged` (`kind`, `row`, `base`, `day`, `minute`, `at`, `owner`, `owner_kind`, `instrument`, `player`)
SELECT 'decision', old_care_decisions.rowid, key, decided_on, null, logged_at, null, null, instrument_id, null FROM `old_care_decisions`  ORDER BY logged_at, rowid;
--> statement-breakpoint
INSERT INTO `staged` (`kind`, `row`, `base`, `day`, `minute`, `at`, `owner`, `owner_kind`, `instrument`, `player`)
SELECT 'wetness-reset', old_wetness_resets.rowid, key, substr(at, 1, 10), null, at, null, null, instrument_id, null FROM `old_wetness_resets`  ORDER BY at, rowid;
--> statement-breakpoint
INSERT INTO `staged` (`kind`, `row`, `base`, `day`, `minute`, `at`, `owner`, `owner_kind`, `instrument`, `player`)
SELECT 'method-set', old_school_sets.rowid, key, taken_on, null, logged_at, null, null, instrument_id, null FROM `old_school_sets`  ORDER BY logged_at, rowid;
--> statement-breakpoint
INSERT INTO `staged` (`kind`, `row`, `base`, `day`, `minute`, `at`, `owner`, `owner_kind`, `instrument`, `player`)
SELECT 'method', old_school_choices.rowid, key, chosen_on, null, logged_at, source_key, 'method-set', instrument_id, null FROM `old_school_choices`  ORDER BY logged_at, rowid;
--> statement-breakpoint
INSERT INTO `staged` (`kind`, `row`, `base`, `day`, `minute`, `at`, `owner`, `owner_kind`, `instrument`, `player`)
SELECT 'condition', old_conditions.rowid, key, begins_on, null, logged_at, null, null, instrument_id, player_id FROM `old_conditions`  ORDER BY logged_at, rowid;
--> statement-breakpoint
INSERT INTO `staged` (`kind`, `row`, `base`, `day`, `minute`, `at`, `owner`, `owner_kind`, `instrument`, `player`)
SELECT 'condition-end', old_condition_ends.rowid, key, ends_on, null, logged_at, condition_key, 'condition', null, null FROM `old_condition_ends`  ORDER BY logged_at, rowid;
--> statement-breakpoint
INSERT INTO `staged` (`kind`, `row`, `base`, `day`, `minute`, `at`, `owner`, `owner_kind`, `instrument`, `player`)
SELECT 'withdrawal', old_withdrawals.rowid, key, substr(at, 1, 10), null, at, null, null, null, null FROM `old_withdrawals`  ORDER BY at, rowid;
--> statement-breakpoint
CREATE INDEX `staged_base` ON `staged` (`base`, `kind`);
--> statement-breakpoint
-- A key is one fact. Where an earlier version let two kinds have the same one, the later fact gets a key made from it.
UPDATE `staged` SET `key` = CASE WHEN `id` = (SELECT min(`id`) FROM `staged` s WHERE s.`base` = `staged`.`base`) THEN `base` ELSE `base` || '/again/' || `kind` END;
--> statement-breakpoint
INSERT INTO `facts` (`id`, `key`, `kind`, `on`, `at_minute`, `logged_at`, `belongs_to`, `counts`)
SELECT s.`id`, s.`key`, s.`kind`, s.`day`, s.`minute`, s.`at`,
	(SELECT o.`id` FROM `staged` o WHERE o.`base` = s.`owner` AND o.`kind` = s.`owner_kind`),
	s.`kind` = 'withdrawal' OR NOT EXISTS (SELECT 1 FROM `old_withdrawals` w WHERE w.`target_key` = s.`base`)
FROM `staged` s;
--> statement-breakpoint
UPDATE `facts` SET `counts` = 0 WHERE `counts` = 1 AND `belongs_to` IN (SELECT `id` FROM `facts` WHERE `counts` = 0);
--> statement-breakpoint
UPDATE `facts` SET `counts` = 0 WHERE `counts` = 1 AND `belongs_to` IN (SELECT `id` FROM `facts` WHERE `counts` = 0);
--> statement-breakpoint
UPDATE `facts` SET `counts` = 0 WHERE `counts` = 1 AND `belongs_to` IN (SELECT `id` FROM `facts` WHERE `counts` = 0);
--> statement-breakpoint
INSERT INTO `withdrawals` (`fact_id`, `target_key`)
SELECT s.`id`, w.`target_key` FROM `old_withdrawals` w JOIN `staged` s ON s.`kind` = 'withdrawal' AND s.`row` = w.rowid;
--> statement-breakpoint
-- What was taken back under a key two facts had is taken back of both.
INSERT INTO `facts` (`key`, `kind`, `on`, `logged_at`)
SELECT w.`key` || '/again/' || s.`kind`, 'withdrawal', substr(w.`at`, 1, 10), w.`at` FROM `old_withdrawals` w JOIN `staged` s ON s.`base` = w.`target_key` AND s.`key` <> s.`base`;
--> statement-breakpoint
INSERT INTO `withdrawals` (`fact_id`, `target_key`)
SELECT f.`id`, s.`key` FROM `old_withdrawals` w JOIN `staged` s ON s.`base` = w.`target_key` AND s.`key` <> s.`base` JOIN `facts` f ON f.`key` = w.`key` || '/again/' || s.`kind`;
--> statement-breakpoint
CREATE INDEX `staged_row` ON `staged` (`kind`, `row`);
--> statement-breakpoint
INSERT INTO `players` (`fact_id`, `id`)
SELECT s.`id`, o.id FROM `old_players` o JOIN `staged` s ON s.`kind` = 'player' AND s.`row` = o.rowid ORDER BY s.`id`;
--> statement-breakpoint
INSERT INTO `profiles` (`fact_id`, `player_id`, `name`, `standing`, `does`)
SELECT s.`id`, o.id, o.name, o.standing, o.does FROM `old_players` o JOIN `staged` s ON s.`kind` = 'profile' AND s.`row` = o.rowid ORDER BY s.`id`;
--> statement-breakpoint
INSERT INTO `instruments` (`fact_id`, `id`, `name`, `kind`, `player_id`, `acquired_on`, `came_new`)
SELECT s.`id`, o.id, o.name, o.kind, o.player_id, o.acquired_on, o.came_new FROM `old_instruments` o JOIN `staged` s ON s.`kind` = 'instrument' AND s.`row` = o.rowid ORDER BY s.`id`;
--> statement-breakpoint
INSERT INTO `builds` (`fact_id`, `instrument_id`, `build`)
SELECT s.`id`, o.id, o.build FROM `old_instruments` o JOIN `staged` s ON s.`kind` = 'build' AND s.`row` = o.rowid ORDER BY s.`id`;
--> statement-breakpoint
INSERT INTO `departures` (`fact_id`, `instrument_id`, `left_on`)
SELECT s.`id`, o.id, o.left_on FROM `old_instruments` o JOIN `staged` s ON s.`kind` = 'departure' AND s.`row` = o.rowid ORDER BY s.`id`;
--> statement-breakpoint
INSERT INTO `plays` (`fact_id`, `instrument_id`, `player_id`, `ended_on`, `ended_at_minute`, `minutes`, `room_celsius`, `counts`)
SELECT s.`id`, o.instrument_id, o.player_id, o.ended_on, o.ended_at_minute, o.minutes, o.room_celsius, f.`counts` FROM `old_plays` o JOIN `staged` s ON s.`kind` = 'play' AND s.`row` = o.rowid JOIN `facts` f ON f.`id` = s.`id` ORDER BY s.`id`;
--> statement-breakpoint
INSERT INTO `runs` (`fact_id`, `player_id`, `kind`, `minutes_at_hand`, `plan`, `finished`)
SELECT s.`id`, o.player_id, o.kind, o.minutes_at_hand, o.plan, EXISTS (SELECT 1 FROM `old_run_events` e JOIN `staged` es ON es.`kind` = 'run-event' AND es.`row` = e.sequence JOIN `facts` f ON f.`id` = es.`id` WHERE e.run_key = o.key AND e.kind = 'finished' AND f.`counts` = 1) FROM `old_runs` o JOIN `staged` s ON s.`kind` = 'run' AND s.`row` = o.rowid ORDER BY s.`id`;
--> statement-breakpoint
INSERT INTO `run_shares` (`run_id`, `position`, `instrument_id`, `play_key`, `played_minutes`, `room_celsius`, `thirst`)
SELECT s.`id`, o.position, o.instrument_id, o.play_key, o.played_minutes, o.room_celsius, o.thirst FROM `old_run_instruments` o JOIN `staged` s ON s.`kind` = 'run' AND s.`base` = o.run_key;
--> statement-breakpoint
INSERT INTO `run_events` (`fact_id`, `run_id`, `kind`, `step_key`, `reason`, `count`, `answer`)
SELECT s.`id`, r.`id`, o.kind, o.step_key, o.reason, o.count, o.answer FROM `old_run_events` o JOIN `staged` s ON s.`kind` = 'run-event' AND s.`row` = o.sequence JOIN `staged` r ON r.`kind` = 'run' AND r.`base` = o.run_key ORDER BY s.`id`;
--> statement-breakpoint
INSERT INTO `care_done` (`fact_id`, `instrument_id`, `item_id`, `by`, `wall_minute`, `counts`)
SELECT s.`id`, o.instrument_id, o.item_id, o.by, unixepoch(o.done_on) / 60 + o.done_at_minute, f.`counts` FROM `old_care_done` o JOIN `staged` s ON s.`kind` = 'care' AND s.`row` = o.rowid JOIN `facts` f ON f.`id` = s.`id` ORDER BY s.`id`;
--> statement-breakpoint
INSERT INTO `signs_noticed` (`fact_id`, `instrument_id`, `item_id`, `part`)
SELECT s.`id`, o.instrument_id, o.item_id, o.part FROM `old_signs_noticed` o JOIN `staged` s ON s.`kind` = 'sign' AND s.`row` = o.rowid ORDER BY s.`id`;
--> statement-breakpoint
INSERT INTO `care_decisions` (`fact_id`, `instrument_id`, `item_id`, `kind`, `until`)
SELECT s.`id`, o.instrument_id, o.item_id, o.kind, o.until FROM `old_care_decisions` o JOIN `staged` s ON s.`kind` = 'decision' AND s.`row` = o.rowid ORDER BY s.`id`;
--> statement-breakpoint
INSERT INTO `wetness_resets` (`fact_id`, `instrument_id`)
SELECT s.`id`, o.instrument_id FROM `old_wetness_resets` o JOIN `staged` s ON s.`kind` = 'wetness-reset' AND s.`row` = o.rowid ORDER BY s.`id`;
--> statement-breakpoint
INSERT INTO `method_sets` (`fact_id`, `instrument_id`, `name`)
SELECT s.`id`, o.instrument_id, o.name FROM `old_school_sets` o JOIN `staged` s ON s.`kind` = 'method-set' AND s.`row` = o.rowid ORDER BY s.`id`;
--> statement-breakpoint
INSERT INTO `method_choices` (`fact_id`, `instrument_id`, `method`, `choice`)
SELECT s.`id`, o.instrument_id, o.school, o.choice FROM `old_school_choices` o JOIN `staged` s ON s.`kind` = 'method' AND s.`row` = o.rowid ORDER BY s.`id`;
--> statement-breakpoint
INSERT INTO `conditions` (`fact_id`, `condition`, `instrument_id`, `player_id`, `begins_on`, `ends_on`, `part`, `celsius`, `humidity_percent`)
SELECT s.`id`, o.condition, o.instrument_id, o.player_id, o.begins_on, o.ends_on, o.part, o.celsius, o.humidity_percent FROM `old_conditions` o JOIN `staged` s ON s.`kind` = 'condition' AND s.`row` = o.rowid ORDER BY s.`id`;
--> statement-breakpoint
INSERT INTO `condition_ends` (`fact_id`, `condition_key`, `ends_on`)
SELECT s.`id`, o.condition_key, o.ends_on FROM `old_condition_ends` o JOIN `staged` s ON s.`kind` = 'condition-end' AND s.`row` = o.rowid ORDER BY s.`id`;
--> statement-breakpoint
INSERT INTO `subjects` (`kind`, `name`) SELECT 'player', id FROM `old_players` ORDER BY added_at, id;
--> statement-breakpoint
INSERT INTO `subjects` (`kind`, `name`) SELECT 'instrument', id FROM `old_instruments` ORDER BY added_at, id;
--> statement-breakpoint
INSERT INTO `fact_subjects` (`fact_id`, `subject_id`, `listed_at`)
SELECT s.`id`, u.`id`, CASE WHEN f.`belongs_to` is null AND s.`kind` NOT IN ('player', 'profile', 'instrument', 'wetness-reset') THEN unixepoch(s.`day`) / 60 + coalesce(s.`minute`, 0) END
FROM `staged` s JOIN `facts` f ON f.`id` = s.`id` JOIN `subjects` u ON (u.`kind` = 'instrument' AND u.`name` = s.`instrument`) OR (u.`kind` = 'player' AND u.`name` = s.`player`);
--> statement-breakpoint
INSERT INTO `fact_subjects` (`fact_id`, `subject_id`, `listed_at`)
SELECT s.`id`, u.`id`, unixepoch(s.`day`) / 60 + coalesce(s.`minute`, 0)
FROM `old_run_instruments` o JOIN `staged` s ON s.`kind` = 'run' AND s.`base` = o.run_key JOIN `subjects` u ON u.`kind` = 'instrument' AND u.`name` = o.instrument_id;
--> statement-breakpoint
DROP TABLE `old_condition_ends`;
--> statement-breakpoint
DROP TABLE `old_conditions`;
--> statement-breakpoint
DROP TABLE `old_school_choices`;
--> statement-breakpoint
DROP TABLE `old_school_sets`;
--> statement-breakpoint
DROP TABLE `old_withdrawals`;
--> statement-breakpoint
DROP TABLE `old_wetness_resets`;
--> statement-breakpoint
DROP TABLE `old_care_decisions`;
--> statement-breakpoint
DROP TABLE `old_signs_noticed`;
--> statement-breakpoint
DROP TABLE `old_care_done`;
--> statement-breakpoint
DROP TABLE `old_run_events`;
--> statement-breakpoint
DROP TABLE `old_run_instruments`;
--> statement-breakpoint
DROP TABLE `old_runs`;
--> statement-breakpoint
DROP TABLE `old_plays`;
--> statement-breakpoint
DROP TABLE `old_instruments`;
--> statement-breakpoint
DROP TABLE `old_players`;
--> statement-breakpoint
DROP TABLE `staged`;
