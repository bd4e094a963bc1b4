// `npm start` (a list of one's own) and `npm run demo` (the demo list): installs what is missing,
// builds, serves, and prints one local address. For other devices: --public-url https://list.example, with a proxy on
// this machine in front of it, or with --host and a certificate of its own (--cert, --key). --invite-only: nobody starts a list.
import { spawn } from 'node:child_process';
import { join, resolve } from 'node:path';
import { parseArgs } from 'node:util';

import { build, fail, installPackages, ROOT, say, SERVER, SITE } from './steps.mjs';

try {
  const { values: asked } = parseArgs({
    options: {
      demo: { type: 'boolean', default: false },
      'public-url': { type: 'string' },
      host: { type: 'string' },
      cert: { type: 'string' },
      key: { type: 'string' },
      'invite-only': { type: 'boolean', default: false },
    },
  });
  if ((asked.cert === undefined) !== (asked.key === undefined))
    throw new Error('--cert and --key go together: the files of a certificate and of its key.');
  const isDemo = asked.demo;
  const given = (name, value) => (value === undefined ? {} : { [name]: value });
  await installPackages();
  await build();
  say(isDemo ? 'Starting with the demo list' : 'Starting');
  const { env } = process;
  const server = spawn(process.execPath, [SERVER], {
    stdio: 'inherit',
    env: {
      ...env,
      YELLOW_LATCH_SITE: SITE,
      // The two have ports of their own, since a browser keeps data by port.
      YELLOW_LATCH_PORT: env.YELLOW_LATCH_PORT ?? (isDemo ? '4180' : '4170'),
      YELLOW_LATCH_DATA: env.YELLOW_LATCH_DATA ?? join(ROOT, 'data', isDemo ? 'demo' : 'own'),
      ...(isDemo ? { YELLOW_LATCH_DEMO: '1' } : {}),
      ...(asked['invite-only'] ? { YELLOW_LATCH_INVITE_ONLY: '1' } : {}),
      ...given('YELLOW_LATCH_PUBLIC_URL', asked['public-url']),
      ...given('YELLOW_LATCH_HOST', asked.host),
      ...given('YELLOW_LATCH_CERT', asked.cert && resolve(asked.cert)),
      ...given('YELLOW_LATCH_KEY', asked.key && resolve(asked.key)),
    },
  });
  for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => server.kill(signal));
  server.once('exit', (code) => process.exit(code ?? 0));
} catch (error) {
  fail(error);
}
