/**
 * What goes over the wire, parsed at both ends. Paths and meanings: docs/formats.md. Some names are called otherwise
 * there than here: parsing gives ours.
 */
import { z } from 'zod';

import { DEVICE_KINDS, RECORD_TYPES, RecordIdSchema, type RecordType } from '../model';
import { ChangeSchema, type Change } from './change';
import { ClockSchema } from './clock';
import type { LoggedChange } from './history';
import { unpackRecord, type PackedRecord } from './packed';
import type { StoredRecord } from './record';

/** At most this many changes in one push; the body stays under the server's limit. */
export const LARGEST_PUSH = 200;

export const PushSchema = z.strictObject({ changes: z.array(ChangeSchema).min(1).max(LARGEST_PUSH) });
export interface Push {
  changes: Change[];
}

/** Looked at as far as it takes to tell a record from something else: the server has checked every change of it. */
function isRecord(value: unknown): value is StoredRecord | PackedRecord {
  const record = value as Partial<StoredRecord & PackedRecord> | null;
  return (
    typeof record === 'object' &&
    record !== null &&
    typeof record.id === 'string' &&
    (record.type as string) in RECORD_TYPES &&
    typeof (record.fields ?? record.values) === 'object'
  );
}

/** All records of a page in one step: with a schema for each, ten thousand take longer to parse than to fetch. */
const StoredRecordsSchema = z.custom<unknown[]>(Array.isArray, 'is no list of records').transform((values, context) =>
  values.map((value, index): StoredRecord => {
    if (isRecord(value)) return unpackRecord(value);
    context.addIssue({ code: 'custom', message: 'is no record', path: [index] });
    return z.NEVER;
  }),
);

const RecordNameSchema = z.object({
  type: z.enum(Object.keys(RECORD_TYPES) as [RecordType, ...RecordType[]]),
  id: z.string(),
});

/** What a device may do: edit the list, or only use it. */
export const MAY = ['edit', 'use'] as const;
export type May = (typeof MAY)[number];

/** Which sets a device receives, by id, null for what is in no set; null: all. */
export const SubscribedSetsSchema = z.array(RecordIdSchema.nullable()).max(500).nullable();
export type SubscribedSets = z.infer<typeof SubscribedSetsSchema>;

/** Whether a device looks after the list: lets others in, sets what they may do, deletes it. It edits, and gets all sets. */
export function mayManage({ may, subscribedSets }: { may: May; subscribedSets: unknown }): boolean {
  return may === 'edit' && subscribedSets === null;
}

/**
 * Records as they stand, in the order of their last change: a page, an event of the stream, or
 * the answer to a push. `through`: all changes up to this number of the log are in it, or in what
 * came before. `last`: the id of the change with that number, by which the server tells later whether this is still
 * its log; null: it no longer has that change. `taken`: the last number of this device's own changes that the server has.
 * `removed`: records that are not, or no longer, among what the device takes. `fresh`: what the
 * device asked to go on from is forgotten, or was of other sets; these pages begin a new copy, and
 * what is in none of them is gone. `parted`: it is fresh since the server's data was set back, and has gone another way
 * since: what the device has from before may be missing there.
 */
export const PageSchema = z
  .object({
    records: StoredRecordsSchema,
    removed: z.array(RecordNameSchema),
    through: z.int().nonnegative(),
    last: z.string().nullable().default(null),
    taken: z.int().nonnegative(),
    more: z.boolean(),
    fresh: z.boolean(),
    parted: z.boolean().default(false),
    may: z.enum(MAY),
    takes: SubscribedSetsSchema,
  })
  .transform(({ taken, takes, ...page }) => ({ ...page, acknowledged: taken, subscribedSets: takes }));
export interface Page {
  records: StoredRecord[];
  removed: { type: RecordType; id: string }[];
  through: number;
  last: string | null;
  acknowledged: number;
  more: boolean;
  fresh: boolean;
  parted: boolean;
  may: May;
  subscribedSets: SubscribedSets;
}

/** The answer to a push: the last of the device's own numbers that the server has, and the newest number of the list. */
export const PushAnswerSchema = z
  .object({ taken: z.int().nonnegative(), through: z.int().nonnegative() })
  .transform(({ taken, through }) => ({ acknowledged: taken, through }));
export type PushAnswer = z.output<typeof PushAnswerSchema>;

/** A name of a device or a list: one line. */
const NameSchema = z
  .string()
  .trim()
  .min(1)
  .max(60)
  .regex(/^[^\p{Cc}\p{Cs}]*$/u, 'holds a control character');

/** A device introduces itself. Its id is its own choice, so that it can work before it is known. */
export const NewDeviceSchema = z.strictObject({
  id: z.uuid({ version: 'v7' }),
  name: NameSchema,
  kind: z.enum(DEVICE_KINDS),
  /**
   * 256 random bits (base64url) that it tells nobody but the server. If the welcome is lost on the way, only who knows
   * this secret may ask for it again.
   */
  secret: z
    .string()
    .regex(/^[A-Za-z0-9_-]{43}$/)
    .optional(),
});
export type NewDevice = z.infer<typeof NewDeviceSchema>;

/** A device begins a list, under an id of its own choice. */
export const NewListSchema = z.strictObject({
  list: z.strictObject({ id: z.uuid({ version: 'v7' }), name: NameSchema }),
  device: NewDeviceSchema,
});
export type NewList = z.infer<typeof NewListSchema>;

/** A device joins by a code from one that is in, or by the spare key; as core/join reads them. */
export const JoinSchema = z.strictObject({ code: z.string().max(64), device: NewDeviceSchema });
export const RecoverySchema = z.strictObject({ spareKey: z.string().max(128), device: NewDeviceSchema });

export const WelcomeSchema = z.object({
  device: z.string(),
  list: z.object({ id: z.string(), name: z.string() }),
  /** Its token, told to our extension alone, which has no cookies of its own. */
  token: z.string().optional(),
});
export type Welcome = z.infer<typeof WelcomeSchema>;

/** What a server is to one who is not in: `open`, whoever reaches it gets its one list; `lists`, new lists may be started here. */
export const DoorSchema = z.object({ open: z.boolean(), lists: z.boolean().default(true) });
export type Door = z.infer<typeof DoorSchema>;

/** A device of the list as its others see it. Times in ms since 1970. */
export const DeviceInfoSchema = z
  .object({
    id: z.string(),
    name: z.string(),
    kind: z.enum(DEVICE_KINDS),
    joined: z.int(),
    /** Null: it was never heard of since it joined. */
    seen: z.int().nullable(),
    /** Whether its stream is open. */
    isHere: z.boolean(),
    /** How many changes of the list it does not have. */
    behind: z.int().nonnegative(),
    may: z.enum(MAY),
    takes: SubscribedSetsSchema,
    signedOut: z.int().nullable(),
  })
  .transform(({ takes, ...info }) => ({ ...info, subscribedSets: takes }));
export type DeviceInfo = z.output<typeof DeviceInfoSchema>;

/** The devices of a list, those signed out among them, since history names them; and where others reach it. */
export const DirectorySchema = z.object({
  list: z.object({ id: z.string(), name: z.string() }),
  devices: z.array(DeviceInfoSchema),
  /** When the spare key in force was made; null: there is none. */
  spareKey: z.int().nullable(),
  /** The address at which other devices reach this server, if it was told. */
  address: z.string().nullable(),
  /**
   * Where a phone on the same network learns to trust this server, and the fingerprint it compares; and the server's address without a name.
   * Null: no need.
   */
  trust: z.object({ address: z.string(), fingerprint: z.string(), byNumber: z.string() }).nullable().default(null),
  /** Whether the list is open to everyone who reaches the server. */
  open: z.boolean().default(false),
});
export type Directory = z.output<typeof DirectorySchema>;
/** The same as it is sent. */
export type SentDirectory = z.input<typeof DirectorySchema>;

/** What one device sets for another, or for itself. */
export const DeviceSettingsSchema = z
  .strictObject({ name: NameSchema, kind: z.enum(DEVICE_KINDS), may: z.enum(MAY), takes: SubscribedSetsSchema })
  .partial()
  .transform(({ takes, ...settings }) => (takes === undefined ? settings : { ...settings, subscribedSets: takes }));
export interface DeviceSettings {
  name?: string;
  kind?: (typeof DEVICE_KINDS)[number];
  may?: May;
  subscribedSets?: SubscribedSets;
}

export const InvitationSchema = z.object({ code: z.string(), until: z.int() });
export type Invitation = z.infer<typeof InvitationSchema>;

export const SpareKeySchema = z.object({ spareKey: z.string() });

/** A part of the log, latest first. `more`: there is an earlier part, before the number `next`. */
export const HistorySchema = z.object({
  changes: z.array(
    z.object({
      number: z.int(),
      id: z.string(),
      record: RecordNameSchema,
      fields: z.record(z.string(), z.unknown()),
      before: z.record(z.string(), z.unknown()).nullable(),
      clock: ClockSchema,
      device: z.string(),
      together: z.object({ id: z.string(), size: z.int(), shortcuts: z.int() }).nullable(),
    }),
  ),
  next: z.int().nullable(),
});
export interface History {
  changes: LoggedChange[];
  next: number | null;
}

/** Problem details for HTTP APIs (RFC 9457); `errors` points at what in the body is wrong. */
export const ProblemSchema = z.object({
  type: z.string(),
  title: z.string(),
  status: z.int(),
  detail: z.string().optional(),
  expected: z.int().optional(),
  errors: z.array(z.object({ pointer: z.string(), detail: z.string(), index: z.int().optional() })).optional(),
});
export type Problem = z.infer<typeof ProblemSchema>;
