ALTER TABLE `brands` ADD `lock` text;--> statement-breakpoint
ALTER TABLE `deliveries` ADD `document` text;--> statement-breakpoint
ALTER TABLE `deliveries` ADD `brand` text;