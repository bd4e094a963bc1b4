// What esbuild is to leave out of a bundle: the same as Metro does.
import { createRequire } from 'node:module';

const { standsFor } = createRequire(import.meta.url)('../packages/app/unused.cjs');

export const withoutUnused = {
  name: 'without-unused',
  setup({ onResolve, onLoad }) {
    onResolve({ filter: /^\./ }, ({ importer, path }) => {
      const stub = standsFor(importer, path);
      if (stub === undefined) return undefined;
      return stub === null ? { path, namespace: 'unused', sideEffects: false } : { path: stub };
    });
    onLoad({ filter: /.*/, namespace: 'unused' }, () => ({ contents: 'module.exports = {}' }));
  },
};
