import { formatter } from '@lingui/format-po';

/** Sentences stand in the sources in English and are gathered here; CONTRIBUTING.md says how a language is added. */
export default {
  rootDir: import.meta.dirname,
  sourceLocale: 'en',
  locales: ['en'],
  catalogs: [{ path: '<rootDir>/locales/{locale}', include: ['<rootDir>/src'], exclude: ['**/*.test.*'] }],
  // Where a sentence stands, but not the line: or every edit above it would change the catalogue.
  format: formatter({ lineNumbers: false }),
  orderBy: 'origin',
};
