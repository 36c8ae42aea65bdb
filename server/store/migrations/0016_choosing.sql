CREATE TABLE `verdicts` (
	`batch` text NOT NULL,
	`variation` integer NOT NULL,
	`verdict` text,
	`note` text DEFAULT '' NOT NULL,
	PRIMARY KEY(`batch`, `variation`),
	FOREIGN KEY (`batch`) REFERENCES `batches`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
ALTER TABLE `batches` ADD `results` text;--> statement-breakpoint
ALTER TABLE `outputs` ADD `measured` text;--> statement-breakpoint
UPDATE `batches` SET `variations` = (SELECT json_group_array(json_object('message', json(`value`))) FROM json_each(`batches`.`variations`));
