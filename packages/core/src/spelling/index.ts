/**
 * Spelling: a word that a language does not have, and the one it was meant for, as a keyboard on glass corrects it. `Speller` searches the
 * words of a language; when a word ends, and what may not be touched, is a matter of typing (`core/fire/correction`).
 */
export { Speller, type SpellerWords } from './speller';
