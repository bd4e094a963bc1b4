/** What the operator sets, read from the environment. A setting that makes no sense is refused, never guessed. */
import { z } from 'zod';

const DAY = 24 * 60 * 60_000;

const text = (what: string) => z.string().trim().min(1, `is empty; give ${what}, or leave it out`).optional();
const whole = (least: number, most: number) =>
  z
    .string()
    .regex(/^\d{1,9}$/, `must be a whole number from ${least} to ${most}`)
    .transform(Number)
    .refine((value) => value >= least && value <= most, `must be a whole number from ${least} to ${most}`)
    .optional();
const yes = z.enum(['0', '1'], 'must be 1 or 0').optional();

const SettingsSchema = z
  .object({
    YELLOW_LATCH_DATA: text('a folder'),
    YELLOW_LATCH_SITE: text('a folder'),
    YELLOW_LATCH_HOST: text('an address such as 127.0.0.1'),
    YELLOW_LATCH_PORT: whole(0, 65_535),
    YELLOW_LATCH_PUBLIC_URL: text('an address such as https://list.example')
      .refine((url) => url === undefined || isPublicUrl(url), 'must be an address such as https://list.example')
      .transform((url) => url && new URL(url).origin),
    YELLOW_LATCH_CERT: text('a file'),
    YELLOW_LATCH_KEY: text('a file'),
    YELLOW_LATCH_LIST_MB: whole(1, 10_000),
    YELLOW_LATCH_FORGET_DAYS: whole(400, 36_500),
    YELLOW_LATCH_INVITE_ONLY: yes,
    YELLOW_LATCH_DEMO: yes,
    YELLOW_LATCH_OPEN: yes,
  })
  .refine(({ YELLOW_LATCH_CERT: cert, YELLOW_LATCH_KEY: key }) => (cert === undefined) === (key === undefined), {
    path: ['YELLOW_LATCH_CERT'],
    message: 'and YELLOW_LATCH_KEY go together: a certificate and its key',
  });

function isPublicUrl(url: string): boolean {
  return URL.canParse(url) && new URL(url).protocol === 'https:' && new URL(url).pathname === '/';
}

export interface Settings {
  data: string;
  site: string | undefined;
  host: string;
  port: number;
  publicUrl: string | undefined;
  certificate: { cert: string; key: string } | undefined;
  listBytes: number | undefined;
  forgetAfter: number | undefined;
  isInviteOnly: boolean;
  isDemo: boolean;
  /** Whoever reaches the server is in its one list: for the demo, and for trying things out. */
  isOpen: boolean;
}

/** Reads the settings; throws one error that names every setting that is wrong and what it should be. */
export function readSettings(env: Readonly<Record<string, string | undefined>>): Settings {
  const read = SettingsSchema.safeParse(env);
  if (!read.success)
    throw new Error(read.error.issues.map(({ path, message }) => `${path.join('.')} ${message}`).join('. '));
  const set = read.data;
  return {
    data: set.YELLOW_LATCH_DATA ?? 'data/own',
    site: set.YELLOW_LATCH_SITE,
    host: set.YELLOW_LATCH_HOST ?? '127.0.0.1',
    port: set.YELLOW_LATCH_PORT ?? 4170,
    publicUrl: set.YELLOW_LATCH_PUBLIC_URL,
    certificate:
      set.YELLOW_LATCH_CERT && set.YELLOW_LATCH_KEY
        ? { cert: set.YELLOW_LATCH_CERT, key: set.YELLOW_LATCH_KEY }
        : undefined,
    listBytes: set.YELLOW_LATCH_LIST_MB === undefined ? undefined : set.YELLOW_LATCH_LIST_MB * 1_000_000,
    forgetAfter: set.YELLOW_LATCH_FORGET_DAYS === undefined ? undefined : set.YELLOW_LATCH_FORGET_DAYS * DAY,
    isInviteOnly: set.YELLOW_LATCH_INVITE_ONLY === '1',
    isDemo: set.YELLOW_LATCH_DEMO === '1',
    isOpen: set.YELLOW_LATCH_DEMO === '1' || set.YELLOW_LATCH_OPEN === '1',
  };
}
