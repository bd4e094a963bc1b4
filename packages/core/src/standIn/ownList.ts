import { settleRules, type FiringEntry } from '../fire';
import { checkCode, checkExpansion, matchKey, type TextProblem } from '../model';
import { refusalOf, textHeld, type DeviceProfile, type Refusal } from '../profile';

/** An entry of the list that a device brings along: plain text. `language` (BCP 47) null: of all languages. */
export interface OwnEntry {
  readonly code: string;
  readonly text: string;
  readonly language: string | null;
}

/** What became of an entry that was to go into such a list. */
export type Entered =
  | { readonly type: 'entered'; readonly entry: OwnEntry; readonly isCut: boolean }
  | { readonly type: 'refused'; readonly why: Refusal }
  | { readonly type: 'wrong'; readonly field: 'code' | 'text'; readonly problem: TextProblem };

/** An entry as a device's own list takes it: its lines joined where the device knows none, or refused. */
export function entered(given: OwnEntry, profile: DeviceProfile): Entered {
  const code = given.code.trim();
  const codeProblem = checkCode(code);
  if (codeProblem) return { type: 'wrong', field: 'code', problem: codeProblem };
  const textProblem = checkExpansion(given.text);
  if (textProblem) return { type: 'wrong', field: 'text', problem: textProblem };
  const text = textHeld(given.text, profile);
  const why = refusalOf({ code, text }, profile);
  if (why !== null) return { type: 'refused', why };
  const language = profile.languages === null ? null : given.language;
  return { type: 'entered', entry: { code, text, language }, isCut: text !== given.text };
}

/** What came of a whole file. */
export interface TakenFile {
  readonly entries: readonly OwnEntry[];
  readonly added: number;
  /** How many took the place of one with the same code. */
  readonly replaced: number;
  /** How many had their lines joined. */
  readonly cut: number;
  readonly refused: readonly { readonly code: string; readonly why: Refusal | 'wrong' }[];
}

/** Entries put into a list, all in one go; one with a code that is there takes its place. Linear. */
export function withEntries(
  before: readonly OwnEntry[],
  given: readonly OwnEntry[],
  profile: DeviceProfile,
): TakenFile {
  const byCode = new Map(before.map((entry) => [keyOf(entry), entry]));
  const refused: { code: string; why: Refusal | 'wrong' }[] = [];
  let replaced = 0;
  let added = 0;
  let cut = 0;
  for (const one of given) {
    const came = entered(one, profile);
    if (came.type !== 'entered') {
      refused.push({ code: one.code, why: came.type === 'refused' ? came.why : 'wrong' });
      continue;
    }
    const key = keyOf(came.entry);
    if (byCode.has(key)) replaced += 1;
    else added += 1;
    if (came.isCut) cut += 1;
    byCode.set(key, came.entry);
  }
  return { entries: [...byCode.values()], added, replaced, cut, refused };
}

/** Two entries of one code are one only if they are of one language. */
function keyOf({ code, language }: OwnEntry): string {
  return `${language ?? ''} ${matchKey(code)}`;
}

/** The entries made ready for typing: a device's own list knows no rules of single entries. Their ids are their places. */
export function entriesForTyping(own: readonly OwnEntry[]): FiringEntry[] {
  return settleRules({
    sets: [],
    shortcuts: own.map(({ code, text, language }, at) => ({
      id: String(at).padStart(6, '0'),
      code,
      content: { expansion: text, template: false, format: 'plain' },
      kind: 'message',
      setId: null,
      language,
    })),
  });
}
