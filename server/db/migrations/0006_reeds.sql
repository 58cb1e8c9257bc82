CREATE TABLE `reed_boxes` (
	`fact_id` integer PRIMARY KEY NOT NULL,
	`player_id` text NOT NULL,
	`kind` text NOT NULL,
	`name` text NOT NULL,
	`cut` text,
	`strength` text,
	`material` text NOT NULL,
	`break_in` text NOT NULL,
	`place` text,
	`cost_minor` integer,
	`currency` text,
	`came_on` text NOT NULL,
	`before` text NOT NULL,
	FOREIGN KEY (`fact_id`) REFERENCES `facts`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`player_id`) REFERENCES `players`(`id`) ON UPDATE no action ON DELETE no action,
	CONSTRAINT "reed_boxes_cost" CHECK(("reed_boxes"."cost_minor" is null) = ("reed_boxes"."currency" is null))
);
--> statement-breakpoint
CREATE INDEX `reed_boxes_of_player` ON `reed_boxes` (`player_id`);--> statement-breakpoint
CREATE TABLE `reed_plays` (
	`fact_id` integer PRIMARY KEY NOT NULL,
	`player_id` text NOT NULL,
	`play_key` text NOT NULL,
	`of_minutes` integer NOT NULL,
	`high` text NOT NULL,
	`shares` text NOT NULL,
	FOREIGN KEY (`fact_id`) REFERENCES `facts`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`player_id`) REFERENCES `players`(`id`) ON UPDATE no action ON DELETE no action,
	CONSTRAINT "reed_plays_minutes" CHECK("reed_plays"."of_minutes" > 0)
);
--> statement-breakpoint
CREATE INDEX `reed_plays_of_player` ON `reed_plays` (`player_id`);--> statement-breakpoint
CREATE INDEX `reed_plays_of_play` ON `reed_plays` (`play_key`);--> statement-breakpoint
CREATE TABLE `reed_sayings` (
	`fact_id` integer PRIMARY KEY NOT NULL,
	`player_id` text NOT NULL,
	`reed_id` text NOT NULL,
	`what` text NOT NULL,
	`feel` text,
	`good_for` text,
	`signs` text NOT NULL,
	`cause` text,
	FOREIGN KEY (`fact_id`) REFERENCES `facts`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`player_id`) REFERENCES `players`(`id`) ON UPDATE no action ON DELETE no action,
	CONSTRAINT "reed_sayings_what" CHECK("reed_sayings"."what" in ('graded', 'flattened', 'ended')),
	CONSTRAINT "reed_sayings_feel" CHECK(("reed_sayings"."what" = 'graded') = ("reed_sayings"."feel" is not null)),
	CONSTRAINT "reed_sayings_cause" CHECK(("reed_sayings"."what" = 'ended') = ("reed_sayings"."cause" is not null))
);
--> statement-breakpoint
CREATE INDEX `reed_sayings_of_player` ON `reed_sayings` (`player_id`);