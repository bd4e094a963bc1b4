// What Metro bundles as ES modules has to be transformed for Jest as well.
const transformed = [
  '(jest-)?react-native',
  '@react-native',
  '@react-navigation',
  'expo',
  '@expo',
  'lucide-react-native',
  'uuid',
  '@scure',
  'idb',
  'fractional-indexing',
  '@hookform',
  '@yellow-latch',
  'messageformat',
  'lexical',
  '@lexical',
  'micromark',
  'mdast-util-',
  'unist-util-',
  'decode-named-character-reference',
  'character-entities',
  'devlop',
].join('|');

module.exports = {
  displayName: 'app',
  preset: 'jest-expo/web',
  rootDir: __dirname,
  testMatch: ['<rootDir>/src/**/*.test.ts?(x)'],
  setupFiles: ['<rootDir>/src/testing/setup.ts'],
  moduleNameMapper: {
    '^@/(.*)$': '<rootDir>/src/$1',
    '\\.woff2$': '<rootDir>/src/testing/font.ts',
    '^lucide-react-native/icons/(.*)$': '<rootDir>/../../node_modules/lucide-react-native/dist/cjs/icons/$1.js',
  },
  transformIgnorePatterns: [`/node_modules/(?!(${transformed}))`],
  cacheDirectory: `${__dirname}/../../.cache/jest-app`,
};
