// `npm run serve`: starts what `npm run build` has built. It installs and builds nothing.
import { serve } from './serving.mjs';
import { fail } from './steps.mjs';

try {
  await serve(process.argv.slice(2));
} catch (error) {
  fail(error);
}
