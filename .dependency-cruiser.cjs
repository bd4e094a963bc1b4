/** The rooms of the house and which way imports go between them: see docs/architecture.md. Checked in `npm run check`. */
module.exports = {
  forbidden: [
    {
      name: 'no-circles',
      comment:
        'Two files that import each other, by way of others or for a type alone, are one idea or a third one is missing.',
      severity: 'error',
      from: {},
      to: { circular: true },
    },
    {
      name: 'core-imports-nothing-of-ours',
      severity: 'error',
      from: { path: '^packages/core/src', pathNot: '\\.test\\.tsx?$' },
      to: { path: '^(packages/(app|server|language)|e2e|bench)' },
    },
    {
      name: 'language-imports-core-alone',
      severity: 'error',
      from: { path: '^packages/language/src', pathNot: '\\.test\\.ts$' },
      to: { path: '^(packages/(app|server)|e2e|bench)' },
    },
    {
      name: 'app-and-server-apart',
      severity: 'error',
      from: { path: '^packages/(app|server)/src', pathNot: '\\.test\\.tsx?$' },
      to: { path: '^(packages/(app|server)|e2e|bench)/', pathNot: '^packages/$1/' },
    },
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    exclude: { path: '(^|/)(dist|node_modules|public)/' },
    tsPreCompilationDeps: true,
    tsConfig: { fileName: 'tsconfig.rooms.json' },
    enhancedResolveOptions: {
      exportsFields: ['exports'],
      conditionNames: ['import', 'require', 'node', 'default'],
      extensions: ['.ts', '.tsx', '.mjs', '.js', '.json'],
    },
  },
};
