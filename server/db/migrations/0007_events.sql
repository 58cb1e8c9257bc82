CREATE TABLE `events` (
	`fact_id` integer PRIMARY KEY NOT NULL,
	`player_id` text NOT NULL,
	`what` text NOT NULL,
	`on_day` text NOT NULL,
	`minutes` integer NOT NULL,
	`name` text,
	`instrument_ids` text NOT NULL,
	FOREIGN KEY (`fact_id`) REFERENCES `facts`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`player_id`) REFERENCES `players`(`id`) ON UPDATE no action ON DELETE no action,
	CONSTRAINT "events_minutes" CHECK("events"."minutes" between 1 and 600)
);
--> statement-breakpoint
CREATE INDEX `events_of_player` ON `events` (`player_id`,`on_day`);