-- The plays of an evening were told under the evening, which has no line of its own: they stood in no record.
UPDATE `fact_subjects` SET `listed_at` = (
  SELECT CAST(julianday(`play`.`on`) - julianday('1970-01-01') AS INTEGER) * 1440 + coalesce(`play`.`at_minute`, 0)
  FROM `facts` `play` WHERE `play`.`id` = `fact_subjects`.`fact_id`)
WHERE `fact_id` IN (
  SELECT `play`.`id` FROM `facts` `evening` JOIN `facts` `play` ON `play`.`belongs_to` = `evening`.`id`
  WHERE `evening`.`kind` = 'evening' AND `play`.`kind` = 'play');
