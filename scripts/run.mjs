// `npm start` (a list of one's own) and `npm run demo` (the demo list): installs what is missing, builds, and serves. All flags but
// --demo are the server's: npm start -- --help lists them.
import { build, fail, installPackages } from './steps.mjs';
import { serve } from './serving.mjs';

try {
  await installPackages();
  await build();
  await serve(process.argv.slice(2));
} catch (error) {
  fail(error);
}
