CREATE TABLE `records` (
	`id` text PRIMARY KEY NOT NULL,
	`manoeuvre_id` text NOT NULL,
	`document` text NOT NULL,
	`created_at` integer NOT NULL,
	`removed_at` integer,
	FOREIGN KEY (`manoeuvre_id`) REFERENCES `manoeuvres`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `records_of_manoeuvre` ON `records` (`manoeuvre_id`,`created_at`);