ALTER TABLE `files` ADD `brand` text;--> statement-breakpoint
UPDATE `files` SET `brand` = (SELECT `id` FROM `brands` WHERE abs(julianday(`brands`.`created`) - julianday(`files`.`created`)) < 0.00025 LIMIT 1) WHERE `picture` IS NOT NULL;
