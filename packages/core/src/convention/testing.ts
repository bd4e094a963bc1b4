/** For tests: marks weighed the plain way, one after the other, by the engine and the search themselves. */
import { bankOf, CONTEXT_BANK, CONTEXT_COUNT, countWords, type Vocabulary } from '../clash';
import { cheapestWay, timingOf, TABLE_OF_SIGNS, type InUse } from '../effort';
import { CompiledList, settleRules, type RuledList } from '../fire';
import type { Mark } from '../model';
import { markCode, mayBeMarked, partsOf } from './mark';
import { MarkedCorpus } from './markedCorpus';

export interface PlainCost {
  readonly taps: number;
  readonly seconds: number;
  readonly perTenThousand: number;
  readonly per100Contexts: number;
  readonly inOwnText: number;
}

interface PlainInput {
  readonly list: RuledList;
  readonly inUse: readonly InUse[];
  readonly languages: readonly { readonly vocabulary: Vocabulary }[];
  readonly usesAWeek: (id: string) => number;
  readonly ownText?: string;
}

/** Taps and seconds of a text in the middle of another, space included, by the search alone. */
function plainWay(text: string, { keyboard, pace }: InUse): { taps: number; seconds: number } {
  const timing = timingOf(keyboard);
  const typed = Array.from(`${text} `).filter((sign) => keyboard.presses.some(({ gives }) => gives === sign));
  const missing = Array.from(`${text} `).length - typed.length;
  const lead = cheapestWay('so ', keyboard, timing);
  const start = lead.type === 'way' ? lead : { taps: 0, seconds: 0 };
  const way = cheapestWay((lead.type === 'way' ? 'so ' : '') + typed.join(''), keyboard, timing);
  if (way.type !== 'way') throw new Error(`${keyboard.id} cannot type ${JSON.stringify(text)}`);
  return {
    taps: way.taps - start.taps + missing * TABLE_OF_SIGNS.taps,
    seconds: (way.seconds - start.seconds + missing * TABLE_OF_SIGNS.seconds) * pace,
  };
}

/** What the codes of a list cost under a mark: each typed, each text scanned. All of them have a mnemonic. */
export function plainCost(mark: Mark, { list, inUse, languages, usesAWeek, ownText }: PlainInput): PlainCost {
  const shares = inUse.reduce((sum, { share }) => sum + share, 0);
  const settled = settleRules(list).filter(({ id }) => mayBeMarked(list.shortcuts.find((one) => one.id === id)!));
  const mnemonics = settled.map(({ code }) => partsOf(code)!.mnemonic);
  const entries = settled.map((entry, i) => ({ ...entry, code: markCode(mnemonics[i]!, mark) }));
  const uses = entries.reduce((sum, { id }) => sum + usesAWeek(id), 0);
  let [taps, seconds, perTenThousand, per100Contexts, inOwnText] = [0, 0, 0, 0, 0];
  for (const one of inUse) {
    const part = one.share / shares;
    for (const { id, code } of entries) {
      const way = plainWay(code, one);
      taps += (way.taps * part * usesAWeek(id)) / uses;
      seconds += (way.seconds * part * usesAWeek(id)) / uses;
    }
    const compiled = CompiledList.compile(entries, { ...one.device, builtIn: [] });
    for (const { vocabulary } of languages) {
      const hit = new Set<number>();
      bankOf(vocabulary).scan(compiled, (text) => hit.add(text));
      for (const text of hit) perTenThousand += (vocabulary.perTenThousand[text]! * part) / languages.length;
      const marked = new MarkedCorpus(mnemonics, vocabulary);
      perTenThousand += (marked.weighWith(compiled) * part) / languages.length;
    }
    const hit = new Set<number>();
    CONTEXT_BANK.scan(compiled, (text) => hit.add(text));
    per100Contexts += (hit.size * 100 * part) / CONTEXT_COUNT;
    inOwnText += compiled.scan(ownText ?? '').length * part;
  }
  return { taps, seconds, perTenThousand, per100Contexts, inOwnText };
}

/** Misfires in a week as docs/conventions.md has them, by hand. */
export function plainAWeek(
  { perTenThousand, per100Contexts, inOwnText }: PlainCost,
  ownText: string | undefined,
  wordsAWeek: number,
): number {
  const aWord = perTenThousand / 1e4 + per100Contexts / 1e4;
  if (!ownText) return aWord * wordsAWeek;
  return ((aWord * 50_000 + inOwnText) / (50_000 + countWords(ownText))) * wordsAWeek;
}
