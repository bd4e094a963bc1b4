// The journeys: the built app and server in a real browser, two files at a time.
module.exports = {
  displayName: 'e2e',
  rootDir: __dirname,
  testEnvironment: 'node',
  testMatch: ['<rootDir>/journeys/**/*.test.ts'],
  transform: { '\\.[jt]sx?$': require.resolve('../scripts/jest-esbuild.cjs') },
  transformIgnorePatterns: ['/node_modules/(?!(@yellow-latch|@scure/base|uuid|fractional-indexing)/)'],
  cacheDirectory: `${__dirname}/../.cache/jest-e2e`,
  testTimeout: 120_000,
  // Journeys wait more than they work; each has a server, a database and a browser of its own.
  maxWorkers: 2,
};
