CREATE TABLE `change_groups` (
	`listId` text NOT NULL,
	`id` text NOT NULL,
	`first` integer NOT NULL,
	`last` integer NOT NULL,
	`size` integer NOT NULL,
	`shortcuts` integer NOT NULL,
	`deletes` integer NOT NULL,
	`deletedShortcuts` integer NOT NULL,
	PRIMARY KEY(`listId`, `id`),
	FOREIGN KEY (`listId`) REFERENCES `lists`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE TABLE `notes` (
	`name` text PRIMARY KEY NOT NULL,
	`value` text NOT NULL
);
--> statement-breakpoint
ALTER TABLE `devices` ADD `secretHash` text;--> statement-breakpoint
ALTER TABLE `devices` ADD `succeeds` text;--> statement-breakpoint
CREATE INDEX `devices_list` ON `devices` (`listId`);--> statement-breakpoint
ALTER TABLE `lists` ADD `bytes` integer DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE `lists` ADD `deletedAt` integer;--> statement-breakpoint
CREATE TABLE `new_changes` (
	`listId` text NOT NULL,
	`number` integer NOT NULL,
	`id` text NOT NULL,
	`deviceId` text NOT NULL,
	`n` integer NOT NULL,
	`recordType` text NOT NULL,
	`recordId` text NOT NULL,
	`takenAt` integer NOT NULL,
	`counts` integer DEFAULT false NOT NULL,
	`deletes` integer DEFAULT false NOT NULL,
	`together` text,
	`setBefore` text,
	`setId` text,
	`body` text NOT NULL,
	`before` text,
	PRIMARY KEY(`listId`, `number`),
	FOREIGN KEY (`listId`) REFERENCES `lists`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`deviceId`) REFERENCES `devices`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
INSERT INTO `new_changes` SELECT `listId`, `number`, `id`, `deviceId`, `n`, `recordType`, `recordId`, `takenAt`, `counts`, coalesce(json_extract(`body`, '$.fields.deleted') = 1, false), `together`, '?', '?', `body`, `before` FROM `changes` ORDER BY `listId`, `number`;--> statement-breakpoint
DROP TABLE `changes`;--> statement-breakpoint
ALTER TABLE `new_changes` RENAME TO `changes`;--> statement-breakpoint
CREATE UNIQUE INDEX `changes_device_n` ON `changes` (`deviceId`,`n`);--> statement-breakpoint
CREATE UNIQUE INDEX `changes_id` ON `changes` (`listId`,`id`);--> statement-breakpoint
CREATE INDEX `changes_record` ON `changes` (`listId`,`recordType`,`recordId`,`number`);--> statement-breakpoint
CREATE INDEX `changes_together` ON `changes` (`listId`,`together`,`number`) WHERE together IS NOT NULL;--> statement-breakpoint
CREATE INDEX `changes_deletes` ON `changes` (`listId`,`number`) WHERE deletes = 1;--> statement-breakpoint
INSERT INTO `change_groups` SELECT `listId`, `together`, min(`number`), max(`number`), count(*), sum(`recordType` = 'shortcut'), sum(`deletes`), sum(`deletes` AND `recordType` = 'shortcut') FROM `changes` WHERE `together` IS NOT NULL AND `counts` = 0 GROUP BY `listId`, `together`;--> statement-breakpoint
CREATE TABLE `new_records` (
	`listId` text NOT NULL,
	`type` text NOT NULL,
	`id` text NOT NULL,
	`number` integer NOT NULL,
	`setId` text,
	`refersTo` text,
	`isDeleted` integer DEFAULT false NOT NULL,
	`body` text NOT NULL,
	PRIMARY KEY(`listId`, `type`, `id`),
	FOREIGN KEY (`listId`) REFERENCES `lists`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
INSERT INTO `new_records` SELECT `listId`, `type`, `id`, `number`,
	CASE `type`
		WHEN 'shortcut' THEN `setId`
		WHEN 'set' THEN `id`
		WHEN 'convention' THEN coalesce(json_extract(`body`, '$.fields.scope[0].value.setId'), json_extract(`body`, '$.values.scope.setId'))
	END,
	CASE `type` WHEN 'leftFinding' THEN coalesce(json_extract(`body`, '$.fields.shortcutId[0].value'), json_extract(`body`, '$.values.shortcutId')) END,
	`isDeleted`, `body` FROM `records` ORDER BY `listId`, `number`;--> statement-breakpoint
DROP TABLE `records`;--> statement-breakpoint
ALTER TABLE `new_records` RENAME TO `records`;--> statement-breakpoint
CREATE INDEX `records_number` ON `records` (`listId`,`number`);--> statement-breakpoint
CREATE INDEX `records_refers_to` ON `records` (`listId`,`refersTo`) WHERE refersTo IS NOT NULL;--> statement-breakpoint
UPDATE `lists` SET `bytes` =
	coalesce((SELECT sum(length(CAST(`body` AS BLOB))) FROM `records` WHERE `listId` = `lists`.`id`), 0) +
	coalesce((SELECT sum(length(CAST(`body` AS BLOB)) + coalesce(length(CAST(`before` AS BLOB)), 0)) FROM `changes` WHERE `listId` = `lists`.`id`), 0);
