CREATE TABLE `inspections` (
	`fact_id` integer PRIMARY KEY NOT NULL,
	`instrument_id` text NOT NULL,
	`read_on` text NOT NULL,
	`by` text NOT NULL,
	`readings` text NOT NULL,
	FOREIGN KEY (`fact_id`) REFERENCES `facts`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`instrument_id`) REFERENCES `instruments`(`id`) ON UPDATE no action ON DELETE no action,
	CONSTRAINT "inspections_by" CHECK("inspections"."by" in ('player', 'teacher', 'bench'))
);
--> statement-breakpoint
CREATE INDEX `inspections_of_instrument` ON `inspections` (`instrument_id`);