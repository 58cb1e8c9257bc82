CREATE TABLE `sitting_times` (
	`fact_id` integer PRIMARY KEY NOT NULL,
	`player_id` text NOT NULL,
	`minutes` text NOT NULL,
	FOREIGN KEY (`fact_id`) REFERENCES `facts`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`player_id`) REFERENCES `players`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `sitting_times_of_player` ON `sitting_times` (`player_id`);