CREATE TABLE `air_readings` (
	`fact_id` integer PRIMARY KEY NOT NULL,
	`player_id` text NOT NULL,
	`celsius` real NOT NULL,
	`humidity_percent` real NOT NULL,
	FOREIGN KEY (`fact_id`) REFERENCES `facts`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`player_id`) REFERENCES `players`(`id`) ON UPDATE no action ON DELETE no action,
	CONSTRAINT "air_readings_humidity" CHECK("air_readings"."humidity_percent" between 0 and 100)
);
--> statement-breakpoint
CREATE INDEX `air_readings_of_player` ON `air_readings` (`player_id`);