CREATE TABLE `changes` (
	`listId` text NOT NULL,
	`number` integer NOT NULL,
	`id` text NOT NULL,
	`deviceId` text NOT NULL,
	`n` integer NOT NULL,
	`recordType` text NOT NULL,
	`recordId` text NOT NULL,
	`body` text NOT NULL,
	`takenAt` integer NOT NULL,
	PRIMARY KEY(`listId`, `number`),
	FOREIGN KEY (`listId`) REFERENCES `lists`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`deviceId`) REFERENCES `devices`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE UNIQUE INDEX `changes_device_n` ON `changes` (`deviceId`,`n`);--> statement-breakpoint
CREATE UNIQUE INDEX `changes_id` ON `changes` (`listId`,`id`);--> statement-breakpoint
CREATE INDEX `changes_record` ON `changes` (`listId`,`recordType`,`recordId`);--> statement-breakpoint
CREATE TABLE `devices` (
	`id` text PRIMARY KEY NOT NULL,
	`listId` text NOT NULL,
	`name` text NOT NULL,
	`kind` text NOT NULL,
	`tokenHash` text NOT NULL,
	`lastN` integer DEFAULT 0 NOT NULL,
	`createdAt` integer NOT NULL,
	`seenAt` integer,
	FOREIGN KEY (`listId`) REFERENCES `lists`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE TABLE `lists` (
	`id` text PRIMARY KEY NOT NULL,
	`name` text NOT NULL,
	`lastNumber` integer DEFAULT 0 NOT NULL,
	`createdAt` integer NOT NULL
);
--> statement-breakpoint
CREATE TABLE `records` (
	`listId` text NOT NULL,
	`type` text NOT NULL,
	`id` text NOT NULL,
	`number` integer NOT NULL,
	`body` text NOT NULL,
	PRIMARY KEY(`listId`, `type`, `id`),
	FOREIGN KEY (`listId`) REFERENCES `lists`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `records_number` ON `records` (`listId`,`number`);