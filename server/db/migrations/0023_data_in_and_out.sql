CREATE TABLE `table_imports` (
	`fact_id` integer PRIMARY KEY NOT NULL,
	`player_id` text NOT NULL,
	`what` text NOT NULL,
	`name` text NOT NULL,
	`rows` integer NOT NULL,
	FOREIGN KEY (`fact_id`) REFERENCES `facts`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`player_id`) REFERENCES `players`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE TABLE `player_aliases` (
	`fact_id` integer PRIMARY KEY NOT NULL,
	`other_id` text NOT NULL,
	`player_id` text NOT NULL,
	FOREIGN KEY (`fact_id`) REFERENCES `facts`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`player_id`) REFERENCES `players`(`id`) ON UPDATE no action ON DELETE no action
);
