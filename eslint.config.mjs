import reactHooks from 'eslint-plugin-react-hooks';
import globals from 'globals';
import tseslint from 'typescript-eslint';

// The Encoding standard's converters compute and do nothing else; pages, workers and Node have them.
const ENCODING = new Set(['TextEncoder', 'TextDecoder']);

export default tseslint.config(
  {
    ignores: [
      '**/dist/',
      'e2e/.shots.cjs',
      'bench/.bench.cjs',
      '**/node_modules/',
      '.cache/',
      'data/',
      'packages/server/migrations/',
      'packages/app/public/',
    ],
  },
  {
    files: ['**/*.ts', '**/*.tsx'],
    extends: [...tseslint.configs.recommendedTypeChecked],
    languageOptions: { parserOptions: { projectService: true, tsconfigRootDir: import.meta.dirname } },
    rules: {
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', varsIgnorePattern: '^_' }],
      '@typescript-eslint/no-require-imports': ['error', { allow: ['\\.woff2$'] }],
      '@typescript-eslint/consistent-type-imports': 'error',
      '@typescript-eslint/unbound-method': 'off',
      eqeqeq: 'error',
      'no-nested-ternary': 'error',
    },
  },
  {
    files: ['packages/app/src/**/*.{ts,tsx}'],
    extends: [reactHooks.configs.flat['recommended-latest'] ?? reactHooks.configs['recommended-latest']],
  },
  {
    // The core knows nothing of pages, React or Node.
    files: ['packages/core/src/**/*.ts'],
    ignores: ['**/*.test.ts'],
    rules: {
      'no-restricted-imports': [
        'error',
        { patterns: ['node:*', 'react', 'react-*', 'expo*', '@yellow-latch/*', '**/app/**', '**/server/**'] },
      ],
      'no-restricted-globals': [
        'error',
        ...Object.keys(globals.browser).filter((name) => !(name in globals.es2025) && !ENCODING.has(name)),
        'process',
        'Buffer',
      ],
    },
  },
  {
    files: ['**/*.mjs', '**/*.cjs'],
    languageOptions: { globals: globals.node },
  },
);
