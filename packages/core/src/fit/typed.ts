/** Codes typed as in a place: the one judge of whether they work there. */
import { separatorOf } from '../clash/contextCorpus';
import { CompiledList, heldBy, keysOf, simulate, type FiringEntry, type Keystroke } from '../fire';
import type { DeviceProfile } from '../profile';
import type { Obstacle } from './place';

/** What stands before a code in the middle of a sentence; no letter, so that a code may begin behind it. */
const MIDDLE = '— ';
/** So many suggestions are shown, at least. */
const SHOWN = 3;

/** Whether typing a code gives its text. `after`: what stands there already. */
export function isTyped(entry: FiringEntry, list: CompiledList, after: string): boolean {
  const { profile } = list;
  const held = heldBy(entry, profile);
  if (held === null) return false;
  const separator = separatorOf(profile);
  if (held.fires === 'offer') {
    const keys = keysOf(entry.code);
    return Array.from({ length: SHOWN }).some((_, nth) => {
      const take: Keystroke = { type: 'take', nth };
      return isRight(simulate([...keys, take], list, profile, { after, explains: false }).text, after, entry, '');
    });
  }
  const { text } = simulate(keysOf(entry.code + separator), list, profile, { after, explains: false });
  const stays = held.fires === 'delimiter' && held.delimiter === 'drop' ? '' : separator;
  return isRight(text, after, entry, stays);
}

function isRight(text: string, after: string, { expansion }: FiringEntry, stays: string): boolean {
  if (text === after + expansion + stays) return true;
  // At the start of a sentence the text may begin with a capital, as the code did.
  return (
    after === '' &&
    text.toLowerCase() === (expansion + stays).toLowerCase() &&
    text.slice(1) === (expansion + stays).slice(1)
  );
}

/** Whether it works in the middle of a sentence. */
export function worksInside(entry: FiringEntry, list: CompiledList): boolean {
  return isTyped(entry, list, MIDDLE);
}

/** Whether the device may raise its first letter, and the capitals of the code matter. */
export function mayFailAtStart(entry: FiringEntry, profile: DeviceProfile): boolean {
  const { code } = entry;
  if (!profile.sentenceCapitals || !/^\p{Ll}/u.test(code)) return false;
  const held = heldBy(entry, profile);
  return held !== null && held.capitals === 'match' && held.fires !== 'offer';
}

/** Why a code that is held does not work, found by leaving out one thing after the other; `by`: the id of the code that comes first. */
export function obstacleTo(entry: FiringEntry, list: CompiledList): { why: Obstacle; by: string | null } {
  const { profile } = list;
  const plain: DeviceProfile = { ...profile, builtIn: [] };
  if (worksInside(entry, CompiledList.compile([entry], plain))) {
    const typed = keysOf(entry.code + separatorOf(profile));
    const { trace } = simulate(typed, list, profile, { after: MIDDLE });
    const first = trace.find(({ rule, id }) => rule.startsWith('fired') && id !== entry.id)?.id ?? null;
    return first?.startsWith('~') ? { why: 'built-in', by: null } : { why: 'another code', by: first };
  }
  const unchanged = { ...plain, smartQuotes: false, smartDashes: false, smartDots: false, doubleSpaceStop: false };
  const isChanged = worksInside(entry, CompiledList.compile([entry], unchanged));
  return { why: isChanged ? 'punctuation' : 'never', by: null };
}
