CREATE INDEX `events_paid` ON `events` (`fact_id`) WHERE json_extract("events"."stay", '$.cost.currency') is not null;--> statement-breakpoint
CREATE INDEX `plays_of_player` ON `plays` (`player_id`,`counts`,`wall_minute`);--> statement-breakpoint
CREATE INDEX `reed_boxes_paid` ON `reed_boxes` (`fact_id`) WHERE "reed_boxes"."currency" is not null;