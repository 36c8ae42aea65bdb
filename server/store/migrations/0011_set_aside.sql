CREATE TABLE `set_aside` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`source` text NOT NULL,
	`row` text NOT NULL,
	`why` text NOT NULL,
	`created` text NOT NULL
);
