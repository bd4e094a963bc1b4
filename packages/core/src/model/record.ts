import { z } from 'zod';

import { checkCode } from './code';
import { checkExpansion } from './expansion';
import { KINDS } from './kind';
import { LIMITS } from './limits';
import { describeProblem, type TextProblem } from './problem';
import { countClusters, findBadCharacter } from './text';

/** A string that passes `check`; the issue carries the rule it broke in plain English. */
function checkedText(check: (text: string) => TextProblem | null) {
  return z.string().superRefine((text, context) => {
    const problem = check(text);
    if (problem) context.addIssue({ code: 'custom', message: describeProblem(problem) });
  });
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
});
export type ShortcutFields = z.infer<typeof ShortcutFieldsSchema>;

/** The fields of a set. `order` is a fractional key: a string between those of its neighbours. */
export const SetFieldsSchema = z.strictObject({
  name: z
    .string()
    .min(1)
    .refine((name) => findBadCharacter(name) === null, { message: 'holds a control character' })
    .refine((name) => countClusters(name) <= LIMITS.setNameClusters, {
      message: `has more than ${LIMITS.setNameClusters} characters`,
    }),
  icon: z.string().regex(/^[a-z][a-z-]{0,31}$/),
  order: z.string().regex(/^[A-Za-z0-9]{1,200}$/),
});
export type SetFields = z.infer<typeof SetFieldsSchema>;

/**
 * Every type of record that travels. A new type is a new line here: outbox, log, pages and
 * stream carry it without knowing it. `guarded` fields hold what a person wrote: an edit of one
 * of them outlives a delete made elsewhere without knowledge of it.
 */
export const RECORD_TYPES = {
  shortcut: { fields: ShortcutFieldsSchema, guarded: ['code', 'content'] },
  set: { fields: SetFieldsSchema, guarded: ['name'] },
} as const satisfies Record<string, { fields: z.ZodObject; guarded: readonly string[] }>;

export type RecordType = keyof typeof RECORD_TYPES;

export interface FieldsOf {
  shortcut: ShortcutFields;
  set: SetFields;
}

/** A shortcut as screens and the firing engine read it. `changed` is in ms since 1970. */
export interface Shortcut extends ShortcutFields {
  id: string;
  changed: number;
}

/** A set as screens read it. */
export interface ShortcutSet extends SetFields {
  id: string;
  changed: number;
}
