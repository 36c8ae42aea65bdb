CREATE TABLE `brand_versions` (
	`brand` text NOT NULL,
	`number` integer NOT NULL,
	`document` text NOT NULL,
	`created` text NOT NULL,
	PRIMARY KEY(`brand`, `number`),
	FOREIGN KEY (`brand`) REFERENCES `brands`(`id`) ON UPDATE no action ON DELETE no action
);
