// `npm run api`: writes docs/api.md from the schemas of the server.
import { writeFileSync } from 'node:fs';
import { join } from 'node:path';

import { bundleForNode, fail, heard, installPackages, ROOT } from './steps.mjs';

try {
  await installPackages();
  const program = join(ROOT, 'packages/server/dist/write-api.mjs');
  await bundleForNode('packages/server/src/api/writeApi.ts', program);
  const { code, said } = await heard(process.execPath, [program]);
  if (code !== 0) throw new Error(said);
  writeFileSync(join(ROOT, 'docs/api.md'), said);
} catch (error) {
  fail(error);
}
