CREATE TABLE `bench_terms` (
	`fact_id` integer PRIMARY KEY NOT NULL,
	`player_id` text NOT NULL,
	`terms` text NOT NULL,
	FOREIGN KEY (`fact_id`) REFERENCES `facts`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`player_id`) REFERENCES `players`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `bench_terms_of_player` ON `bench_terms` (`player_id`);--> statement-breakpoint
CREATE TABLE `calendar_imports` (
	`fact_id` integer PRIMARY KEY NOT NULL,
	`player_id` text NOT NULL,
	`calendar` text NOT NULL,
	`events` text NOT NULL,
	FOREIGN KEY (`fact_id`) REFERENCES `facts`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`player_id`) REFERENCES `players`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `calendar_imports_of_player` ON `calendar_imports` (`player_id`);--> statement-breakpoint
CREATE TABLE `feeds` (
	`player_id` text PRIMARY KEY NOT NULL,
	`secret` text NOT NULL,
	FOREIGN KEY (`player_id`) REFERENCES `players`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE UNIQUE INDEX `feeds_secret_unique` ON `feeds` (`secret`);--> statement-breakpoint
CREATE TABLE `shown_sittings` (
	`player_id` text PRIMARY KEY NOT NULL,
	`plan` text NOT NULL,
	FOREIGN KEY (`player_id`) REFERENCES `players`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE TABLE `sitting_moves` (
	`fact_id` integer PRIMARY KEY NOT NULL,
	`player_id` text NOT NULL,
	`pins` text NOT NULL,
	FOREIGN KEY (`fact_id`) REFERENCES `facts`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`player_id`) REFERENCES `players`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `sitting_moves_of_player` ON `sitting_moves` (`player_id`);--> statement-breakpoint
CREATE TABLE `told_calendars` (
	`player_id` text PRIMARY KEY NOT NULL,
	`entries` text NOT NULL,
	FOREIGN KEY (`player_id`) REFERENCES `players`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
ALTER TABLE `events` ADD `stay` text;--> statement-breakpoint
ALTER TABLE `events` ADD `origin` text;