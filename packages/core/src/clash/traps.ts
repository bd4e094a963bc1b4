import { heldBy, isForeign, keysOf, simulate, type CompiledList, type FiringEntry } from '../fire';
import type { DeviceProfile } from '../profile';
import { EMOJI, matchKey } from '../model';
import { separatorOf } from './contextCorpus';
import type { Severity, Trap } from './finding';

/** A trap of one device, what becomes of the typed code there, and how bad that is. */
export interface TrapFound {
  readonly trap: Trap;
  readonly result: string;
  readonly severity: Severity;
}

/** What a device does to a code before or instead of firing it. `languages`: those the person types in. */
export function trapsOf(entry: FiringEntry, list: CompiledList, languages: readonly string[]): TrapFound[] {
  const { profile } = list;
  const { code } = entry;
  if (!mayBeTrapped(entry, profile)) return [];
  const spoken = profile.languages !== null && profile.languages.length > 0 ? profile.languages : languages;
  if (profile.languages !== null && isForeign(entry, { ...profile, languages: [...spoken] }))
    return [{ trap: 'language of the entry', result: code, severity: 'breaks' }];
  const held = heldBy(entry, profile);
  if (held === null) return [{ trap: 'space in code', result: code, severity: 'breaks' }];
  const traps: TrapFound[] = [];
  const isTyped = held.fires !== 'offer';
  if (profile.delimiters !== 'standard' && profile.delimiters.length === 0 && held.fires === 'delimiter') {
    traps.push({ trap: 'no delimiter', result: code, severity: 'breaks' });
  }
  if (isTyped && profile.sentenceCapitals && held.capitals === 'match' && /^\p{Ll}/u.test(code)) {
    traps.push({ trap: 'sentence capital', result: typedOn(list, '', code, entry), severity: 'risky' });
  }
  if (isTyped && EMOJI.test(code)) traps.push({ trap: 'emoji in code', result: code, severity: 'risky' });
  const changes: [boolean, Trap, RegExp][] = [
    [profile.smartQuotes, 'smart quotes', /["']/u],
    [profile.smartDashes, 'smart dashes', /--/u],
    [profile.smartDots, 'smart dots', /\.\.\./u],
    [profile.doubleSpaceStop, 'double space', / {2}/u],
  ];
  for (const [does, trap, pattern] of changes) {
    if (!does || !isTyped || !pattern.test(code)) continue;
    const result = typedOn(list, '— ', code, entry);
    if (result !== entry.expansion) traps.push({ trap, result, severity: 'breaks' });
  }
  const key = matchKey(code);
  const own = profile.builtIn.find((one) => matchKey(one.code) === key);
  if (own) traps.push({ trap: 'built-in entry', result: own.expansion, severity: 'note' });
  return traps;
}

/** A quick no for most codes on most devices. */
function mayBeTrapped({ code, language, capitals }: FiringEntry, profile: DeviceProfile): boolean {
  const matches = profile.capitals === 'match' || (profile.capitals === 'own' && capitals === 'match');
  return (
    (profile.sentenceCapitals && matches) ||
    profile.delimiters.length === 0 ||
    (profile.languages !== null && language !== 'und') ||
    (profile.builtIn.length > 0 && profile.builtIn.some((own) => own.code.length === code.length)) ||
    /["'\s]|--|\.\.\./u.test(code) ||
    EMOJI.test(code)
  );
}

/** What stands there after the code was typed: its expansion if it fired. */
function typedOn(list: CompiledList, lead: string, code: string, entry: FiringEntry): string {
  const typed = lead + code + separatorOf(list.profile);
  const { text, trace } = simulate(keysOf(typed), list, list.profile);
  if (trace.some(({ rule, id }) => rule.startsWith('fired') && id === entry.id)) return entry.expansion;
  return text.slice(lead.length).trimEnd();
}
