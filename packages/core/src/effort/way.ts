import type { Key, Keyboard, Press } from './keyboard';
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
interface Step {
  readonly layer: string;
  readonly key: string | null;
  readonly seconds: number;
  readonly press: Press | null;
  readonly before: Step | null;
}

const SENTENCE_START = /(^|\n|[.!?]["')\]\u201d\u2019]*\s+)$/u;

/**
 * The shortest path, by time, over layers and the key pressed last. Of equally quick ways one is given.
 * Cost: the length of the text times the layer switches of the keyboard; a text that comes again should
 * be priced once by who asks.
 */
export function cheapestWay(text: string, keyboard: Keyboard, timing: Timing): Way | NotOnKeyboard {
  const presses = byLayer(keyboard);
  const composed = text.normalize('NFC');
  let steps: Step[] = [beginAt({ layer: keyboard.start, key: null, seconds: 0, press: null, before: null }, '', keyboard)];
  let at = 0;
  for (const character of composed) {
    const next: Step[] = [];
    for (const step of withSwitches(steps, presses, keyboard, timing)) {
      for (const press of presses.get(step.layer)?.giving.get(character) ?? []) take(next, step, press, keyboard, timing);
    }
    if (next.length === 0) return { type: 'not-on-keyboard', character, at };
    at += character.length;
    // Only what ends a sentence can bring up a capital.
    const typed = composed.slice(Math.max(0, at - 8), at);
    steps = keyboard.automaticCapital ? next.map((step) => beginAt(step, typed, keyboard)) : next;
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

/** Where a sentence begins, the layer of capitals may have come up by itself. */
function beginAt(step: Step, typed: string, { automaticCapital }: Keyboard): Step {
  const isUp = automaticCapital !== null && step.layer === automaticCapital.from && SENTENCE_START.test(typed);
  return isUp ? { ...step, layer: automaticCapital.to } : step;
}

/** The steps, and all that can be reached from them by switching layers alone, each the quickest way (Dijkstra). */
function withSwitches(steps: readonly Step[], presses: Map<string, LayerPresses>, keyboard: Keyboard, timing: Timing): Step[] {
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
  return press.to.map((layer) => ({ layer, key: press.key, seconds, press, before: step }));
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
  return { type: 'way', taps: presses.length, seconds: last.seconds, presses, layer: last.layer };
}
