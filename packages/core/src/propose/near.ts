import { markCode, partsOf } from '../convention/mark';
import { checkCode, clustersOf, EMOJI, matchKey, splitMarker, type Mark } from '../model';

/** A code near one that was typed, and what was done to get it. */
export interface NearCode {
  readonly code: string;
  readonly how: 'marked' | 'doubled' | 'consonants' | 'longer' | 'joined';
}

/** Where nothing tells more: what `usualMark` finds for a phone and a computer in any of our languages; `baker.test.ts` holds it to that. */
export const USUAL: Mark = { place: 'before', marker: ',' };

/** The marker that most codes of a list carry; null: none does. Linear. */
export function mainMark(codes: readonly string[]): Mark | null {
  const counts = new Map<string, { mark: Mark; count: number }>();
  for (const code of codes) {
    const mark = partsOf(code)?.mark;
    if (!mark || mark.marker === '') continue;
    const name = `${mark.place} ${mark.marker}`;
    counts.set(name, { mark, count: (counts.get(name)?.count ?? 0) + 1 });
  }
  const most = [...counts.values()].reduce<{ mark: Mark | null; count: number }>(
    (best, one) => (one.count > best.count ? one : best),
    { mark: null, count: 0 },
  );
  return most.mark;
}

/**
 * Free codes near `typed`, the nearest first: with the list's marker, without its spaces and emoji, with its first
 * letter doubled, without its vowels, and longer ones made from the expansion, or from the kind where that has no words; for
 * a code with a marker of its own, those with the list's come last. `codes`: those of the list, which
 * are in use. `ours`: the mark of the convention which holds, if one was chosen. Every proposal passes the
 * model's rules and differs from all of them.
 */
export function nearCodes(
  typed: string,
  expansion: string,
  codes: readonly string[],
  kind = '',
  ours: Mark = mainMark(codes) ?? USUAL,
): NearCode[] {
  const { before, mnemonic, after } = splitMarker(typed);
  const isMarked = before !== '' || after !== '';
  const mark = (inner: string) => (isMarked ? before + inner + after : markCode(inner, ours));
  const first = clustersOf(mnemonic)[0]?.text ?? '';
  const longer = longerMnemonics(mnemonic, expansion, kind);
  const joined = mnemonic.replaceAll(new RegExp(`\\s+|${EMOJI.source}`, 'gu'), '');
  const consonants = mnemonic.replaceAll(/[aeiouäöüàâéèêëîïôûùáíóú]/giu, '');
  const proposals: NearCode[] = [
    ...(isMarked
      ? []
      : [{ code: mark(mnemonic), how: ours.place === 'doubled' ? ('doubled' as const) : ('marked' as const) }]),
    ...(joined === mnemonic || joined === '' ? [] : [{ code: mark(joined), how: 'joined' as const }]),
    // A mark doubled is no mnemonic, and a digit doubled another number.
    ...(/^\p{L}/u.test(first) ? [{ code: before + first + mnemonic + after, how: 'doubled' as const }] : []),
    ...(consonants.length >= 2 && consonants !== mnemonic
      ? [{ code: mark(consonants), how: 'consonants' as const }]
      : []),
    ...longer.map((inner) => ({ code: mark(inner), how: 'longer' as const })),
    ...(isMarked ? [joined, ...longer].map((inner) => ({ code: markCode(inner, ours), how: 'marked' as const })) : []),
  ];
  const inUse = new Set([...codes, typed].map(matchKey));
  return proposals.filter(({ code }) => {
    const key = matchKey(code);
    if (inUse.has(key) || checkCode(code) !== null) return false;
    inUse.add(key);
    return true;
  });
}

/** Mnemonics that go on from one, with what the expansion offers. */
function longerMnemonics(mnemonic: string, expansion: string, kind: string): string[] {
  const inText =
    expansion
      .toLowerCase()
      .match(/\p{L}[\p{L}\p{M}]*/gu)
      ?.slice(0, 12) ?? [];
  const words = inText.length > 0 ? inText : kind.split(' ').filter((word) => word !== '');
  const low = mnemonic.toLowerCase();
  // The rest of a word that begins so: tue, tues, tuesd.
  const whole = words.find((word) => word.startsWith(low) && word.length > low.length);
  const grown = whole ? [whole.slice(0, low.length + 1), whole.slice(0, low.length + 2)] : [];
  const initials = words.slice(0, 4).map((word) => clustersOf(word)[0]!.text);
  const longest = [...words].sort((a, b) => b.length - a.length)[0];
  return [
    ...grown,
    ...(initials.length >= 3 ? [initials.join('')] : []),
    ...(longest && longest.length >= 4 ? [longest.slice(0, 4), longest.slice(0, 5)] : []),
    ...(longest ? [low + clustersOf(longest)[0]!.text] : []),
  ];
}
