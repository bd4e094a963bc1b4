// Jest transform for code that runs in Node: TypeScript and ES modules to CommonJS by esbuild.
// (babel-preset-expo, which the app's tests use, breaks `import.meta.url`.)
const { createHash } = require('node:crypto');
const { transformSync, version } = require('esbuild');

const options = {
  format: 'cjs',
  target: 'node20',
  sourcemap: 'inline',
  // A script in Jest cannot import; it can require.
  supported: { 'dynamic-import': false },
  define: { 'import.meta.url': '__importMetaUrl' },
  banner: 'const __importMetaUrl = require("node:url").pathToFileURL(__filename).href;',
};

const SENTENCES = /from '@lingui\/core\/macro'/;

/** Writes out the macros that sentences are marked with; only files that have one pass Babel. */
function writtenOut(source, path) {
  if (!SENTENCES.test(source)) return source;
  const { transformSync: transform } = require('@babel/core');
  return transform(source, {
    filename: path,
    configFile: false,
    babelrc: false,
    retainLines: true,
    parserOpts: { plugins: path.endsWith('x') ? ['typescript', 'jsx'] : ['typescript'] },
    plugins: [require('../packages/app/lingui.macro.cjs')],
  }).code;
}

module.exports = {
  getCacheKey: (source, path) =>
    createHash('sha1')
      .update(source)
      .update(path)
      .update(version)
      .update(JSON.stringify(options))
      .update('sentences 2')
      .digest('hex'),
  process: (source, path) => ({
    code: transformSync(writtenOut(source, path), {
      ...options,
      loader: path.endsWith('.ts') ? 'ts' : path.endsWith('.tsx') ? 'tsx' : 'js',
      // By the name of .mjs esbuild would take what was transformed for CommonJS as Node does.
      sourcefile: path.replace(/\.mjs$/, '.js'),
    }).code,
  }),
};
