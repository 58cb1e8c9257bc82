CREATE TABLE `serials` (
	`fact_id` integer PRIMARY KEY NOT NULL,
	`instrument_id` text NOT NULL,
	`serial` text,
	FOREIGN KEY (`fact_id`) REFERENCES `facts`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`instrument_id`) REFERENCES `instruments`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `serials_of_instrument` ON `serials` (`instrument_id`);