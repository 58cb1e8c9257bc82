CREATE TABLE `last_done` (
	`fact_id` integer PRIMARY KEY NOT NULL,
	`instrument_id` text NOT NULL,
	`items` text NOT NULL,
	FOREIGN KEY (`fact_id`) REFERENCES `facts`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`instrument_id`) REFERENCES `instruments`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `last_done_of_instrument` ON `last_done` (`instrument_id`);--> statement-breakpoint
ALTER TABLE `run_events` ADD `at` text;