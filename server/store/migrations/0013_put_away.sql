CREATE TABLE `put_away` (
	`number` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`id` text NOT NULL,
	`name` text NOT NULL,
	`kept` text NOT NULL,
	`deleted` text NOT NULL
);
