/**
 * Mnemonics: what a text is by its looks, what could be typed for it, and how soon that comes to mind. No keyboard and no
 * other shortcut is asked: `core/effort` prices what is typed, `core/propose` chooses.
 */
export { mnemonicsOf, type How, type Mnemonic } from './mnemonics';
export { recallKindOf, type RecallKind } from './recall';
export { guessKind, recognise, type Recognised } from './recognise';
export { SMALL_WORDS } from './smallWords';
