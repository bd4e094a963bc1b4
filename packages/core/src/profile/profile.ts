import { z } from 'zod';

const WaySchema = z.enum(['delimiter', 'instant', 'offer']);

/** Fields that contradict each other, both named. */
interface Contradiction {
  fields: [string, string];
  why: string;
}

/**
 * What one kind of device can do, as data. `own` leaves a rule to the shortcut. Profiles describe
 * common practice in general terms; no source.
 */
export const DeviceProfileSchema = z
  .strictObject({
    id: z.string().min(1),
    name: z.string().min(1),
    /** The ways of firing it has, and the one for a shortcut that asks for another. */
    ways: z.array(WaySchema).min(1),
    otherwise: WaySchema,
    /** The characters that end a code: `standard` as in core/fire, or these alone. */
    delimiters: z.union([z.literal('standard'), z.array(z.string().min(1).max(2))]),
    keepsDelimiter: z.enum(['own', 'keep', 'drop']),
    edge: z.enum(['own', 'word', 'anywhere']),
    capitals: z.enum(['own', 'ignore', 'match', 'follow']),
    /** What it does with a code that begins another: fires at once, or waits for the longer. */
    prefix: z.enum(['now', 'wait']),
    /** What it changes in what is typed, before it looks for codes. */
    sentenceCapitals: z.boolean(),
    smartQuotes: z.boolean(),
    smartDashes: z.boolean(),
    smartDots: z.boolean(),
    doubleSpaceStop: z.boolean(),
    /** Whether it looks for codes in what it has just put in. */
    rescans: z.boolean(),
    /** The longest expansion it holds, in grapheme clusters; null: any. */
    longestExpansion: z.int().positive().nullable(),
    /** What becomes of a text of several lines: kept, joined by spaces, or the entry is not taken. */
    lines: z.enum(['kept', 'joined', 'refused']),
    formatting: z.boolean(),
    blanks: z.boolean(),
    spacesInCodes: z.boolean(),
    /**
     * Where entries belong to one language of the keyboard: the languages that the keyboards have (BCP 47; none: any).
     * Null: entries are of all languages.
     */
    languages: z.array(z.string()).nullable(),
    /** The entries it brings along. */
    builtIn: z.array(z.strictObject({ code: z.string().min(1), expansion: z.string().min(1) })),
  })
  .superRefine((profile, context) => {
    for (const { fields, why } of contradictions(profile)) {
      for (const field of fields) {
        context.addIssue({
          code: 'custom',
          path: [field],
          message: `${fields.join(' and ')} contradict each other: ${why}`,
        });
      }
    }
  });

export type DeviceProfile = z.infer<typeof DeviceProfileSchema>;

type Fields = Pick<
  DeviceProfile,
  'ways' | 'otherwise' | 'delimiters' | 'keepsDelimiter' | 'formatting' | 'lines' | 'spacesInCodes' | 'builtIn'
>;

function contradictions(profile: Fields): Contradiction[] {
  const found: Contradiction[] = [];
  const claim = (holds: boolean, fields: [string, string], why: string) => {
    if (holds) found.push({ fields, why });
  };
  claim(
    !profile.ways.includes(profile.otherwise),
    ['ways', 'otherwise'],
    `it does not have the way “${profile.otherwise}”`,
  );
  claim(
    profile.keepsDelimiter === 'drop' && !profile.ways.includes('delimiter'),
    ['ways', 'keepsDelimiter'],
    'it drops delimiters but never fires at one',
  );
  claim(profile.formatting && profile.lines !== 'kept', ['formatting', 'lines'], 'formatted text has lines');
  claim(
    !profile.spacesInCodes && profile.builtIn.some(({ code }) => code.includes(' ')),
    ['spacesInCodes', 'builtIn'],
    'an entry of its own has a blank in its code',
  );
  return found;
}
