// `npm run extension`: installs what is missing and builds the browser extension, as a folder to load and as a zip.
import { relative } from 'node:path';

import { buildExtension, EXTENSION, EXTENSION_ZIP } from './buildExtension.mjs';
import { fail, installPackages, ROOT, say } from './steps.mjs';

try {
  await installPackages();
  await buildExtension();
  say(`Load this folder in your browser: ${relative(ROOT, EXTENSION)}`);
  say(`The same as one file: ${relative(ROOT, EXTENSION_ZIP)}`);
} catch (error) {
  fail(error);
}
