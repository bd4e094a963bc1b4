// The journeys: the built app and server in a real browser, one file after the other.
module.exports = {
  displayName: 'e2e',
  rootDir: __dirname,
  testEnvironment: 'node',
  testMatch: ['<rootDir>/journeys/**/*.test.ts'],
  transform: { '\\.[jt]sx?$': require.resolve('../scripts/jest-esbuild.cjs') },
  transformIgnorePatterns: ['/node_modules/(?!(@yellow-latch|uuid|fractional-indexing)/)'],
  cacheDirectory: `${__dirname}/../.cache/jest-e2e`,
  testTimeout: 120_000,
  maxWorkers: 1,
};
