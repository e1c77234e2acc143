CREATE TABLE `figures` (
	`id` text PRIMARY KEY NOT NULL,
	`document` text NOT NULL,
	`created_at` integer NOT NULL
);
