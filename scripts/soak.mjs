// `npm run soak`: the long runs of which the tests take a seeded tenth.
import { Tally } from './checks.mjs';
import { build, fail, installBrowser, installPackages } from './steps.mjs';

try {
  await installPackages();
  process.env.YELLOW_LATCH_SOAK = '1';
  const tally = new Tally();
  await tally.jest('Firing against a plain reading of its rules', ['--selectProjects', 'core', '--testPathPattern', 'naive']);
  await tally.jest('Clashes: planted cases, edits followed', [
    '--selectProjects',
    'core',
    '--testPathPattern',
    'clash/(planted|follow)',
  ]);
  await tally.jest('The quickest way to type, against trying everything', ['--selectProjects', 'core', '--testPathPattern', 'effort']);
  await tally.jest('Spoilt files read', ['--selectProjects', 'core', '--testPathPattern', 'exchange/fuzz']);
  await tally.jest('Devices and server with a bad line between them', ['--selectProjects', 'whole']);
  await installBrowser();
  await build();
  await tally.jest('Findings of every type mended by keyboard', ['--config', 'e2e/jest.config.cjs', 'journeys/check']);
  await tally.jest('The server killed while devices write', ['--config', 'e2e/jest.config.cjs', 'journeys/killed']);
  tally.end();
} catch (error) {
  fail(error);
}
