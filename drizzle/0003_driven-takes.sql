CREATE TABLE `takes` (
	`id` text PRIMARY KEY NOT NULL,
	`manoeuvre_id` text NOT NULL,
	`manoeuvre` text NOT NULL,
	`recording` text NOT NULL,
	`notes` text NOT NULL,
	`summary` text,
	`started_at` integer NOT NULL,
	`updated_at` integer NOT NULL,
	`removed_at` integer,
	FOREIGN KEY (`manoeuvre_id`) REFERENCES `manoeuvres`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `takes_of_manoeuvre` ON `takes` (`manoeuvre_id`,`started_at`);