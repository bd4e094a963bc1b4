import lingui from 'eslint-plugin-lingui';
import reactHooks from 'eslint-plugin-react-hooks';
import globals from 'globals';
import tseslint from 'typescript-eslint';

// The Encoding standard's converters compute and do nothing else; pages, workers and Node have them.
const ENCODING = new Set(['TextEncoder', 'TextDecoder']);

/** What is no sentence: words for programs, addresses, styles, names of keys. One word without capitals is taken for such a word. */
const NO_SENTENCE = [
  '^[a-z][\\w-]*$',
  '^\\S*[/#.:_@\\[\\]()%=~][^ ]*$',
  // Keys, and what queries are joined by.
  '^(Enter|Escape|Tab|Backspace|Delete|Home|End|Page(Up|Down)|Arrow(Up|Down|Left|Right)|[A-Z][a-z]+Error|AND|OR)$',
  // Lengths of time (ISO 8601), patterns of dates (UTS #35), styles, paths of drawings, faces, commands.
  '^-?P[\\dA-Z]*$',
  '^[dEHMahmy .,:/-]+$',
  '\\d(px|-digit)|^rgba?\\(|^M[\\d.]|(sans-serif|monospace)$|^npm |^<!doctype|U\\+|-list$',
  // Words on keys, and a code drawn as dots.
  '^(Aa|AA|AltGr|aa·)$',
];

/** Where a text is for programs, by the name of the property, variable or function that gets it. */
const FOR_PROGRAMS = {
  ignoreNames: [
    {
      regex: {
        pattern:
          '^(role|style|styles|className|variant|mode|icon|name|nativeID|key|type|href|pathname|path|fontFamily|border\\w*|boxShadow|outline|padding|transform|d|viewBox|points|colorScheme|sandbox|cssText|kind|hash|cipher|pattern|about|focusOn|LAYERS|CODE|APP|FOCUSABLE|FIELD|HEADING)$',
      },
    },
    { regex: { pattern: '^aria-(haspopup|live|labelledby|describedby|current|activedescendant)$' } },
  ],
  ignoreFunctions: [
    '*Error',
    'asData',
    'console.*',
    'fetch',
    'matchMedia',
    'fileName',
    'saveFile',
    'webStyle',
    'useKept',
    'choose',
    '*.{includes,startsWith,endsWith,split,join,replace,replaceAll,match,test,indexOf,lastIndexOf,normalize,padStart,padEnd}',
    '*.{get,set,has,delete,put,getItem,setItem,getAttribute,setAttribute,matches,closest,querySelector,querySelectorAll}',
    '*.{addEventListener,removeEventListener,createElement,execCommand,mark,open,matchMedia}',
  ],
};

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
    // Every sentence is marked for the catalogues, and nothing is written as in one country alone.
    files: ['packages/app/src/**/*.{ts,tsx}'],
    ignores: ['**/*.test.*', '**/testing.ts', '**/testing/**', '**/stubs/**', '**/offline/**', '**/worker*.ts'],
    plugins: { lingui },
    rules: {
      ...lingui.configs['flat/recommended'].rules,
      'lingui/no-unlocalized-strings': ['error', { useTsTypes: true, ignore: NO_SENTENCE, ...FOR_PROGRAMS }],
      'lingui/no-expression-in-message': 'error',
      'no-restricted-syntax': [
        'error',
        {
          selector: 'CallExpression[callee.property.name=/^toLocale(Date|Time|)String$/]',
          message: 'Numbers, dates and times go through wording/format.',
        },
        {
          selector: 'NewExpression[callee.object.name="Intl"] > Literal.arguments:first-child',
          message: 'The language is the person’s: see wording/format.',
        },
      ],
    },
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
