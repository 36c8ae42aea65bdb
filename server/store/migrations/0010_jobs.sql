CREATE TABLE `failures` (
	`batch` text NOT NULL,
	`variation` integer NOT NULL,
	`placement` text NOT NULL,
	`message` text NOT NULL,
	PRIMARY KEY(`batch`, `variation`, `placement`),
	FOREIGN KEY (`batch`) REFERENCES `batches`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE TABLE `jobs` (
	`id` text PRIMARY KEY NOT NULL,
	`kind` text NOT NULL,
	`state` text NOT NULL,
	`runs` integer DEFAULT 0 NOT NULL,
	`tries` integer DEFAULT 0 NOT NULL,
	`message` text,
	`created` text NOT NULL
);
--> statement-breakpoint
CREATE INDEX `jobs_by_state` ON `jobs` (`state`);--> statement-breakpoint
INSERT INTO `jobs` (`id`, `kind`, `state`, `runs`, `message`, `created`)
	SELECT `id`, 'batch', `state`, 1, `message`, `created` FROM `batches`;--> statement-breakpoint
INSERT INTO `jobs` (`id`, `kind`, `state`, `runs`, `message`, `created`)
	SELECT `id`, 'delivery', CASE `state` WHEN 'ready' THEN 'done' WHEN 'making' THEN 'queued' ELSE `state` END, 1, `message`, `created`
	FROM `deliveries`;--> statement-breakpoint
ALTER TABLE `batches` DROP COLUMN `state`;--> statement-breakpoint
ALTER TABLE `batches` DROP COLUMN `failed`;--> statement-breakpoint
ALTER TABLE `batches` DROP COLUMN `message`;--> statement-breakpoint
ALTER TABLE `deliveries` DROP COLUMN `state`;--> statement-breakpoint
ALTER TABLE `deliveries` DROP COLUMN `message`;