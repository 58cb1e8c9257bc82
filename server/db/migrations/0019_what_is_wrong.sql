CREATE TABLE `fault_ends` (
	`fact_id` integer PRIMARY KEY NOT NULL,
	`fault_key` text NOT NULL,
	`by` text NOT NULL,
	FOREIGN KEY (`fact_id`) REFERENCES `facts`(`id`) ON UPDATE no action ON DELETE no action,
	CONSTRAINT "fault_ends_by" CHECK("fault_ends"."by" in ('bench', 'maker', 'teacher', 'self', 'nobody'))
);
--> statement-breakpoint
CREATE INDEX `ends_of_fault` ON `fault_ends` (`fault_key`);--> statement-breakpoint
CREATE TABLE `interview_answers` (
	`fact_id` integer PRIMARY KEY NOT NULL,
	`interview_key` text NOT NULL,
	`sign` text NOT NULL,
	`answer` text NOT NULL,
	`noticed` integer NOT NULL,
	FOREIGN KEY (`fact_id`) REFERENCES `facts`(`id`) ON UPDATE no action ON DELETE no action,
	CONSTRAINT "interview_answers_answer" CHECK("interview_answers"."answer" in ('yes', 'no', 'cannot-tell'))
);
--> statement-breakpoint
CREATE INDEX `answers_of_interview` ON `interview_answers` (`interview_key`);--> statement-breakpoint
CREATE TABLE `interview_outcomes` (
	`fact_id` integer PRIMARY KEY NOT NULL,
	`interview_key` text NOT NULL,
	`cause` text NOT NULL,
	`helped` integer NOT NULL,
	FOREIGN KEY (`fact_id`) REFERENCES `facts`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `outcomes_of_interview` ON `interview_outcomes` (`interview_key`);--> statement-breakpoint
CREATE TABLE `interviews` (
	`fact_id` integer PRIMARY KEY NOT NULL,
	`instrument_id` text NOT NULL,
	`noticed` text NOT NULL,
	FOREIGN KEY (`fact_id`) REFERENCES `facts`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`instrument_id`) REFERENCES `instruments`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `interviews_of_instrument` ON `interviews` (`instrument_id`);--> statement-breakpoint
CREATE TABLE `mishaps` (
	`fact_id` integer PRIMARY KEY NOT NULL,
	`instrument_id` text NOT NULL,
	`mishap` text NOT NULL,
	`part` text,
	`happened_on` text NOT NULL,
	FOREIGN KEY (`fact_id`) REFERENCES `facts`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`instrument_id`) REFERENCES `instruments`(`id`) ON UPDATE no action ON DELETE no action,
	CONSTRAINT "mishaps_mishap" CHECK("mishaps"."mishap" in ('knocked', 'cold-night', 'hot-car', 'sweet-drink', 'in-water', 'rain'))
);
--> statement-breakpoint
CREATE INDEX `mishaps_of_instrument` ON `mishaps` (`instrument_id`);