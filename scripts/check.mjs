// `npm run check`: the quick loop, without a browser.
import { checkTypesAndLint, Tally, unitTests } from './checks.mjs';
import { fail, installPackages, installTools } from './steps.mjs';

try {
  await Promise.all([installPackages(), installTools()]);
  const tally = new Tally();
  await checkTypesAndLint(tally);
  await unitTests(tally);
  tally.end();
} catch (error) {
  fail(error);
}
