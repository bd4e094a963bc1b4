// The rooms of the house and which way imports go between them: see docs/architecture.md. Checked in `npm run check`.

/** A package may import these of ours and no others; its tests may. */
const onlyImports = (name, allowed) => ({
  name: `${name}-imports-${allowed.join('-and-') || 'nothing-of-ours'}`,
  severity: 'error',
  from: { path: `^packages/${name}/src`, pathNot: '\\.test\\.tsx?$' },
  to: { path: '^(packages|e2e|bench)/', pathNot: `^packages/(${[name, ...allowed].join('|')})/` },
});

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
    onlyImports('core', []),
    onlyImports('language', ['core']),
    onlyImports('replica', ['core']),
    onlyImports('field', ['core']),
    onlyImports('server', ['core']),
    onlyImports('terminal', ['core', 'language', 'replica']),
    onlyImports('extension', ['core', 'replica', 'field']),
    onlyImports('app', ['core', 'language', 'replica', 'field']),
    {
      name: 'no-schemas-where-one-types',
      comment: 'What runs in pages is small: records are parsed before they get there.',
      severity: 'error',
      from: { path: '^packages/(core/src/(fire|expansion)|field/src|extension/src/page)/', pathNot: '\\.test\\.ts$' },
      to: { path: 'node_modules/zod/' },
    },
    {
      name: 'storage-below-sync-and-commands',
      severity: 'error',
      from: { path: '^packages/replica/src/storage', pathNot: '\\.test\\.ts$' },
      to: { path: '^packages/replica/src/(sync|commands)/' },
    },
    {
      name: 'sync-and-commands-apart',
      severity: 'error',
      from: { path: '^packages/replica/src/(sync|commands)/', pathNot: '\\.test\\.ts$' },
      to: { path: '^packages/replica/src/(sync|commands)/', pathNot: '^packages/replica/src/$1/' },
    },
    {
      name: 'features-apart',
      comment: 'What several features show is a part; what is fetched late has a door in bundles.',
      severity: 'error',
      from: { path: '^packages/app/src/features/([^/]+)/' },
      to: { path: '^packages/app/src/features/', pathNot: '^packages/app/src/features/$1/' },
    },
    {
      name: 'parts-below-features',
      severity: 'error',
      from: { path: '^packages/app/src/parts/' },
      to: { path: '^packages/app/src/(app|features|bundles)/' },
    },
    {
      name: 'answers-below-parts',
      severity: 'error',
      from: { path: '^packages/app/src/answers/' },
      to: { path: '^packages/app/src/(app|features|bundles|parts)/' },
    },
    {
      name: 'frame-and-look-below-answers',
      severity: 'error',
      from: { path: '^packages/app/src/(frame|look|offline)/' },
      to: { path: '^packages/app/src/(app|features|bundles|parts|answers)/' },
    },
    {
      name: 'wording-below-all',
      severity: 'error',
      from: { path: '^packages/app/src/wording/' },
      to: { path: '^packages/app/src/(app|features|bundles|parts|answers|frame|look|offline)/' },
    },
    {
      name: 'routes-on-top',
      severity: 'error',
      from: { path: '^packages/app/src/', pathNot: '^packages/app/src/app/' },
      to: { path: '^packages/app/src/app/' },
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
