-- What names instruments stands in their records, and no longer in that of everything else their player has.
UPDATE `fact_subjects` SET `listed_at` = NULL
WHERE `listed_at` IS NOT NULL
  AND `subject_id` IN (SELECT `id` FROM `subjects` WHERE `kind` = 'player')
  AND EXISTS (
    SELECT 1 FROM `fact_subjects` `other` JOIN `subjects` ON `subjects`.`id` = `other`.`subject_id`
    WHERE `other`.`fact_id` = `fact_subjects`.`fact_id` AND `subjects`.`kind` = 'instrument'
  );
