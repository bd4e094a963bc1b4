// `npm run soak`: the long runs of which the tests take a seeded tenth. With names after `--`, those: npm run soak -- attack
import { Tally } from './checks.mjs';
import { build, fail, installBrowser, installPackages, installTools } from './steps.mjs';

const UNIT = {
  firing: ['Firing against a plain reading of its rules', ['--selectProjects', 'core', '--testPathPattern', 'naive']],
  clashes: [
    'Clashes: planted cases, edits followed',
    ['--selectProjects', 'core', '--testPathPattern', 'clash/(planted|reaudit)'],
  ],
  effort: [
    'The quickest way to type, against trying everything',
    ['--selectProjects', 'core', '--testPathPattern', 'effort'],
  ],
  moments: [
    'Moments and templates, against other libraries',
    ['--selectProjects', 'core', '--testPathPattern', 'expansion/(dates|template)'],
  ],
  marks: [
    'Marks weighed all at once, against weighing each',
    ['--selectProjects', 'core', 'server', '--testPathPattern', 'convention/(compare|baker)|recommendation'],
  ],
  files: ['Spoilt files read', ['--selectProjects', 'core', '--testPathPattern', 'exchange/fuzz']],
  people: ['Spoilt files of people read', ['--selectProjects', 'core', '--testPathPattern', 'people/fuzz']],
  whole: ['Devices and server with a bad line between them, and a server set back', ['--selectProjects', 'whole']],
  attack: ['The server attacked', ['--selectProjects', 'server', '--testPathPattern', 'attack']],
};
const BROWSER = {
  check: ['Findings of every type mended by keyboard', ['--config', 'e2e/jest.config.cjs', 'journeys/check']],
  killed: ['The server killed while devices write', ['--config', 'e2e/jest.config.cjs', 'journeys/killed']],
};

try {
  const asked = process.argv.slice(2);
  const unknown = asked.find((name) => !(name in UNIT) && !(name in BROWSER));
  if (unknown)
    throw new Error(`No long run is called ${unknown}; there are ${Object.keys({ ...UNIT, ...BROWSER }).join(', ')}.`);
  const of = (runs) => Object.entries(runs).filter(([name]) => asked.length === 0 || asked.includes(name));
  await Promise.all([installPackages(), installTools()]);
  process.env.YELLOW_LATCH_SOAK = '1';
  const tally = new Tally();
  for (const [, run] of of(UNIT)) await tally.jest(...run);
  if (of(BROWSER).length > 0) {
    await installBrowser();
    await build();
  }
  for (const [, run] of of(BROWSER)) await tally.jest(...run);
  tally.end();
} catch (error) {
  fail(error);
}
