// `npm run shots`: takes docs/screenshots/ anew from the demo list; `npm run shots -- check` those named.
import { join } from 'node:path';

import { buildExtension } from './buildExtension.mjs';
import { build, fail, installBrowser, installPackages, must, ROOT } from './steps.mjs';

try {
  await installPackages();
  await installBrowser();
  await build();
  await buildExtension();
  const esbuild = await import('esbuild');
  // Beside its source, so that it finds the packages and folders the source would.
  const program = join(ROOT, 'e2e/.shots.cjs');
  await esbuild.build({
    entryPoints: [join(ROOT, 'e2e/shots.ts')],
    outfile: program,
    bundle: true,
    platform: 'node',
    // Our own packages are TypeScript, which only a bundle makes plain.
    external: ['selenium-webdriver', 'axe-core', 'esbuild'],
    logLevel: 'warning',
  });
  await must(process.execPath, [program, ...process.argv.slice(2)]);
} catch (error) {
  fail(error);
}
