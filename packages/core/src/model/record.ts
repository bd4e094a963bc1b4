import { z } from 'zod';

import { checkCode } from './code';
import { checkExpansion } from './expansion';
import { KINDS } from './kind';
import { LIMITS } from './limits';
import { describeProblem, type TextProblem } from './problem';
import { AskedRulesSchema } from './rules';
import { countClusters, findBadCharacter } from './text';

/** A string that passes `check`; the issue carries the rule it broke in plain English. */
function checkedText(check: (text: string) => TextProblem | null) {
  return z.string().superRefine((text, context) => {
    const problem = check(text);
    if (problem) context.addIssue({ code: 'custom', message: describeProblem(problem) });
  });
}

/** One line of text of at most so many grapheme clusters. */
function lineOf(clusters: number) {
  return z
    .string()
    .min(1)
    .refine((text) => findBadCharacter(text) === null, { message: 'holds a control character' })
    .refine((text) => countClusters(text) <= clusters, { message: `has more than ${clusters} characters` });
}

/** A UUIDv7 (RFC 9562): its first 48 bits are the time the record was made, so ids sort by age. */
export const RecordIdSchema = z.uuid({ version: 'v7' });

/** What a shortcut gives: one field for merging, since its parts mean nothing apart. */
export const ContentSchema = z.strictObject({
  expansion: checkedText(checkExpansion),
  template: z.boolean(),
  format: z.enum(['plain', 'markdown']),
});
export type Content = z.infer<typeof ContentSchema>;

/** The fields of a shortcut, each merged on its own. `setId` null: in no set. */
export const ShortcutFieldsSchema = z.strictObject({
  code: checkedText((code) => checkCode(code)).refine((code) => code === code.trim(), {
    message: 'must not begin or end with white space',
  }),
  content: ContentSchema,
  kind: z.enum(KINDS),
  setId: RecordIdSchema.nullable(),
  /** The rules it asks for itself. */
  rules: AskedRulesSchema,
});
export type ShortcutFields = z.infer<typeof ShortcutFieldsSchema>;

/** The fields of a set. `order` is a fractional key: a string between those of its neighbours. */
export const SetFieldsSchema = z.strictObject({
  name: lineOf(LIMITS.setNameClusters),
  icon: z.string().regex(/^[a-z][a-z-]{0,31}$/),
  order: z.string().regex(/^[A-Za-z0-9]{1,200}$/),
});
export type SetFields = z.infer<typeof SetFieldsSchema>;

/**
 * A finding that a person has looked at and left as it is. `about` tells of what it was left: when the
 * finding is of something else, or worse, it comes back.
 */
export const LeftFindingFieldsSchema = z.strictObject({
  shortcutId: RecordIdSchema,
  finding: z.string().regex(/^[a-z][a-z -]{0,39}$/),
  about: z.string().min(1).max(500),
  reason: lineOf(LIMITS.reasonClusters),
});
export type LeftFindingFields = z.infer<typeof LeftFindingFieldsSchema>;

/**
 * What holds for the whole list: the languages its owner writes in (BCP 47) and the devices it fires on
 * (ids of device profiles), at least one of each.
 */
export const ListFieldsSchema = z.strictObject({
  languages: z.array(z.string().regex(/^[a-z]{2,3}(-[A-Za-z0-9]{2,8})*$/)).min(1).max(12),
  devices: z.array(z.string().regex(/^[a-z][a-z-]{0,39}$/)).min(1).max(12),
});
export type ListFields = z.infer<typeof ListFieldsSchema>;

/** The id of the one record of type `list` that a list has. */
export const LIST_RECORD_ID = '00000000-0000-7000-8000-000000000001';

/**
 * Every type of record that travels. A new type is a new line here: outbox, log, pages and
 * stream carry it without knowing it. `guarded` fields hold what a person wrote: an edit of one
 * of them outlives a delete made elsewhere without knowledge of it. `defaults`: what a field is
 * that a record was made without, since it came to the model later.
 */
export const RECORD_TYPES = {
  shortcut: { fields: ShortcutFieldsSchema, guarded: ['code', 'content'], defaults: { rules: {} } },
  set: { fields: SetFieldsSchema, guarded: ['name'], defaults: {} },
  leftFinding: { fields: LeftFindingFieldsSchema, guarded: ['reason'], defaults: {} },
  list: { fields: ListFieldsSchema, guarded: [], defaults: {} },
} as const satisfies Record<
  string,
  { fields: z.ZodObject; guarded: readonly string[]; defaults: Readonly<Record<string, unknown>> }
>;
export type RecordType = keyof typeof RECORD_TYPES;

export interface FieldsOf {
  shortcut: ShortcutFields;
  set: SetFields;
  leftFinding: LeftFindingFields;
  list: ListFields;
}

/** A record as screens read it. `changed` is in ms since 1970. */
interface Read {
  id: string;
  changed: number;
}

/** A shortcut as screens and the firing engine read it. `private`: it never leaves this device. */
export interface Shortcut extends ShortcutFields, Read {
  private: boolean;
}

export interface ShortcutSet extends SetFields, Read {}

export interface LeftFinding extends LeftFindingFields, Read {}
