ALTER TABLE `takes` RENAME TO `runs`;--> statement-breakpoint
DROP INDEX `takes_of_manoeuvre`;--> statement-breakpoint
DROP INDEX `takes_by_manoeuvre_text`;--> statement-breakpoint
DROP INDEX `takes_by_recording_text`;--> statement-breakpoint
CREATE INDEX `runs_of_manoeuvre` ON `runs` (`manoeuvre_id`,`started_at`);--> statement-breakpoint
CREATE INDEX `runs_by_manoeuvre_text` ON `runs` (`manoeuvre_text`);--> statement-breakpoint
CREATE INDEX `runs_by_recording_text` ON `runs` (`recording_text`);--> statement-breakpoint
ALTER TABLE `figures` RENAME TO `techniques`;
