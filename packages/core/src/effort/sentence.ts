/** Where a text stands: at the start of a sentence, inside one, or behind what ends one. */
export type SentenceState = 'start' | 'inside' | 'ended';

const ENDS = '.!?';
const CLOSES = '"\')]”’';

/** The state after one more character. A sentence starts after its end and a space, and on a new line. */
export function nextSentence(state: SentenceState, character: string): SentenceState {
  if (character === '\n') return 'start';
  if (/\s/u.test(character)) return state === 'inside' ? 'inside' : 'start';
  if (ENDS.includes(character)) return 'ended';
  return state === 'ended' && CLOSES.includes(character) ? 'ended' : 'inside';
}
