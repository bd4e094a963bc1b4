// What `npm run check` and `npm test` have in common: types, lint, tests, and their tally.
import { readFileSync, rmSync } from 'node:fs';
import { join } from 'node:path';

import { bin, ROOT, run, say } from './steps.mjs';

const PACKAGES = ['core', 'language', 'replica', 'field', 'server', 'terminal', 'extension', 'app'].map(
  (name) => `packages/${name}`,
);

/** Counts what passed and failed; a failed type check or lint counts as one. */
export class Tally {
  passed = 0;
  failed = 0;

  async check(name, program, args) {
    say(name);
    if ((await run(program, args)) === 0) this.passed += 1;
    else this.failed += 1;
  }

  /** Runs Jest with `args`, its report as people read it, its counts into this tally. */
  async jest(name, args) {
    say(name);
    const report = join(ROOT, `.cache/report-${process.pid}.json`);
    const code = await run(bin('jest'), [...args, '--json', `--outputFile=${report}`], {
      // The report goes to the file; what people read comes over standard error.
      stdio: ['ignore', 'ignore', 'inherit'],
    });
    try {
      const { numPassedTests, numFailedTests, numRuntimeErrorTestSuites } = JSON.parse(readFileSync(report, 'utf8'));
      this.passed += numPassedTests;
      this.failed += numFailedTests + numRuntimeErrorTestSuites;
    } catch {
      this.failed += 1;
    }
    rmSync(report, { force: true });
    if (code !== 0 && this.failed === 0) this.failed += 1;
  }

  /** The last line of a run, and its exit code. */
  end() {
    console.log(`${this.passed} passed, ${this.failed} failed`);
    process.exitCode = this.failed === 0 ? 0 : 1;
  }
}

const ROOMS = [...PACKAGES.map((path) => `${path}/src`), 'e2e', 'bench'];

/** What needs no types: the style, unused and undeclared packages, the catalogue, which way imports go. */
export async function checkHouse(tally) {
  await tally.check('Style', bin('prettier'), ['--check', '--log-level', 'warn', '.']);
  await tally.check('Packages', bin('knip'), ['--dependencies']);
  await tally.check('Sentences', process.execPath, ['scripts/catalog.mjs', '--check']);
  await tally.check('Extension', process.execPath, ['scripts/lintExtension.mjs']);
  await tally.check('Rooms', bin('depcruise'), ['--config', '.dependency-cruiser.cjs', ...ROOMS]);
}

export async function checkTypesAndLint(tally) {
  await checkHouse(tally);
  await tally.check('Types and lint', process.execPath, ['scripts/typesAndLint.mjs']);
}

export async function unitTests(tally) {
  // As many as there are cores: left alone, Jest keeps one back, and that is half of two.
  await tally.jest('Unit tests', ['--maxWorkers=100%']);
}
