ALTER TABLE `edits` ADD `shown_before` text;--> statement-breakpoint
ALTER TABLE `edits` ADD `shown_after` text;