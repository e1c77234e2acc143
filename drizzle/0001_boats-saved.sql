ALTER TABLE `boats` ADD `revision` integer DEFAULT 1 NOT NULL;--> statement-breakpoint
ALTER TABLE `boats` ADD `removed_at` integer;