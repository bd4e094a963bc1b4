// `npm test`: installs what is missing, then runs every check there is. The last line it prints is
// `N passed, N failed`.
import { checkTypesAndLint, Tally, unitTests } from './checks.mjs';
import { build, fail, installBrowser, installPackages, installTools } from './steps.mjs';

try {
  // One compiles while the other unpacks.
  await Promise.all([installPackages(), installTools(), installBrowser()]);
  const tally = new Tally();
  // The app is built meanwhile: neither of them keeps two cores busy.
  await Promise.all([build(), checkTypesAndLint(tally)]);
  await unitTests(tally);
  await tally.jest('Journeys in a browser', ['--config', 'e2e/jest.config.cjs']);
  tally.end();
} catch (error) {
  fail(error);
}
