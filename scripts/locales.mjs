// The catalogues: where they are, and what the build makes of them.
import { existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';

const APP = fileURLToPath(new URL('../packages/app', import.meta.url));

/** The one catalogue of the app, as Lingui knows it, and the file of its English. */
export async function openCatalog() {
  const [{ getConfig }, { getCatalogs }] = await Promise.all([import('@lingui/conf'), import('@lingui/cli/api')]);
  const config = getConfig({ cwd: APP, configPath: join(APP, 'lingui.config.mjs') });
  const [catalog] = await getCatalogs(config);
  return { catalog, config, file: join(APP, 'locales/en.po') };
}

/** The text of a catalogue’s file; empty if there is none yet. */
export function readCatalog(file) {
  return existsSync(file) ? readFileSync(file, 'utf8') : '';
}

/**
 * Writes each language that is fetched, made ready to be filled in, as JSON into a folder: its messages by their ids.
 * English stands in the sources, and is not among them; the pseudo-language is made of it.
 */
export async function writeLocales(folder) {
  const { compileMessage } = await import('@lingui/message-utils/compileMessage');
  const { catalog, config } = await openCatalog();
  mkdirSync(folder, { recursive: true });
  const write = (language, messages) =>
    writeFileSync(join(folder, `${language}.json`), JSON.stringify(Object.fromEntries(messages)));
  const english = Object.entries(await catalog.read('en'));
  write(
    'en-XA',
    english.map(([id, { message }]) => [id, ['⟦', ...compileMessage(message, stretched), '⟧']]),
  );
  for (const language of config.locales.filter((one) => one !== config.sourceLocale)) {
    const known = Object.entries(await catalog.read(language)).filter(([, { translation }]) => translation);
    write(
      language,
      known.map(([id, { translation }]) => [id, compileMessage(translation)]),
    );
  }
}

const ACCENTS = {
  a: 'à',
  c: 'ç',
  d: 'ď',
  e: 'é',
  g: 'ğ',
  i: 'ï',
  l: 'ļ',
  n: 'ñ',
  o: 'ö',
  r: 'ŕ',
  s: 'š',
  t: 'ţ',
  u: 'û',
  y: 'ý',
};

/** Text with accents on it and two fifths longer, as other languages are. */
function stretched(text) {
  let letters = 0;
  return text.replace(/\p{L}/gu, (letter) => {
    letters += 1;
    const accented = ACCENTS[letter] ?? letter;
    return letters % 5 === 2 || letters % 5 === 4 ? accented + accented : accented;
  });
}
