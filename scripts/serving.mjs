// The built server as a process, with the app it serves. Plain Node: nothing is installed or built here.
import { spawn } from 'node:child_process';
import { existsSync } from 'node:fs';
import { join } from 'node:path';

import { ROOT, run, SERVER, SITE } from './steps.mjs';

/** Serves until it is told to stop, then ends this process as the server ended. `flags`: the server's own. */
export async function serve(flags) {
  requireBuilt();
  const isDemo = flags.includes('--demo') || process.env.YELLOW_LATCH_DEMO === '1';
  const server = spawn(process.execPath, [SERVER, ...flags], {
    stdio: 'inherit',
    env: {
      YELLOW_LATCH_SITE: SITE,
      // The two have ports of their own, since a browser keeps data by port.
      YELLOW_LATCH_PORT: isDemo ? '4180' : '4170',
      YELLOW_LATCH_DATA: join(ROOT, 'data', isDemo ? 'demo' : 'own'),
      ...process.env,
    },
  });
  for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => server.kill(signal));
  server.once('exit', (code) => process.exit(code ?? 0));
}

/** Runs another command of the built server to its end: backup, restore. Ends this process as it ended. */
export async function runServer(args) {
  requireBuilt();
  const env = { YELLOW_LATCH_DATA: join(ROOT, 'data/own'), ...process.env };
  process.exit(await run(process.execPath, [SERVER, ...args], { cwd: env.INIT_CWD ?? process.cwd(), env }));
}

function requireBuilt() {
  if (!existsSync(SERVER) || !existsSync(join(SITE, 'index.html')))
    throw new Error('Nothing is built yet: npm run build does that.');
}
