PRAGMA foreign_keys=OFF;--> statement-breakpoint
CREATE TABLE `__new_failures` (
	`batch` text NOT NULL,
	`variation` integer NOT NULL,
	`placement` text NOT NULL,
	`slide` integer DEFAULT 0 NOT NULL,
	`message` text NOT NULL,
	PRIMARY KEY(`batch`, `variation`, `placement`, `slide`),
	FOREIGN KEY (`batch`) REFERENCES `batches`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
INSERT INTO `__new_failures`("batch", "variation", "placement", "slide", "message") SELECT "batch", "variation", "placement", 0, "message" FROM `failures`;--> statement-breakpoint
DROP TABLE `failures`;--> statement-breakpoint
ALTER TABLE `__new_failures` RENAME TO `failures`;--> statement-breakpoint
PRAGMA foreign_keys=ON;--> statement-breakpoint
CREATE TABLE `__new_outputs` (
	`batch` text NOT NULL,
	`variation` integer NOT NULL,
	`placement` text NOT NULL,
	`slide` integer DEFAULT 0 NOT NULL,
	`width` integer NOT NULL,
	`height` integer NOT NULL,
	`bytes` integer NOT NULL,
	`sha256` text NOT NULL,
	`findings` integer NOT NULL,
	`apart` integer DEFAULT false NOT NULL,
	`measured` text,
	PRIMARY KEY(`batch`, `variation`, `placement`, `slide`),
	FOREIGN KEY (`batch`) REFERENCES `batches`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
INSERT INTO `__new_outputs`("batch", "variation", "placement", "slide", "width", "height", "bytes", "sha256", "findings", "apart", "measured") SELECT "batch", "variation", "placement", 0, "width", "height", "bytes", "sha256", "findings", "apart", "measured" FROM `outputs`;--> statement-breakpoint
DROP TABLE `outputs`;--> statement-breakpoint
ALTER TABLE `__new_outputs` RENAME TO `outputs`;