ALTER TABLE `batches` ADD `places` text;--> statement-breakpoint
ALTER TABLE `deliveries` ADD `places` text;