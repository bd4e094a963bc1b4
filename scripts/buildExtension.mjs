// The browser extension as a folder to load and as one file, made of packages/extension.
import { cpSync, mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { join, relative } from 'node:path';

import { filesBelow, ROOT } from './steps.mjs';

const SOURCE = join(ROOT, 'packages/extension');
export const EXTENSION = join(SOURCE, 'dist/yellow-latch');
export const EXTENSION_ZIP = join(SOURCE, 'dist/yellow-latch.zip');

/** Every script of the extension, by the name it is loaded under. */
const SCRIPTS = {
  background: 'src/background/main.ts',
  watch: 'src/page/watch.ts',
  field: 'src/page/field.ts',
  panel: 'src/panel/panel.ts',
  options: 'src/options/options.ts',
};
const FACES = {
  'next-400': 'atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-400-normal.woff2',
  'next-700': 'atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-700-normal.woff2',
  'mono-700': 'atkinson-hyperlegible-mono/files/atkinson-hyperlegible-mono-latin-700-normal.woff2',
};

/** The same files each time, with the same time in the zip, so that two builds can be compared. */
export async function buildExtension() {
  const esbuild = await import('esbuild');
  const { withoutUnused } = await import('./unused.mjs');
  rmSync(EXTENSION, { recursive: true, force: true });
  mkdirSync(join(EXTENSION, 'fonts'), { recursive: true });
  await esbuild.build({
    absWorkingDir: SOURCE,
    entryPoints: SCRIPTS,
    outdir: EXTENSION,
    bundle: true,
    minify: true,
    platform: 'browser',
    format: 'iife',
    target: 'chrome120',
    conditions: ['worker'],
    plugins: [withoutUnused],
    logLevel: 'warning',
  });
  for (const name of ['manifest.json', '_locales', 'icons'])
    cpSync(join(SOURCE, name), join(EXTENSION, name), { recursive: true });
  for (const name of ['panel', 'options'])
    cpSync(join(SOURCE, `src/${name}/${name}.html`), join(EXTENSION, `${name}.html`));
  for (const [name, file] of Object.entries(FACES))
    cpSync(join(ROOT, 'node_modules/@fontsource', file), join(EXTENSION, `fonts/${name}.woff2`));
  const { paletteCss } = await palette(esbuild);
  writeFileSync(
    join(EXTENSION, 'look.css'),
    `${paletteCss(':root')}\n${readFileSync(join(SOURCE, 'src/look.css'), 'utf8')}`,
  );
  await zip();
}

/** The colours of the app, which stand in the field's package once. */
async function palette(esbuild) {
  const { outputFiles } = await esbuild.build({
    entryPoints: [join(ROOT, 'packages/field/src/palette.ts')],
    bundle: true,
    format: 'esm',
    write: false,
  });
  return import(`data:text/javascript;base64,${Buffer.from(outputFiles[0].contents).toString('base64')}`);
}

async function zip() {
  const { zipSync } = await import('fflate');
  const files = filesBelow(EXTENSION).map((path) => [
    relative(EXTENSION, path).replaceAll('\\', '/'),
    readFileSync(path),
  ]);
  writeFileSync(EXTENSION_ZIP, zipSync(Object.fromEntries(files), { level: 9, mtime: '2026-01-01T00:00:00' }));
}
