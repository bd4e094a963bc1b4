// `npm start` (a list of one's own) and `npm run demo` (the demo list): installs what is missing,
// builds, serves, and prints one local address.
import { spawn } from 'node:child_process';
import { join } from 'node:path';

import { build, fail, installPackages, ROOT, say, SERVER, SITE } from './steps.mjs';

const isDemo = process.argv.includes('--demo');

try {
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
    },
  });
  for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => server.kill(signal));
  server.once('exit', (code) => process.exit(code ?? 0));
} catch (error) {
  fail(error);
}
