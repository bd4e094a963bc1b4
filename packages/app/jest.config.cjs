module.exports = {
  displayName: 'app',
  preset: 'jest-expo/web',
  rootDir: __dirname,
  testMatch: ['<rootDir>/src/**/*.test.ts?(x)'],
  cacheDirectory: `${__dirname}/../../.cache/jest-app`,
};
