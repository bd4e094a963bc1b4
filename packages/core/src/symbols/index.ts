/**
 * Symbols: found by name, keyword, code point and look; browsed by use; sets to begin with. The data comes from
 * `packages/language`. Codes for them are made in `core/propose`.
 */
export { SymbolFinder, type FoundSymbol, type SymbolSearch } from './finder';
export { CodePointSet, type Block, type EmojiGroup, type SymbolTable, type SymbolWords } from './table';
export { STARTERS, type Starter } from './starters';
export { symbolsOfUse, USES, usualSymbols, type Use } from './uses';
export { codePointIn, nameByRule, noSymbol, writeCodePoint, writeCodePoints, type NoSymbol } from './codePoint';
