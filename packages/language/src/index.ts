/**
 * Language data: words with their frequencies, and signs that look alike, in compact files made by
 * `build.ts` from packages of the registry (see NOTICE). An app loads a file when it needs it.
 */
export { confusableSkeleton, parseLookAlikes, type LookAlikes } from './lookAlikes';
export { LANGUAGES, type LanguageCode } from './languages';
export { parseVocabulary, VocabularyFileSchema, type VocabularyFile } from './vocabularyFile';
export { zipf, type Zipf } from './zipf';
export { parseSlips, type Slip } from './slips/file';
export { parseSymbols, parseSymbolWords } from './symbols/file';
