CREATE TABLE `invitations` (
	`codeHash` text PRIMARY KEY NOT NULL,
	`listId` text NOT NULL,
	`deviceId` text NOT NULL,
	`until` integer NOT NULL,
	FOREIGN KEY (`listId`) REFERENCES `lists`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`deviceId`) REFERENCES `devices`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
ALTER TABLE `changes` ADD `before` text;--> statement-breakpoint
ALTER TABLE `changes` ADD `together` text;--> statement-breakpoint
ALTER TABLE `changes` ADD `counts` integer DEFAULT false NOT NULL;--> statement-breakpoint
CREATE INDEX `changes_taken_at` ON `changes` (`takenAt`);--> statement-breakpoint
ALTER TABLE `devices` ADD `through` integer DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE `devices` ADD `may` text DEFAULT 'edit' NOT NULL;--> statement-breakpoint
ALTER TABLE `devices` ADD `takes` text;--> statement-breakpoint
ALTER TABLE `devices` ADD `signedOutAt` integer;--> statement-breakpoint
ALTER TABLE `lists` ADD `forgotten` integer DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE `lists` ADD `spareKeyHash` text;--> statement-breakpoint
ALTER TABLE `lists` ADD `spareKeyMadeAt` integer;--> statement-breakpoint
CREATE UNIQUE INDEX `lists_spare_key` ON `lists` (`spareKeyHash`);--> statement-breakpoint
ALTER TABLE `records` ADD `setId` text;--> statement-breakpoint
ALTER TABLE `records` ADD `isDeleted` integer DEFAULT false NOT NULL;--> statement-breakpoint
UPDATE `records` SET `setId` = json_extract(`body`, '$.fields.setId[0].value'), `isDeleted` = coalesce(json_extract(`body`, '$.fields.deleted[0].value') IN (1, 'erased'), false);--> statement-breakpoint
UPDATE `changes` SET `before` = '{}';
