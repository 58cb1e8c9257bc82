CREATE TABLE `handovers` (
	`fact_id` integer PRIMARY KEY NOT NULL,
	`instrument_id` text NOT NULL,
	`list` text NOT NULL,
	`lines` text NOT NULL,
	FOREIGN KEY (`fact_id`) REFERENCES `facts`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`instrument_id`) REFERENCES `instruments`(`id`) ON UPDATE no action ON DELETE no action,
	CONSTRAINT "handovers_list" CHECK("handovers"."list" in ('out', 'back'))
);
--> statement-breakpoint
CREATE INDEX `handovers_of_instrument` ON `handovers` (`instrument_id`);