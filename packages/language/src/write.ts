/** A program: writes every file of language data into one folder, the faces for symbols and their style sheet into another. */
import { copyFileSync, mkdirSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';

import { buildLookAlikes, buildVocabulary } from './build';
import { LANGUAGES, type LanguageCode } from './languages';
import { buildSlips } from './slips/build';
import { buildSymbols, buildSymbolWords } from './symbols/build';
import { facesSheet, shippedFaces } from './symbols/faces';

const [folder, facesFolder] = process.argv.slice(2) as [string, string];
for (const one of [folder, facesFolder]) mkdirSync(one, { recursive: true });
const write = (name: string, content: unknown) => writeFileSync(join(folder, `${name}.json`), JSON.stringify(content));
for (const code of Object.keys(LANGUAGES) as LanguageCode[]) {
  write(code, buildVocabulary(code));
  write(`symbols-${code}`, buildSymbolWords(code));
}
write('symbols', await buildSymbols());
write('slips-en', buildSlips());
write('look-alikes', buildLookAlikes());
const { faces } = shippedFaces();
for (const { path, file } of faces) copyFileSync(path, join(facesFolder, file));
writeFileSync(join(facesFolder, 'faces.css'), facesSheet(faces));
