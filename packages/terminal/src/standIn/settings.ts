/** What is asked on the command line. What makes no sense is refused, never guessed. */
import { parseArgs } from 'node:util';

import { DEVICE_KINDS } from '@yellow-latch/core/model';
import { z } from 'zod';

const SettingsSchema = z.strictObject({
  kind: z.enum(DEVICE_KINDS, `must be one of ${DEVICE_KINDS.join(', ')}`),
  server: z.url({ protocol: /^https?$/, error: 'must be an address such as http://127.0.0.1:4180' }),
  join: z.string().min(1).optional(),
  codes: z.enum(['app', 'own'], 'must be app or own'),
  carry: z.string().min(1).optional(),
  language: z.enum(['en', 'de', 'fr', 'es'], 'must be en, de, fr or es'),
  'no-correction': z.boolean(),
  type: z.string().optional(),
  explain: z.boolean(),
});

export type Settings = z.infer<typeof SettingsSchema>;

export const HELP = `npm run stand-in -- [settings]: a device that types a script of keys, and prints the text.

  --kind phone|tablet|computer   what it is (phone)
  --server ADDRESS               where the list is (http://127.0.0.1:4180, as npm run demo has it)
  --join CODE                    a code from Devices, “Add a device”; none where the server lets in whoever comes
  --codes app|own                which list expands: the one in sync, or its own (app)
  --carry FILE                   read into its own list, which then expands
  --language en|de|fr|es         of its keyboard (en)
  --no-correction                its keyboard corrects no spelling
  --type KEYS                    the script; else it is read from standard input
                                 \\b Backspace, \\n Return, \\x reject, \\1 to \\9 take that suggestion, \\\\ a backslash
  --explain                      says for each key what happened, and by which rule
`;

/** Reads the arguments; null: help is asked for. Throws one error that names every setting that is wrong. */
export function readSettings(args: readonly string[]): Settings | null {
  const { values } = parseArgs({
    args: [...args],
    options: {
      help: { type: 'boolean', default: false },
      kind: { type: 'string', default: 'phone' },
      server: { type: 'string', default: 'http://127.0.0.1:4180' },
      join: { type: 'string' },
      codes: { type: 'string' },
      carry: { type: 'string' },
      language: { type: 'string', default: 'en' },
      'no-correction': { type: 'boolean', default: false },
      type: { type: 'string' },
      explain: { type: 'boolean', default: false },
    },
  });
  const { help, ...asked } = values;
  if (help) return null;
  const read = SettingsSchema.safeParse({
    ...asked,
    codes: asked.codes ?? (asked.carry === undefined ? 'app' : 'own'),
  });
  if (!read.success)
    throw new Error(read.error.issues.map(({ path, message }) => `--${path.join('.')} ${message}`).join('. '));
  return read.data;
}
