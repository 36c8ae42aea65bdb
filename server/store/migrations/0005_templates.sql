CREATE TABLE `templates` (
	`id` text PRIMARY KEY NOT NULL,
	`document` text NOT NULL,
	`created` text NOT NULL
);
