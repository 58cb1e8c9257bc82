PRAGMA foreign_keys=OFF;--> statement-breakpoint
CREATE TABLE `__new_events` (
	`fact_id` integer PRIMARY KEY NOT NULL,
	`player_id` text NOT NULL,
	`what` text NOT NULL,
	`on_day` text NOT NULL,
	`until_day` text,
	`minutes` integer,
	`name` text,
	`instrument_ids` text NOT NULL,
	FOREIGN KEY (`fact_id`) REFERENCES `facts`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`player_id`) REFERENCES `players`(`id`) ON UPDATE no action ON DELETE no action,
	CONSTRAINT "events_minutes" CHECK("__new_events"."minutes" is null or "__new_events"."minutes" between 1 and 600)
);
--> statement-breakpoint
INSERT INTO `__new_events`("fact_id", "player_id", "what", "on_day", "until_day", "minutes", "name", "instrument_ids") SELECT "fact_id", "player_id", "what", "on_day", null, "minutes", "name", "instrument_ids" FROM `events`;--> statement-breakpoint
DROP TABLE `events`;--> statement-breakpoint
ALTER TABLE `__new_events` RENAME TO `events`;--> statement-breakpoint
PRAGMA foreign_keys=ON;--> statement-breakpoint
CREATE INDEX `events_of_player` ON `events` (`player_id`,`on_day`);