CREATE TABLE `last_results` (
	`manoeuvre_id` text PRIMARY KEY NOT NULL,
	`manoeuvre_revision` integer NOT NULL,
	`boat_revision` integer NOT NULL,
	`place_revision` integer NOT NULL,
	`document` text NOT NULL,
	`updated_at` integer NOT NULL,
	FOREIGN KEY (`manoeuvre_id`) REFERENCES `manoeuvres`(`id`) ON UPDATE no action ON DELETE cascade
);
