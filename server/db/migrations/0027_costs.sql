CREATE TABLE `bills` (
	`fact_id` integer PRIMARY KEY NOT NULL,
	`instrument_id` text NOT NULL,
	`sort` text NOT NULL,
	`works` text NOT NULL,
	`what` text,
	`cost_minor` integer NOT NULL,
	`currency` text NOT NULL,
	`said_on` text NOT NULL,
	FOREIGN KEY (`fact_id`) REFERENCES `facts`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`instrument_id`) REFERENCES `instruments`(`id`) ON UPDATE no action ON DELETE no action,
	CONSTRAINT "bills_sort" CHECK("bills"."sort" in ('quote', 'bill'))
);
--> statement-breakpoint
CREATE INDEX `bills_of_instrument` ON `bills` (`instrument_id`);--> statement-breakpoint
CREATE INDEX `bills_paid` ON `bills` (`fact_id`,`currency`);--> statement-breakpoint
CREATE TABLE `savings` (
	`fact_id` integer PRIMARY KEY NOT NULL,
	`player_id` text NOT NULL,
	`amount_minor` integer NOT NULL,
	`currency` text NOT NULL,
	FOREIGN KEY (`fact_id`) REFERENCES `facts`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`player_id`) REFERENCES `players`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `savings_of_player` ON `savings` (`player_id`);--> statement-breakpoint
CREATE INDEX `savings_counted` ON `savings` (`fact_id`,`currency`);