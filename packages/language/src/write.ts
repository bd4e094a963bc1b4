/** A program: writes every file of language data into the folder given. */
import { mkdirSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';

import { buildLookAlikes, buildVocabulary } from './build';
import { LANGUAGES, type LanguageCode } from './languages';

const folder = process.argv[2]!;
mkdirSync(folder, { recursive: true });
const write = (name: string, content: unknown) => writeFileSync(join(folder, `${name}.json`), JSON.stringify(content));
for (const code of Object.keys(LANGUAGES) as LanguageCode[]) write(code, buildVocabulary(code));
write('look-alikes', buildLookAlikes());
