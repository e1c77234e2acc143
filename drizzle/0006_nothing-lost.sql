CREATE TABLE `counters` (
	`name` text PRIMARY KEY NOT NULL,
	`value` integer NOT NULL
);
--> statement-breakpoint
CREATE TABLE `texts` (
	`id` text PRIMARY KEY NOT NULL,
	`text` text NOT NULL
);
--> statement-breakpoint
ALTER TABLE `boats` ADD `shipped` text;--> statement-breakpoint
ALTER TABLE `manoeuvres` ADD `shipped` text;--> statement-breakpoint
ALTER TABLE `places` ADD `shipped` text;--> statement-breakpoint
INSERT INTO `texts` (`id`, `text`) SELECT 'm-' || `id`, `manoeuvre` FROM `takes`;--> statement-breakpoint
INSERT INTO `texts` (`id`, `text`) SELECT 'r-' || `id`, `recording` FROM `takes`;--> statement-breakpoint
CREATE TABLE `__new_takes` (
	`id` text PRIMARY KEY NOT NULL,
	`manoeuvre_id` text NOT NULL,
	`manoeuvre_text` text NOT NULL,
	`recording_text` text NOT NULL,
	`notes` text NOT NULL,
	`summary` text,
	`started_at` integer NOT NULL,
	`updated_at` integer NOT NULL,
	`removed_at` integer,
	FOREIGN KEY (`manoeuvre_id`) REFERENCES `manoeuvres`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`manoeuvre_text`) REFERENCES `texts`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`recording_text`) REFERENCES `texts`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
INSERT INTO `__new_takes` SELECT `id`, `manoeuvre_id`, 'm-' || `id`, 'r-' || `id`, `notes`, `summary`, `started_at`, `updated_at`, `removed_at` FROM `takes`;--> statement-breakpoint
DROP TABLE `takes`;--> statement-breakpoint
ALTER TABLE `__new_takes` RENAME TO `takes`;--> statement-breakpoint
CREATE INDEX `takes_of_manoeuvre` ON `takes` (`manoeuvre_id`,`started_at`);--> statement-breakpoint
CREATE INDEX `takes_by_manoeuvre_text` ON `takes` (`manoeuvre_text`);--> statement-breakpoint
CREATE INDEX `takes_by_recording_text` ON `takes` (`recording_text`);
