ALTER TABLE `batches` ADD `deleted` text;--> statement-breakpoint
ALTER TABLE `crates` ADD `deleted` text;--> statement-breakpoint
ALTER TABLE `deliveries` ADD `deleted` text;--> statement-breakpoint
ALTER TABLE `files` ADD `deleted` text;--> statement-breakpoint
ALTER TABLE `pieces` ADD `deleted` text;