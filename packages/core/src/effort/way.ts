import type { Key, Keyboard, Press } from './keyboard';
import { nextSentence, type SentenceState } from './sentence';
import type { Timing } from './timing';

/** The quickest presses that type a text. */
export interface Way {
  readonly type: 'way';
  readonly taps: number;
  readonly seconds: number;
  readonly presses: readonly Press[];
  /** The layer the keyboard is in afterwards. */
  readonly layer: string;
}

/** A text that a keyboard cannot type: the first character it lacks, and its offset in UTF-16 units. */
export interface NotOnKeyboard {
  readonly type: 'not-on-keyboard';
  readonly character: string;
  readonly at: number;
}

/** Where the search stands: in a layer, with a finger over a key. */
export interface Step {
  readonly layer: string;
  readonly key: string | null;
  readonly seconds: number;
  readonly taps: number;
  readonly press: Press | null;
  readonly before: Step | null;
}

/** Before the first press. */
export const BEGINNING: Omit<Step, 'layer'> = { key: null, seconds: 0, taps: 0, press: null, before: null };

/**
 * The shortest path, by time, over layers and the key pressed last. Of equally quick ways one is given.
 * Cost: the length of the text times the layer switches of the keyboard; a text that comes again should
 * be priced once by who asks.
 */
export function cheapestWay(text: string, keyboard: Keyboard, timing: Timing): Way | NotOnKeyboard {
  const composed = text.normalize('NFC');
  let sentence: SentenceState = 'start';
  let steps: Step[] = [{ ...BEGINNING, layer: layerAt(keyboard.start, sentence, keyboard) }];
  let at = 0;
  for (const character of composed) {
    const next = stepsTo(character, withSwitches(steps, keyboard, timing), keyboard, timing);
    if (next.length === 0) return { type: 'not-on-keyboard', character, at };
    at += character.length;
    sentence = nextSentence(sentence, character);
    steps = next.map((step) => ({ ...step, layer: layerAt(step.layer, sentence, keyboard) }));
  }
  const best = steps.reduce((one, other) => (other.seconds < one.seconds ? other : one));
  return wayOf(best);
}

interface LayerPresses {
  /** Presses that only change the layer. */
  readonly silent: Press[];
  readonly giving: Map<string, Press[]>;
}

const known = new WeakMap<Keyboard, Map<string, LayerPresses>>();

function byLayer(keyboard: Keyboard): Map<string, LayerPresses> {
  let layers = known.get(keyboard);
  if (layers) return layers;
  layers = new Map();
  for (const press of keyboard.presses) {
    const layer = layers.get(press.layer) ?? { silent: [], giving: new Map<string, Press[]>() };
    layers.set(press.layer, layer);
    if (press.gives === '') layer.silent.push(press);
    else layer.giving.set(press.gives, [...(layer.giving.get(press.gives) ?? []), press]);
  }
  known.set(keyboard, layers);
  return layers;
}

/** The layer that is up: where a sentence begins, that of capitals may have come up by itself. */
export function layerAt(layer: string, sentence: SentenceState, { automaticCapital }: Keyboard): string {
  return sentence === 'start' && layer === automaticCapital?.from ? automaticCapital.to : layer;
}

/** The quickest steps that type one character more, one for each place they end in; `reached`: of `withSwitches`. */
export function stepsTo(character: string, reached: readonly Step[], keyboard: Keyboard, timing: Timing): Step[] {
  const presses = byLayer(keyboard);
  const next: Step[] = [];
  for (const step of reached) {
    for (const press of presses.get(step.layer)?.giving.get(character) ?? []) take(next, step, press, keyboard, timing);
  }
  return next;
}

/** The steps, and all that can be reached from them by switching layers alone, each the quickest way (Dijkstra). */
export function withSwitches(steps: readonly Step[], keyboard: Keyboard, timing: Timing): Step[] {
  const presses = byLayer(keyboard);
  const open: Step[] = [];
  for (const step of steps) keep(open, step);
  const done: Step[] = [];
  while (open.length > 0) {
    const first = open.reduce((one, other, index) => (other.seconds < open[one]!.seconds ? index : one), 0);
    const [step] = open.splice(first, 1) as [Step];
    done.push(step);
    for (const press of presses.get(step.layer)?.silent ?? []) {
      for (const after of pressed(step, press, keyboard, timing)) {
        if (!done.some((one) => one.layer === after.layer && one.key === after.key)) keep(open, after);
      }
    }
  }
  return done;
}

function take(steps: Step[], step: Step, press: Press, keyboard: Keyboard, timing: Timing): void {
  for (const after of pressed(step, press, keyboard, timing)) keep(steps, after);
}

function pressed(step: Step, press: Press, { keys }: Keyboard, timing: Timing): Step[] {
  const from: Key | null = step.key === null ? null : keys[step.key]!;
  const seconds = step.seconds + timing(from, keys[press.key]!) + (press.hold ?? 0);
  return press.to.map((layer) => ({ layer, key: press.key, seconds, taps: step.taps + 1, press, before: step }));
}

/** Of the steps that stand at one place only the quickest is kept. */
function keep(steps: Step[], step: Step): void {
  const index = steps.findIndex(({ layer, key }) => layer === step.layer && key === step.key);
  if (index < 0) steps.push(step);
  else if (step.seconds < steps[index]!.seconds) steps[index] = step;
}

function wayOf(last: Step): Way {
  const presses: Press[] = [];
  for (let step: Step | null = last; step !== null; step = step.before) if (step.press) presses.push(step.press);
  presses.reverse();
  return { type: 'way', taps: last.taps, seconds: last.seconds, presses, layer: last.layer };
}
