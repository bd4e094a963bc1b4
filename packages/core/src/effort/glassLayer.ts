import type { Keyboard, Press } from './keyboard';
import { nextSentence, type SentenceState } from './sentence';
import { layerAt } from './way';

/** So far back, in UTF-16 units, a sentence is looked for. */
const FAR = 400;

/** Where in a sentence a text ends. */
function sentenceOf(before: string): SentenceState {
  let state: SentenceState = before.length > FAR ? 'inside' : 'start';
  for (const character of before.slice(-FAR)) state = nextSentence(state, character);
  return state;
}

/** The layer that is up when a text ends so: its letters, or the capitals where a sentence begins. */
export function layerBefore(before: string, layer: string, keyboard: Keyboard): string {
  return layerAt(layer, sentenceOf(before), keyboard);
}

/** The layer after a press; `before`: what then stands before the caret. A press that gives nothing leads where it says. */
export function layerAfter({ gives, to }: Press, before: string, keyboard: Keyboard): string {
  return gives === '' ? to[0]! : layerBefore(before, to[0]!, keyboard);
}
