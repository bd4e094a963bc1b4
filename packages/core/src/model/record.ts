import { z } from 'zod';

import { checkedText, LanguageSchema, lineOf } from './checked';
import { checkCode } from './code';
import { ConventionFieldsSchema, type ConventionFields } from './convention';
import {
  CarriedFieldsSchema,
  DeviceFieldsSchema,
  LeftOutFieldsSchema,
  type CarriedFields,
  type DeviceFields,
  type LeftOutFields,
} from './device';
import { checkExpansion } from './expansion';
import { KeyboardFieldsSchema, KeyboardUseSchema, type KeyboardFields } from './keyboard';
import { KINDS } from './kind';
import {
  LearnerFieldsSchema,
  LearningFieldsSchema,
  type LearnerFields,
  type LearningFields,
  type LearningState,
} from './learning';
import { LIMITS } from './limits';
import { markdownShown } from './markdownShown';
import { AskedRulesSchema } from './rules';
import { RecordIdSchema } from './recordId';

/** What a shortcut gives: one field for merging, since its parts mean nothing apart. */
export const ContentSchema = z.strictObject({
  expansion: checkedText(checkExpansion),
  template: z.boolean(),
  format: z.enum(['plain', 'markdown']),
});
export type Content = z.infer<typeof ContentSchema>;

const CodeSchema = checkedText((code) => checkCode(code)).refine((code) => code === code.trim(), {
  message: 'must not begin or end with white space',
});

/** A fractional key: a string between those of its neighbours. */
const OrderSchema = z.string().regex(/^[A-Za-z0-9]{1,200}$/);

/** A part of a person's card (RFC 6350): `uid` is the card's, or a key made of its name; `part` says which of its values. */
export const CardLinkSchema = z.strictObject({
  uid: z.string().min(1).max(LIMITS.cardUid),
  part: z.string().regex(/^[a-z][a-z-]{0,29}(?: \d{1,3})?$/),
});
export type CardLink = z.infer<typeof CardLinkSchema>;

export const TagLimitSchema = z.int().min(1).max(LIMITS.tags);

/** The fields of a shortcut, each merged on its own. `setId` null: in no set. */
export const ShortcutFieldsSchema = z.strictObject({
  code: CodeSchema,
  content: ContentSchema,
  kind: z.enum(KINDS),
  setId: RecordIdSchema.nullable(),
  /** The rules it asks for itself. */
  rules: AskedRulesSchema,
  /** How often its owner says it is used in a week; null: not said. */
  usesAWeek: z.number().min(0).max(LIMITS.usesAWeek).nullable(),
  /** The code it had before, which goes on firing until a moment (ms since 1970), so that the new one is learnt. */
  former: z.strictObject({ code: CodeSchema, until: z.int() }).nullable(),
  /** Its place on the tap board; null: it is not there. */
  pinned: OrderSchema.nullable(),
  /** What its owner wants to remember of it: one line, or nothing. */
  note: lineOf(LIMITS.noteClusters, 0),
  /** The language it is written in; null: any. */
  language: LanguageSchema.nullable(),
  /** Whose card it was made from and which part of it, so that a later card of the same person changes it; null: from none. */
  card: CardLinkSchema.nullable(),
  /** Of a block of tags: how many of them may go into one message; null: any number. */
  tagLimit: TagLimitSchema.nullable(),
});
export type ShortcutFields = z.infer<typeof ShortcutFieldsSchema>;

export { isMade } from './made';

/**
 * How often it was used on one device since a moment (ms since 1970). A counter: each device counts for itself, and
 * what is shown is the sum.
 */
export const UsedSchema = z.strictObject({
  count: z.int().nonnegative().max(LIMITS.usesInAll),
  since: z.int().nonnegative(),
});
export type Used = z.infer<typeof UsedSchema>;

/** The fields of a set. */
export const SetFieldsSchema = z.strictObject({
  name: lineOf(LIMITS.setNameClusters),
  icon: z.string().regex(/^[a-z][a-z-]{0,31}$/),
  order: OrderSchema,
});
export type SetFields = z.infer<typeof SetFieldsSchema>;

/**
 * A finding that a person has looked at and left as it is. `about` tells of what it was left: when the
 * finding is of something else, or worse, it comes back.
 */
export const IgnoredFindingFieldsSchema = z.strictObject({
  shortcutId: RecordIdSchema,
  finding: z.string().regex(/^[a-z][a-z -]{0,39}$/),
  about: z.string().min(1).max(500),
  reason: lineOf(LIMITS.reasonClusters),
});
export type IgnoredFindingFields = z.infer<typeof IgnoredFindingFieldsSchema>;

/**
 * What holds for the whole list: the languages its owner writes in (BCP 47). `devices` (ids of profiles) and `keyboards` are what
 * was chosen before devices were records: `hasDevices` false says that they still count for devices of which there is no record.
 */
export const ListFieldsSchema = z.strictObject({
  languages: z.array(LanguageSchema).min(1).max(12),
  devices: z
    .array(z.string().regex(/^[a-z][a-z-]{0,39}$/))
    .min(1)
    .max(12),
  keyboards: z.array(KeyboardUseSchema).max(LIMITS.keyboards),
  hasDevices: z.boolean(),
});
export type ListFields = z.infer<typeof ListFieldsSchema>;

/** The id of the one record of type `list` that a list has. */
export const LIST_RECORD_ID = '00000000-0000-7000-8000-000000000001';

/**
 * Every type of record that travels. A new type is a new line here: outbox, log, pages and
 * stream carry it without knowing it. `guarded` fields hold what a person wrote: an edit of one
 * of them outlives a delete made elsewhere without knowledge of it. `settled` fields are those of
 * which a person is asked to choose where devices wrote without knowing of each other; of the others
 * the later counts. `counters` are counted by each device for itself. `defaults`: what a field is
 * that a record was made without, since it came to the model later. `most`: how many a list may hold, those
 * among them that were deleted and may still come back. `since`: the version of the model that brought it; a device of an
 * earlier one is not sent it. `isOwn`: what one person does for themselves, without changing the list.
 */
export const RECORD_TYPES = {
  shortcut: {
    fields: ShortcutFieldsSchema,
    guarded: ['code', 'content', 'note'],
    settled: ['content', 'code', 'kind', 'setId', 'rules', 'note'],
    counters: { used: UsedSchema },
    defaults: {
      rules: {},
      usesAWeek: null,
      former: null,
      pinned: null,
      note: '',
      language: null,
      card: null,
      tagLimit: null,
    },
    most: LIMITS.shortcutsPerList,
    since: 1,
  },
  set: {
    fields: SetFieldsSchema,
    guarded: ['name'],
    settled: ['name'],
    counters: {},
    defaults: {},
    most: 500,
    since: 1,
  },
  leftFinding: {
    fields: IgnoredFindingFieldsSchema,
    guarded: ['reason'],
    settled: [],
    counters: {},
    defaults: {},
    most: 20_000,
    since: 1,
  },
  list: {
    fields: ListFieldsSchema,
    guarded: [],
    settled: [],
    counters: {},
    defaults: { keyboards: [], hasDevices: false },
    most: 1,
    since: 1,
  },
  convention: {
    fields: ConventionFieldsSchema,
    guarded: [],
    settled: ['mark', 'capitals'],
    counters: {},
    defaults: {},
    most: 600,
    since: 1,
  },
  keyboard: {
    fields: KeyboardFieldsSchema,
    guarded: ['layout'],
    settled: ['layout'],
    counters: {},
    defaults: {},
    most: 100,
    since: 1,
  },
  device: {
    fields: DeviceFieldsSchema,
    guarded: ['name'],
    settled: ['name'],
    counters: {},
    defaults: {},
    most: 1_000,
    since: 2,
  },
  leftOut: {
    fields: LeftOutFieldsSchema,
    guarded: [],
    settled: [],
    counters: {},
    defaults: {},
    most: 50_000,
    since: 2,
  },
  carried: {
    fields: CarriedFieldsSchema,
    guarded: [],
    settled: [],
    counters: {},
    defaults: {},
    most: 50_000,
    since: 2,
  },
  learner: {
    fields: LearnerFieldsSchema,
    guarded: ['name'],
    settled: [],
    counters: {},
    defaults: {},
    most: 100,
    since: 3,
    isOwn: true,
  },
  learning: {
    fields: LearningFieldsSchema,
    guarded: [],
    settled: [],
    counters: {},
    defaults: {},
    most: 50_000,
    since: 3,
    isOwn: true,
  },
} as const satisfies Record<string, RecordTypeOf>;
export type RecordType = keyof typeof RECORD_TYPES;

/** The version of the model: raised when types of records are added. A device says which one it knows. */
export const MODEL_VERSION = 3;

/** Whether a device of a version of the model knows a type of records. */
export function isKnownTo(version: number, type: RecordType): boolean {
  return RECORD_TYPES[type].since <= version;
}

interface RecordTypeOf {
  fields: z.ZodObject;
  guarded: readonly string[];
  settled: readonly string[];
  counters: Readonly<Record<string, typeof UsedSchema>>;
  defaults: Readonly<Record<string, unknown>>;
  most: number;
  since: number;
  isOwn?: true;
}

/** Whether records of a type are a person's own affair: a device that may only use the list writes them all the same. */
export function isOwn(type: RecordType): boolean {
  return 'isOwn' in RECORD_TYPES[type];
}

/** Whether a field is counted by each device for itself. */
export function isCounter(type: RecordType, field: string): boolean {
  return field in RECORD_TYPES[type].counters;
}

export interface FieldsOf {
  shortcut: ShortcutFields;
  set: SetFields;
  leftFinding: IgnoredFindingFields;
  list: ListFields;
  convention: ConventionFields;
  keyboard: KeyboardFields;
  device: DeviceFields;
  leftOut: LeftOutFields;
  carried: CarriedFields;
  learner: LearnerFields;
  learning: LearningFields;
}

/** A record as screens read it. `changed` is in ms since 1970. */
interface Read {
  id: string;
  changed: number;
}

/** A shortcut as screens and the firing engine read it. `private`: it never leaves this device. */
export interface Shortcut extends ShortcutFields, Read {
  private: boolean;
  /** Of a template: how it reads in a list. */
  sketch?: string;
  /** How often it was used on all devices that counted, since the first of them began. */
  used?: Used;
}

/** The part of a shortcut that tells what it gives. */
interface Given {
  readonly content: { readonly expansion: string; readonly format?: Content['format'] };
  readonly sketch?: string;
}

/** What a shortcut gives, as it is written: Markdown with its signs. */
export function writtenText({ content, sketch }: Given): string {
  return sketch ?? content.expansion;
}

/** What a shortcut gives, for the eye. */
export function shownText(shortcut: Given): string {
  const written = writtenText(shortcut);
  return shortcut.content.format === 'markdown' ? markdownShown(written) : written;
}

export interface ShortcutSet extends SetFields, Read {}

export interface IgnoredFinding extends IgnoredFindingFields, Read {}

/** A convention that a person has chosen. */
export interface ChosenConvention extends ConventionFields, Read {}

/** A keyboard of a person's own. */
export interface OwnKeyboard extends KeyboardFields, Read {}

/** What a person types on. */
export interface Device extends DeviceFields, Read {}

export interface LeftOut extends LeftOutFields, Read {}

export interface Carried extends CarriedFields, Read {}

export interface Learner extends LearnerFields, Read {}

/** How well a person knows a code. `versions`: what devices wrote without knowing of each other, the latest first; `state` is that. */
export interface Learning extends LearningFields, Read {
  readonly versions: readonly LearningState[];
}
