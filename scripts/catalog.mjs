// Gathers the sentences of the app’s sources into packages/app/locales/en.po; with --check it changes nothing, and fails
// where that would.
import { writeFileSync } from 'node:fs';

import { fail } from './steps.mjs';
import { openCatalog, readCatalog } from './locales.mjs';

const { catalog, config, file } = await openCatalog();
const before = readCatalog(file);
// Lingui tells of every file; what matters is said below.
const isMade = await catalog.make({ clean: true, overwrite: true, locale: config.locales, orderBy: 'origin' });
if (!isMade) fail(new Error('The sentences could not be gathered.'));
const after = readCatalog(file);
if (process.argv.includes('--check') && after !== before) {
  writeFileSync(file, before);
  fail(new Error('packages/app/locales/en.po is not up to date. Run npm run catalog.'));
}
