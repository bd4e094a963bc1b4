import { z } from 'zod';

import { LanguageSchema, lineOf } from './checked';

/** The signs of a row of keys, side by side. */
const RowSchema = z
  .string()
  .refine((row) => !/[\s\p{C}]/u.test(row), { message: 'holds a blank or a control character' })
  .refine((row) => Array.from(row).length >= 1 && Array.from(row).length <= 14, { message: 'has 1 to 14 signs' });
const RowsSchema = z.tuple([RowSchema, RowSchema, RowSchema]).readonly();

/** The same with a blank between each two, as hardware rows may have a sign of several characters. */
const SpacedRowSchema = z
  .string()
  .regex(/^[^\s\p{C}]+( [^\s\p{C}]+){0,14}$/u, 'has 1 to 15 signs with one blank between each two');
const SpacedRowsSchema = z.tuple([SpacedRowSchema, SpacedRowSchema, SpacedRowSchema, SpacedRowSchema]).readonly();

/** What lies behind a key, by its own sign. */
const BehindSchema = z.record(z.string().min(1).max(2), z.string().min(1).max(16));

/**
 * A keyboard on glass: rows of letters, of figures and of further signs; what a letter gives when its key
 * is held; whether figures fall back to letters after a space; whether it has a row of figures above.
 */
export const GlassLayoutSchema = z.strictObject({
  type: z.literal('glass'),
  name: lineOf(60),
  language: LanguageSchema,
  letters: RowsSchema,
  figures: RowsSchema,
  signs: RowsSchema,
  held: BehindSchema,
  fallsBack: z.boolean(),
  hasFigureRow: z.boolean(),
  /** The width of the keyboard and the height of a row, in mm. */
  width: z.number().min(30).max(400),
  rowHeight: z.number().min(4).max(40),
});
export type GlassLayout = Readonly<z.infer<typeof GlassLayoutSchema>>;

/**
 * A hardware layout: four rows of signs from the figures down, without shift and with it; what a key gives
 * with AltGr, by its own sign; the signs that wait for a letter, if struck where they stand.
 */
export const HardwareLayoutSchema = z.strictObject({
  type: z.literal('hardware'),
  name: lineOf(60),
  language: LanguageSchema,
  /** ISO has a key between the left shift and the first letter of the lowest row. */
  form: z.enum(['ANSI', 'ISO']),
  base: SpacedRowsSchema,
  shift: SpacedRowsSchema,
  altGr: BehindSchema,
  dead: z.string().max(16),
});
export type HardwareLayout = Readonly<z.infer<typeof HardwareLayoutSchema>>;

export const LayoutSchema = z.discriminatedUnion('type', [GlassLayoutSchema, HardwareLayoutSchema]);
export type Layout = Readonly<z.infer<typeof LayoutSchema>>;

/** A keyboard of a person's own. */
export const KeyboardFieldsSchema = z.strictObject({ layout: LayoutSchema });
export type KeyboardFields = Readonly<z.infer<typeof KeyboardFieldsSchema>>;

/** A keyboard in use: which (a generic one's name, or the id of an own one), how much, how quickly, and on what. */
export const KeyboardUseSchema = z.strictObject({
  keyboard: z.string().regex(/^[a-z0-9][a-z0-9-]{0,39}$/),
  /** Its part in what is typed, beside those of the others. */
  share: z.int().min(1).max(100),
  /** How long its owner takes beside the model's person: 2 is twice as long. */
  pace: z.number().min(0.2).max(5),
  /** The device it belongs to; the id of a profile. */
  device: z.string().regex(/^[a-z][a-z-]{0,39}$/),
});
export type KeyboardUse = Readonly<z.infer<typeof KeyboardUseSchema>>;
