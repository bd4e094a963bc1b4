/**
 * The model: what a shortcut and a set are, what they may hold, and how a code is compared.
 *
 * Everything that travels between device and server is parsed by the schemas of this room;
 * nothing is typed twice.
 */
export { isLineTooLong, LanguageSchema, lineOf } from './checked';
export * from './code';
export * from './convention';
export * from './derivedId';
export * from './device';
export * from './expansion';
export * from './keyboard';
export * from './kind';
export * from './learning';
export * from './limits';
export { markdownShown } from './markdownShown';
export * from './marker';
export * from './problem';
export * from './record';
export * from './recordId';
export * from './rules';
export { wordsIn } from './foldedWords';
export * from './inUse';
export * from './order';
export * from './text';
