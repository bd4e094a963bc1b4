import { expandFor, type ExpansionContext } from '../expansion';
import { heldBy, isForeign, settleRules, type FiringEntry, type RuledList } from '../fire';
import { isMade } from '../model';
import { refusalOf, textHeld, type DeviceProfile } from '../profile';

export type FitShortcut = RuledList['shortcuts'][number];

/** A list, and what of it a device is to do without. */
export interface FitList extends RuledList {
  readonly isLeftOut?: (shortcut: FitShortcut) => boolean;
}

/** When and where templates are made; of the list's own shortcuts those inside others. */
export type FitContext = Pick<ExpansionContext, 'now' | 'locale' | 'zone'>;

/** What of a shortcut is otherwise in a place, though it works there. */
export type Change =
  | 'formatting'
  | 'lines'
  | 'blanks'
  | 'caret'
  | 'given'
  /** Capitals are the device's business there, not as the shortcut asks. */
  | 'capitals'
  /** A space stays behind the text. */
  | 'space'
  /** At the start of a sentence the device raises the first letter, and the code is not known. */
  | 'sentence start';

/** Why a shortcut does not work in a place. */
export type Obstacle =
  | 'too long'
  | 'several lines'
  /** It gives a date: there it would stay what it is on the day it is carried over. */
  | 'date'
  | 'space in code'
  | 'language'
  /** Its template cannot be made. */
  | 'broken'
  /** The device has an entry of its own that comes first. */
  | 'built-in'
  /** The device changes quotes, dashes or dots of the code before it is complete. */
  | 'punctuation'
  | 'another code'
  /** It does not expand, and nothing above says why. */
  | 'never';

/** A shortcut as a place would hold it. */
export interface Placed {
  readonly id: string;
  readonly code: string;
  readonly text: string;
  readonly changes: readonly Change[];
}

/** What a place would hold of a list. */
export interface ForPlace {
  readonly placed: readonly Placed[];
  /** What it cannot hold, or is to do without, by id. */
  readonly out: ReadonlyMap<string, Obstacle | 'left out'>;
}

/** Exactly what a place would hold of a list, in its order, and what was changed or left out. Linear. */
export function compileFor(list: FitList, profile: DeviceProfile, context: FitContext): ForPlace {
  const byId = new Map(list.shortcuts.map((shortcut) => [shortcut.id, shortcut]));
  const entries = settleRules(list);
  const placed: Placed[] = [];
  const out = new Map<string, Obstacle | 'left out'>();
  list.shortcuts.forEach((shortcut, index) => {
    const one = placing(shortcut, entries[index]!, list, profile, { ...context, shortcutOf: (id) => byId.get(id) });
    if (typeof one === 'string') out.set(shortcut.id, one);
    else placed.push(one);
  });
  return { placed, out };
}

const NOTHING: readonly Change[] = [];
const LINES: readonly Change[] = ['lines'];

/** One shortcut as a place would hold it, or why it would not. `entry`: the same with its rules settled. */
export function placing(
  shortcut: FitShortcut,
  entry: FiringEntry,
  { isLeftOut }: Pick<FitList, 'isLeftOut'>,
  profile: DeviceProfile,
  context: Omit<ExpansionContext, 'values'>,
): Placed | Obstacle | 'left out' {
  if (isLeftOut?.(shortcut)) return 'left out';
  if (isForeign(entry, profile)) return 'language';
  const { id, code, content } = shortcut;
  const text = textHeld(content.expansion, profile);
  if (!isMade(content)) {
    const why = refusalOf({ code, text }, profile);
    return why ?? { id, code, text, changes: changesOf(entry, profile, text === content.expansion ? NOTHING : LINES) };
  }
  const made = expandFor(shortcut, profile, context);
  if (made.type === 'errors') return 'broken';
  if (made.type === 'refused') return made.why;
  // What gives nothing at all cannot be kept.
  return made.text === '' ? 'broken' : { id, code, text: made.text, changes: changesOf(entry, profile, made.lost) };
}

function changesOf(entry: FiringEntry, profile: DeviceProfile, lost: readonly Change[]): readonly Change[] {
  // What asks for nothing loses nothing by the rules of the place.
  if (entry.capitals === 'ignore' && entry.delimiter === 'keep') return lost;
  const held = heldBy(entry, profile);
  if (held === null || held === entry) return lost;
  const isOfDevice = entry.capitals !== 'ignore' && held.capitals !== entry.capitals;
  const leavesSpace = entry.delimiter === 'drop' && held.fires === 'delimiter' && held.delimiter === 'keep';
  return [...lost, ...(isOfDevice ? (['capitals'] as const) : []), ...(leavesSpace ? (['space'] as const) : [])];
}
