import { z } from 'zod';

import { KINDS } from './kind';
import { RecordIdSchema } from './recordId';

/** The part of a list that a convention is for. */
export const ScopeSchema = z.discriminatedUnion('of', [
  z.strictObject({ of: z.literal('list') }),
  z.strictObject({ of: z.literal('set'), setId: RecordIdSchema }),
  z.strictObject({ of: z.literal('kind'), kind: z.enum(KINDS) }),
]);
export type Scope = Readonly<z.infer<typeof ScopeSchema>>;

/** Where a convention puts its mark: a marker before, after or on both sides, the first letter doubled, or nothing. */
export const PLACES = ['before', 'after', 'both', 'doubled', 'bare'] as const;
export type MarkerPlace = (typeof PLACES)[number];

/** What a convention does to a mnemonic: one field, since a marker means nothing without its place. */
export const MarkSchema = z
  .strictObject({
    place: z.enum(PLACES),
    /** One or two characters; '' where the place needs none. */
    marker: z.string().regex(/^[^\s\p{C}]{0,2}$/u, 'is one or two characters, without blanks'),
  })
  .refine(({ place, marker }) => (place === 'doubled' || place === 'bare') === (marker === ''), {
    message: 'a marker goes before, after or on both sides, and only there',
    path: ['marker'],
  });
export type Mark = Readonly<z.infer<typeof MarkSchema>>;

/** A convention that was chosen for a part of the list. `capitals`: `small` sets codes in small letters. */
export const ConventionFieldsSchema = z.strictObject({
  scope: ScopeSchema,
  mark: MarkSchema,
  capitals: z.enum(['as they are', 'small']),
});
export type ConventionFields = Readonly<z.infer<typeof ConventionFieldsSchema>>;
