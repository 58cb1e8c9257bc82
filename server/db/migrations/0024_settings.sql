CREATE TABLE `player_settings` (
	`fact_id` integer PRIMARY KEY NOT NULL,
	`player_id` text NOT NULL,
	`room_celsius` real,
	`currency` text,
	FOREIGN KEY (`fact_id`) REFERENCES `facts`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`player_id`) REFERENCES `players`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `settings_of_player` ON `player_settings` (`player_id`);--> statement-breakpoint
CREATE INDEX `settings_with_currency` ON `player_settings` (`fact_id`) WHERE "player_settings"."currency" is not null;