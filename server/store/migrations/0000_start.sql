CREATE TABLE `batches` (
	`id` text PRIMARY KEY NOT NULL,
	`piece` text NOT NULL,
	`state` text NOT NULL,
	`request` text NOT NULL,
	`variations` text NOT NULL,
	`document` text NOT NULL,
	`brand` text NOT NULL,
	`failed` integer DEFAULT 0 NOT NULL,
	`message` text,
	`created` text NOT NULL,
	FOREIGN KEY (`piece`) REFERENCES `pieces`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE INDEX `batches_by_piece` ON `batches` (`piece`);--> statement-breakpoint
CREATE TABLE `brands` (
	`id` text PRIMARY KEY NOT NULL,
	`document` text NOT NULL,
	`created` text NOT NULL
);
--> statement-breakpoint
CREATE TABLE `crates` (
	`id` text PRIMARY KEY NOT NULL,
	`name` text NOT NULL,
	`brand` text NOT NULL,
	`created` text NOT NULL,
	FOREIGN KEY (`brand`) REFERENCES `brands`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE TABLE `deliveries` (
	`id` text PRIMARY KEY NOT NULL,
	`piece` text NOT NULL,
	`state` text NOT NULL,
	`request` text NOT NULL,
	`made` integer DEFAULT 0 NOT NULL,
	`files` integer NOT NULL,
	`bytes` integer DEFAULT 0 NOT NULL,
	`name` text NOT NULL,
	`message` text,
	`created` text NOT NULL,
	FOREIGN KEY (`piece`) REFERENCES `pieces`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE INDEX `deliveries_by_piece` ON `deliveries` (`piece`);--> statement-breakpoint
CREATE TABLE `edits` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`piece` text NOT NULL,
	`edit` text NOT NULL,
	`undone` integer DEFAULT false NOT NULL,
	`at` real NOT NULL,
	FOREIGN KEY (`piece`) REFERENCES `pieces`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE INDEX `edits_by_piece` ON `edits` (`piece`,`id`);--> statement-breakpoint
CREATE TABLE `files` (
	`id` text PRIMARY KEY NOT NULL,
	`name` text NOT NULL,
	`bytes` integer NOT NULL,
	`picture` text,
	`created` text NOT NULL
);
--> statement-breakpoint
CREATE TABLE `outputs` (
	`batch` text NOT NULL,
	`variation` integer NOT NULL,
	`placement` text NOT NULL,
	`width` integer NOT NULL,
	`height` integer NOT NULL,
	`bytes` integer NOT NULL,
	`sha256` text NOT NULL,
	`findings` integer NOT NULL,
	PRIMARY KEY(`batch`, `variation`, `placement`),
	FOREIGN KEY (`batch`) REFERENCES `batches`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE TABLE `pieces` (
	`id` text PRIMARY KEY NOT NULL,
	`crate` text NOT NULL,
	`position` integer NOT NULL,
	`revision` integer DEFAULT 0 NOT NULL,
	`document` text NOT NULL,
	`created` text NOT NULL,
	FOREIGN KEY (`crate`) REFERENCES `crates`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `pieces_by_crate` ON `pieces` (`crate`,`position`);--> statement-breakpoint
CREATE TABLE `settings` (
	`key` text NOT NULL,
	`value` text NOT NULL
);
--> statement-breakpoint
CREATE UNIQUE INDEX `settings_key_unique` ON `settings` (`key`);