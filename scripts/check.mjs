// `npm run check`: the quick loop, without a browser.
import { checkTypesAndLint, Tally, unitTests } from './checks.mjs';
import { fail, installPackages } from './steps.mjs';

try {
  await installPackages();
  const tally = new Tally();
  await checkTypesAndLint(tally);
  await unitTests(tally);
  tally.end();
} catch (error) {
  fail(error);
}
