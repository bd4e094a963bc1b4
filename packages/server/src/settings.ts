/**
 * What the operator sets: by flag, or by environment variable where no flag is given. A setting that makes no sense is
 * refused, never guessed, and so is one that nobody knows.
 */
import { parseArgs } from 'node:util';

import { z } from 'zod';

const HOUR = 60 * 60_000;
const DAY = 24 * HOUR;

const text = (what: string) => z.string().trim().min(1, `is empty; give ${what}, or leave it out`).optional();
const whole = (least: number, most: number) =>
  z
    .string()
    .regex(/^\d{1,9}$/, `must be a whole number from ${least} to ${most}`)
    .transform(Number)
    .refine((value) => value >= least && value <= most, `must be a whole number from ${least} to ${most}`)
    .optional();
const yes = z.enum(['0', '1'], 'must be 1 or 0').optional();
const oneOf = <T extends string>(...names: [T, ...T[]]) =>
  z.enum(names, `must be one of ${names.join(', ')}`).optional();

/** One setting: what its flag takes (nothing: it is on or off), what it does, and what holds where it is not set. */
interface Setting {
  takes: string | null;
  does: string;
  unset: string;
  schema: z.ZodType;
}

/** In the order in which they are told. The environment variable of `list-mb` is `YELLOW_LATCH_LIST_MB`. */
const SETTINGS = {
  data: {
    takes: 'FOLDER',
    does: 'where the lists are kept',
    unset: '`data/own`; the demo `data/demo`',
    schema: text('a folder'),
  },
  port: { takes: 'PORT', does: 'the port it listens on', unset: '4170; the demo 4180', schema: whole(0, 65_535) },
  host: {
    takes: 'ADDRESS',
    does: 'the address it listens on',
    unset: '127.0.0.1, this computer alone',
    schema: text('an address such as 127.0.0.1'),
  },
  phones: {
    takes: null,
    does: 'lets phones on the same Wi-Fi in, over https with a certificate of its own',
    unset: 'off',
    schema: yes,
  },
  name: {
    takes: 'NAME.local',
    does: 'with `--phones`: what this computer is called on the Wi-Fi',
    unset: 'its host name and `-latch.local`',
    schema: z
      .string()
      .toLowerCase()
      .regex(/^[a-z0-9]([a-z0-9-]{0,61}[a-z0-9])?\.local$/, 'must be a name such as workshop-latch.local')
      .optional(),
  },
  'new-authority': {
    takes: null,
    does: 'with `--phones`: makes a new certificate authority, which every phone must trust anew',
    unset: 'the one that is there stays',
    schema: yes,
  },
  'public-url': {
    takes: 'ADDRESS',
    does: 'the https address at which other devices reach it',
    unset: 'none',
    schema: text('an address such as https://list.example')
      .refine((url) => url === undefined || isPublicUrl(url), 'must be an address such as https://list.example')
      .transform((url) => url && new URL(url).origin),
  },
  cert: {
    takes: 'FILE',
    does: 'its own certificate (PEM); with `--key`',
    unset: 'http, or a proxy has it',
    schema: text('a file'),
  },
  key: { takes: 'FILE', does: 'the key of that certificate (PEM)', unset: 'none', schema: text('a file') },
  'invite-only': {
    takes: null,
    does: 'nobody can start a list here; start yours first',
    unset: 'lists can be started',
    schema: yes,
  },
  'list-mb': { takes: 'MB', does: 'what one list can take, history included', unset: '64', schema: whole(1, 10_000) },
  'forget-days': {
    takes: 'DAYS',
    does: 'a list that nobody opened for so long is forgotten; at least 400',
    unset: 'never',
    schema: whole(400, 36_500),
  },
  'backup-dir': {
    takes: 'FOLDER',
    does: 'where it backs itself up by schedule',
    unset: 'no scheduled backups',
    schema: text('a folder'),
  },
  'backup-every': { takes: 'HOURS', does: 'how often', unset: '24', schema: whole(1, 24 * 90) },
  'backup-keep': { takes: 'NUMBER', does: 'how many of these backups it keeps', unset: '7', schema: whole(1, 1_000) },
  'log-level': {
    takes: 'LEVEL',
    does: 'debug, info, warn, error or silent',
    unset: 'warn in a terminal, else info',
    schema: oneOf('debug', 'info', 'warn', 'error', 'silent'),
  },
  'log-format': {
    takes: 'FORMAT',
    does: 'pretty or json',
    unset: 'pretty in a terminal, else json',
    schema: oneOf('pretty', 'json'),
  },
  'metrics-port': {
    takes: 'PORT',
    does: 'figures for Prometheus at this port of 127.0.0.1',
    unset: 'off',
    schema: whole(0, 65_535),
  },
  site: {
    takes: 'FOLDER',
    does: 'the app it serves',
    unset: 'none: the API alone; the npm commands give it',
    schema: text('a folder'),
  },
  demo: { takes: null, does: 'fills the demo list and lets in everybody', unset: 'off', schema: yes },
  open: { takes: null, does: 'lets everybody into one list', unset: 'off', schema: yes },
} as const satisfies Record<string, Setting>;

type Name = keyof typeof SETTINGS;
const NAMES = Object.keys(SETTINGS) as Name[];

const PREFIX = 'YELLOW_LATCH_';
const variableOf = (name: string) => `${PREFIX}${name.toUpperCase().replaceAll('-', '_')}`;

function isPublicUrl(url: string): boolean {
  return URL.canParse(url) && new URL(url).protocol === 'https:' && new URL(url).pathname === '/';
}

export interface Settings {
  data: string;
  site: string | undefined;
  host: string;
  port: number;
  /** Phones on the same network are let in: under this name, or one made of the host name. */
  phones: { name: string | undefined; isNewAuthority: boolean } | undefined;
  publicUrl: string | undefined;
  certificate: { cert: string; key: string } | undefined;
  listBytes: number | undefined;
  /** In ms. */
  forgetAfter: number | undefined;
  isInviteOnly: boolean;
  isDemo: boolean;
  /** Whoever reaches the server is in its one list: for the demo, and for trying things out. */
  isOpen: boolean;
  /** `every` in ms. */
  backups: { folder: string; every: number; keep: number } | undefined;
  log: { level: LogLevel | undefined; format: 'pretty' | 'json' | undefined };
  metricsPort: number | undefined;
}
export type LogLevel = 'debug' | 'info' | 'warn' | 'error' | 'silent';

/** Reads flags and environment; null: help is asked for. Throws one error that names every setting that is wrong and what it should be. */
export function readSettings(
  env: Readonly<Record<string, string | undefined>>,
  args: readonly string[] = [],
): Settings | null {
  const { values: flags } = parseArgs({
    args: [...args],
    options: {
      help: { type: 'boolean' },
      ...Object.fromEntries(
        NAMES.map((name) => [name, { type: SETTINGS[name].takes === null ? 'boolean' : 'string' } as const]),
      ),
    },
  }) as { values: Record<string, string | boolean | undefined> };
  if (flags.help) return null;
  const unknown = Object.keys(env).filter(
    (key) => key.startsWith(PREFIX) && !NAMES.some((name) => variableOf(name) === key),
  );
  const wrong = unknown.map((key) => `${key} is no setting; --help lists them`);
  const set: Partial<Record<Name, unknown>> = {};
  for (const name of NAMES) {
    const flag = flags[name];
    const read = SETTINGS[name].schema.safeParse(flag === true ? '1' : (flag ?? env[variableOf(name)]));
    if (read.success) set[name] = read.data;
    else
      wrong.push(
        ...read.error.issues.map(({ message }) => `${flag === undefined ? variableOf(name) : `--${name}`} ${message}`),
      );
  }
  const { data, ...rest } = set as { [N in Name]: z.output<(typeof SETTINGS)[N]['schema']> };
  wrong.push(...contradictions(rest));
  if (wrong.length > 0) throw new Error(`${wrong.join('. ')}.`);
  const isOn = (name: 'phones' | 'new-authority' | 'invite-only' | 'demo' | 'open') => rest[name] === '1';
  return {
    data: data ?? 'data/own',
    site: rest.site,
    host: rest.host ?? '127.0.0.1',
    port: rest.port ?? 4170,
    phones: isOn('phones') ? { name: rest.name, isNewAuthority: isOn('new-authority') } : undefined,
    publicUrl: rest['public-url'],
    certificate: rest.cert && rest.key ? { cert: rest.cert, key: rest.key } : undefined,
    listBytes: rest['list-mb'] && rest['list-mb'] * 1_000_000,
    forgetAfter: rest['forget-days'] && rest['forget-days'] * DAY,
    isInviteOnly: isOn('invite-only'),
    isDemo: isOn('demo'),
    isOpen: isOn('demo') || isOn('open'),
    backups: rest['backup-dir']
      ? { folder: rest['backup-dir'], every: (rest['backup-every'] ?? 24) * HOUR, keep: rest['backup-keep'] ?? 7 }
      : undefined,
    log: { level: rest['log-level'], format: rest['log-format'] },
    metricsPort: rest['metrics-port'],
  };
}

/** What does not go together, each in a sentence without its full stop. */
function contradictions(set: Partial<Record<Name, unknown>>): string[] {
  const wrong: string[] = [];
  const isSet = (name: Name) => set[name] !== undefined && set[name] !== '0';
  const need = (names: Name[], needed: Name) => {
    for (const name of names) if (isSet(name) && !isSet(needed)) wrong.push(`--${name} needs --${needed}`);
  };
  if (isSet('cert') !== isSet('key')) wrong.push('--cert and --key go together: a certificate and its key');
  need(['name', 'new-authority'], 'phones');
  need(['backup-every', 'backup-keep'], 'backup-dir');
  for (const other of ['public-url', 'cert', 'host'] as const)
    if (isSet('phones') && isSet(other))
      wrong.push(`--phones makes address and certificate itself: leave out --${other}`);
  return wrong;
}

/** All settings as lines of a terminal. */
export function settingsHelp(): string {
  const lines = NAMES.map((name) => {
    const { takes, does, unset } = SETTINGS[name];
    return `  ${`--${name}${takes === null ? '' : ` ${takes}`}`.padEnd(24)} ${does.replaceAll('`', '')} (${unset.replaceAll('`', '')})`;
  });
  return `Yellow Latch’s server. Each setting is also read from the environment: ${variableOf('list-mb')} is --list-mb.\n\n${lines.join('\n')}\n`;
}

/** The same as a Markdown table, for the README. */
export function settingsTable(): string {
  const rows = NAMES.map((name) => {
    const { takes, does, unset } = SETTINGS[name];
    return `| \`--${name}${takes === null ? '' : ` ${takes}`}\` | ${does} | ${unset} |`;
  });
  return ['| setting | what it does | unless set |', '|---|---|---|', ...rows].join('\n');
}
