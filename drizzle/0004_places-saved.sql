ALTER TABLE `places` ADD `revision` integer DEFAULT 1 NOT NULL;--> statement-breakpoint
ALTER TABLE `places` ADD `removed_at` integer;