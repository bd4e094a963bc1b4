/** What the extension is as a whole: its manifest, its sentences, and what is said of both. */
import { createHash } from 'node:crypto';
import { existsSync, readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { gzipSync } from 'node:zlib';

import { buildSync } from 'esbuild';
import { EXTENSION_ORIGIN } from '@yellow-latch/core/sync';

interface Manifest {
  key: string;
  default_locale: string;
  permissions: string[];
  host_permissions: string[];
  icons: Record<string, string>;
  action: { default_popup: string };
}

const SOURCE = join(__dirname, '..');
const read = (path: string) => readFileSync(join(SOURCE, path), 'utf8');
const manifest = JSON.parse(read('manifest.json')) as Manifest;
const sentences = JSON.parse(read('_locales/en/messages.json')) as Record<
  string,
  { message: string; placeholders?: Record<string, { content: string }> }
>;

function sources(folder = __dirname): string[] {
  return readdirSync(folder, { withFileTypes: true }).flatMap((one) => {
    const path = join(folder, one.name);
    if (one.isDirectory()) return sources(path);
    return /(?<!\.test)\.ts$/u.test(one.name) ? [readFileSync(path, 'utf8')] : [];
  });
}

// Chromium's way to make an id of a key: the first 128 bits of the SHA-256 of the public key, a to p for 0 to f (from memory).
test('the key in the manifest makes the id that the server lets in', () => {
  const digest = createHash('sha256').update(Buffer.from(manifest.key, 'base64')).digest('hex').slice(0, 32);
  const id = [...digest].map((digit) => 'abcdefghijklmnop'[parseInt(digit, 16)]).join('');
  expect(EXTENSION_ORIGIN).toBe(`chrome-extension://${id}`);
});

test('every sentence that is said is there, and every one that is there is said', () => {
  const said = new Set<string>();
  for (const source of sources())
    for (const [text] of source.matchAll(/'[a-zA-Z]+'/gu))
      if (text.slice(1, -1) in sentences) said.add(text.slice(1, -1));
  const inManifest = [...read('manifest.json').matchAll(/__MSG_(\w+)__/gu)].map(([, name]) => name!);
  for (const source of sources())
    for (const [, name] of source.matchAll(/\bsay\('(\w+)'/gu)) expect(Object.keys(sentences)).toContain(name);
  expect(Object.keys(sentences).filter((name) => !said.has(name) && !inManifest.includes(name))).toEqual([]);
});

test('what stands in a sentence is declared', () => {
  for (const [name, { message, placeholders = {} }] of Object.entries(sentences)) {
    const used = [...message.matchAll(/\$(\w+)\$/gu)].map(([, placeholder]) => placeholder);
    expect([name, used.sort()]).toEqual([name, Object.keys(placeholders).sort()]);
  }
  expect(manifest.default_locale).toBe('en');
});

test('every permission has its reason in the docs', () => {
  const reasons = read('../../docs/security.md');
  for (const permission of [...manifest.permissions, ...manifest.host_permissions])
    expect(reasons).toContain(`| \`${permission}\` |`);
});

test('the pictures that the manifest names are there', () => {
  for (const path of Object.values(manifest.icons))
    expect([path, existsSync(join(SOURCE, path))]).toEqual([path, true]);
});

/** A program as a page fetches it first: its size compressed, in kB, and the packages in it. */
function bundled(entry: string): { size: number; packages: string[] } {
  const { outputFiles, metafile } = buildSync({
    entryPoints: [join(SOURCE, entry)],
    bundle: true,
    minify: true,
    splitting: true,
    format: 'esm',
    outdir: 'out',
    write: false,
    metafile: true,
  });
  const output = Object.entries(metafile.outputs).find(([, { entryPoint }]) =>
    entryPoint?.endsWith(entry.split('/').at(-1)!),
  );
  // What it imports for certain is fetched with it; what it may import is not.
  const firstOf = (path: string): string[] => [
    path,
    ...metafile.outputs[path]!.imports.filter(({ kind }) => kind === 'import-statement').flatMap(({ path: next }) =>
      firstOf(next),
    ),
  ];
  const files = [...new Set(firstOf(output![0]))];
  const contents = files.map((file) => outputFiles.find(({ path }) => path.endsWith(file))!.contents);
  const inputs = files.flatMap((file) => Object.keys(metafile.outputs[file]!.inputs));
  const packages = inputs.flatMap((input) => /node_modules\/((?:@[^/]+\/)?[^/]+)/u.exec(input)?.[1] ?? []);
  return {
    size: contents.reduce((sum, one) => sum + gzipSync(one).length, 0) / 1_000,
    packages: [...new Set(packages)],
  };
}

test.each([
  ['what others build in', '../field/example/main.ts', 45],
  ['what follows typing in a page', 'src/page/field.ts', 60],
  ['what runs in every frame', 'src/page/watch.ts', 1],
])('%s is small, and parses nothing', (_what, entry, most) => {
  const { size, packages } = bundled(entry);
  console.log(`${entry}: ${size.toFixed(1)} kB compressed (at most ${most})`);
  expect(size).toBeLessThanOrEqual(most);
  expect(packages.filter((name) => name !== 'textarea-caret')).toEqual([]);
});

test('the page in the handbook of the field is short, and needs an exported list and nothing else', () => {
  const [html, script] = ['index.html', 'main.ts'].map((name) => read(`../field/example/${name}`));
  expect(`${html}${script}`.trimEnd().split('\n').length).toBeLessThanOrEqual(30);
  expect([...script!.matchAll(/from '([^']+)'/gu)].map(([, from]) => from)).toEqual(['@yellow-latch/field']);
});
