-- Amounts are kept in the smallest coins. Which those are was asked of the runtime, which writes these currencies in whole
-- units; ISO 4217 gives them decimals. What is said to have been paid stays what it was.
UPDATE `reed_boxes` SET `cost_minor` = `cost_minor` * CASE `currency` WHEN 'IQD' THEN 1000 ELSE 100 END
WHERE `currency` IN ('AFN', 'ALL', 'COP', 'HUF', 'IDR', 'IQD', 'IRR', 'KPW', 'LAK', 'LBP', 'MGA', 'MMK', 'PKR', 'SOS', 'SYP', 'YER');
--> statement-breakpoint
UPDATE `events` SET `stay` = json_set(`stay`, '$.cost.minor',
  json_extract(`stay`, '$.cost.minor') * CASE json_extract(`stay`, '$.cost.currency') WHEN 'IQD' THEN 1000 ELSE 100 END)
WHERE json_extract(`stay`, '$.cost.currency') IN ('AFN', 'ALL', 'COP', 'HUF', 'IDR', 'IQD', 'IRR', 'KPW', 'LAK', 'LBP', 'MGA', 'MMK', 'PKR', 'SOS', 'SYP', 'YER');
