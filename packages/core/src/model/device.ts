import { z } from 'zod';

import { lineOf } from './checked';
import { LIMITS } from './limits';
import { RecordIdSchema } from './recordId';

export const DEVICE_KINDS = ['phone', 'tablet', 'computer'] as const;
export type DeviceKind = (typeof DEVICE_KINDS)[number];

/** What its owner has found out by trying; what is missing is as the generic profile assumes. */
export const AnswersSchema = z
  .strictObject({
    /** When a code turns into its text: after the space, at once, or when it is tapped. */
    fires: z.enum(['delimiter', 'instant', 'offer']),
    /** What became of a text of two lines. */
    lines: z.enum(['kept', 'joined', 'refused']),
    /** Whether two hyphens, straight quotes and three dots stay as they are typed. */
    punctuation: z.enum(['kept', 'changed']),
  })
  .partial();
export type Answers = Readonly<z.infer<typeof AnswersSchema>>;

const NameOfProfileSchema = z.string().regex(/^[a-z][a-z-]{0,39}$/);

/** Where one types on a device: a generic profile (its id, see core/profile), and what is known better of it. */
export const PlaceSchema = z.strictObject({ profile: NameOfProfileSchema, answers: AnswersSchema });
export type DevicePlace = Readonly<z.infer<typeof PlaceSchema>>;

/** A keyboard of a device: which (a generic one's name, or the id of an own one), how much beside its others, and how quickly. */
export const DeviceKeyboardSchema = z.strictObject({
  keyboard: z.string().regex(/^[a-z0-9][a-z0-9-]{0,39}$/),
  share: z.int().min(1).max(100),
  /** How long its owner takes beside the model's person: 2 is twice as long. */
  pace: z.number().min(0.2).max(5),
});
export type DeviceKeyboard = Readonly<z.infer<typeof DeviceKeyboardSchema>>;

/**
 * What a person types on. It need not run this app; if it does, `joined` is the id under which the server knows it. A place
 * stands once. No keyboards: not said. `share`: how much is typed there, beside the other devices; 0: nothing.
 */
export const DeviceFieldsSchema = z.strictObject({
  name: lineOf(LIMITS.deviceNameClusters),
  kind: z.enum(DEVICE_KINDS),
  joined: RecordIdSchema.nullable(),
  places: z
    .array(PlaceSchema)
    .min(1)
    .max(6)
    .refine((places) => new Set(places.map(({ profile }) => profile)).size === places.length, {
      message: 'holds a place twice',
    }),
  keyboards: z.array(DeviceKeyboardSchema).max(LIMITS.keyboards),
  share: z.int().min(0).max(100),
});
export type DeviceFields = Readonly<z.infer<typeof DeviceFieldsSchema>>;

/** A shortcut, or a set, that a device is to do without: one record for each, so that two devices can leave things out at once. */
export const LeftOutFieldsSchema = z.strictObject({
  deviceId: RecordIdSchema,
  of: z.enum(['shortcut', 'set']),
  /** The id of the shortcut or set; null: the shortcuts in no set. */
  refersTo: RecordIdSchema.nullable(),
});
export type LeftOutFields = Readonly<z.infer<typeof LeftOutFieldsSchema>>;

/**
 * What a place that the app cannot write to holds of a shortcut, as its owner said: the code, and a digest of code and text
 * that tells whether either has changed since. The text itself is not in it.
 */
export const CarriedFieldsSchema = z.strictObject({
  deviceId: RecordIdSchema,
  profile: NameOfProfileSchema,
  shortcutId: RecordIdSchema,
  code: z.string().max(LIMITS.codeCodePoints * 2),
  digest: z.string().regex(/^[0-9a-f]{16}$/),
  /** ms since 1970. */
  at: z.int().nonnegative(),
});
export type CarriedFields = Readonly<z.infer<typeof CarriedFieldsSchema>>;
