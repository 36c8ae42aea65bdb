CREATE TABLE `variation_pieces` (
	`batch` text NOT NULL,
	`variation` integer NOT NULL,
	`piece` text NOT NULL,
	`base` text NOT NULL,
	PRIMARY KEY(`batch`, `variation`),
	FOREIGN KEY (`batch`) REFERENCES `batches`(`id`) ON UPDATE no action ON DELETE cascade,
	FOREIGN KEY (`piece`) REFERENCES `pieces`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE UNIQUE INDEX `variation_pieces_piece_unique` ON `variation_pieces` (`piece`);--> statement-breakpoint
ALTER TABLE `batches` ADD `again` integer DEFAULT 0 NOT NULL;