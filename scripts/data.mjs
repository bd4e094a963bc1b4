// `npm run backup -- FILE` and `npm run restore -- FILE`: a copy of the lists, also while the server runs; and back from one.
import { existsSync } from 'node:fs';

import { runServer } from './serving.mjs';
import { build, fail, installPackages, SERVER } from './steps.mjs';

try {
  // A server that runs has been built: it is not built anew under it.
  if (!existsSync(SERVER)) {
    await installPackages();
    await build();
  }
  await runServer(process.argv.slice(2));
} catch (error) {
  fail(error);
}
