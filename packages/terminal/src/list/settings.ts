/** What is asked on the command line. What makes no sense is refused, never guessed. */
import { parseArgs } from 'node:util';

import { DEVICE_KINDS } from '@yellow-latch/core/model';
import { WRITTEN_FORMS, type WrittenForm } from '@yellow-latch/core/exchange';
import { z } from 'zod';

const COMMANDS = ['join', 'leave', 'export', 'import', 'check'] as const;

const SettingsSchema = z.strictObject({
  command: z.enum(COMMANDS, `must be one of ${COMMANDS.join(', ')}`),
  argument: z.string().min(1).optional(),
  server: z.url({ protocol: /^https?$/, error: 'must be an address such as https://list.example' }),
  join: z.string().min(1).optional(),
  device: z.string().min(1),
  name: z.string().trim().min(1, 'is empty').max(60, 'has more than 60 characters'),
  form: z.enum(WRITTEN_FORMS, `must be one of ${WRITTEN_FORMS.join(', ')}`).optional(),
  into: z.string().trim().min(1, 'is empty').optional(),
  replace: z.boolean(),
  recode: z.boolean(),
  yes: z.boolean(),
  on: z.array(z.enum(DEVICE_KINDS, `must be some of ${DEVICE_KINDS.join(', ')}, with commas`)),
  language: z.array(z.enum(['en', 'de', 'fr', 'es'], 'must be some of en, de, fr, es, with commas')),
});

export type Settings = z.infer<typeof SettingsSchema>;

export const HELP = `npm run list -- COMMAND [FILE] [settings]: your list in scripts.

  join CODE                  joins with a code from Devices; from then on this folder is a device of the list
  export FILE                writes the list: .json, .csv, .tsv, .md or .txt; - is standard output
  import FILE                says what would happen to each row; with --yes, does it
  check                      says what is wrong with the list; ends with 1 if something needs fixing
  check FILE                 the same for a list in a file; needs no server
  leave                      signs this folder’s device out

  --server ADDRESS           where the list is, to join it (http://127.0.0.1:4170)
  --join CODE                for export, import and check: joins, does it and leaves again
  --device FILE              what this device is known by; keep it secret (.yellow-latch-device.json)
  --name NAME                what it is called under Devices (Command line)
  --form ${WRITTEN_FORMS.join('|')}   instead of what the file’s name says
  --into SET                 import: rows without a set go there
  --replace                  import: a row that differs replaces what is on the list
  --recode                   import: a row whose code is in use gets a free one
  --yes                      import: does it
  --on phone,tablet,computer check FILE: where the codes are used (all three)
  --language en,de,fr,es     check FILE: what is typed there (en)
`;

const ENDINGS: Readonly<Record<string, WrittenForm>> = {
  json: 'json',
  csv: 'csv',
  tsv: 'tsv',
  md: 'markdown',
  txt: 'lines',
};

/** The form in which a file is written, by its name; undefined: it says none. */
export function formOf(file: string): WrittenForm | undefined {
  return ENDINGS[/\.([a-z]+)$/iu.exec(file)?.[1]?.toLowerCase() ?? ''];
}

/** Reads the arguments; null: help is asked for. Throws one error that names every setting that is wrong. */
export function readSettings(args: readonly string[]): Settings | null {
  const { values, positionals } = parseArgs({
    args: [...args],
    allowPositionals: true,
    options: {
      help: { type: 'boolean', default: false },
      server: { type: 'string', default: 'http://127.0.0.1:4170' },
      join: { type: 'string' },
      device: { type: 'string', default: '.yellow-latch-device.json' },
      name: { type: 'string', default: 'Command line' },
      form: { type: 'string' },
      into: { type: 'string' },
      replace: { type: 'boolean', default: false },
      recode: { type: 'boolean', default: false },
      yes: { type: 'boolean', default: false },
      on: { type: 'string', default: DEVICE_KINDS.join(',') },
      language: { type: 'string', default: 'en' },
    },
  });
  const { help, on, language, ...asked } = values;
  if (help || positionals.length === 0) return null;
  const [command, argument, more] = positionals;
  if (more !== undefined) throw new Error(`${more} is one word too many`);
  const many = (words: string) => words.split(',').map((word) => word.trim());
  const read = SettingsSchema.safeParse({ ...asked, command, argument, on: many(on), language: many(language) });
  if (!read.success)
    throw new Error(
      [
        ...new Set(
          read.error.issues.map(
            ({ path, message }) => `${path[0] === 'command' ? 'the command' : `--${String(path[0])}`} ${message}`,
          ),
        ),
      ].join('. '),
    );
  const set = read.data;
  if (set.argument === undefined && (set.command === 'export' || set.command === 'import'))
    throw new Error(`say which file: ${set.command} FILE`);
  return set;
}
