CREATE TABLE `imported_dates` (
	`id` integer PRIMARY KEY NOT NULL,
	`key` text NOT NULL,
	`event` text NOT NULL
);
--> statement-breakpoint
CREATE INDEX `imported_dates_of_key` ON `imported_dates` (`key`);--> statement-breakpoint
DROP INDEX `calendar_imports_of_player`;--> statement-breakpoint
ALTER TABLE `calendar_imports` ADD `dates` text DEFAULT '[]' NOT NULL;--> statement-breakpoint
ALTER TABLE `calendar_imports` ADD `sent` text;--> statement-breakpoint
ALTER TABLE `calendar_imports` ADD `counts` integer DEFAULT true NOT NULL;--> statement-breakpoint
CREATE INDEX `calendar_imports_of_player` ON `calendar_imports` (`player_id`,`counts`,`calendar`,`fact_id`);--> statement-breakpoint
-- Each date once, however often its calendar was imported.
INSERT INTO `imported_dates` (`key`, `event`)
SELECT DISTINCT json_extract(`date`.`value`, '$.key'), json_remove(`date`.`value`, '$.key')
FROM `calendar_imports`, json_each(`calendar_imports`.`events`) `date`;--> statement-breakpoint
UPDATE `calendar_imports` SET
  `counts` = (SELECT `facts`.`counts` FROM `facts` WHERE `facts`.`id` = `calendar_imports`.`fact_id`),
  `dates` = (
    SELECT json_group_array(`imported_dates`.`id` ORDER BY `date`.`key`)
    FROM json_each(`calendar_imports`.`events`) `date`
    JOIN `imported_dates` ON `imported_dates`.`key` = json_extract(`date`.`value`, '$.key')
      AND `imported_dates`.`event` = json_remove(`date`.`value`, '$.key'));
