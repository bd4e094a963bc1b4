/** What fires by mistake in everyday words: findings with how often in 10,000 words. */
import { splitMarker } from '../model';
import { RISKY_FROM, severityOfMisfires, type Finding } from './finding';
import type { Item } from './item';
import { ASSUMED_BAND, bandOf, bandOfCode, type Vocabulary } from './vocabulary';
import type { InWord, WordMisfires } from './wordHits';

const MISFIRE_TYPES = { whole: 'word', beginning: 'beginning of words', inside: 'inside words' } as const;

/** `tallies`: for each device the misfires of this code, in every language. What misfires less than once a year is left out. */
export function misfires(
  item: Item,
  tallies: readonly { readonly device: string; readonly misfires: Partial<Record<InWord, WordMisfires>> }[],
  vocabularies: readonly Vocabulary[],
): Finding[] {
  const isEstimate = vocabularies.some((vocabulary) => vocabulary.isEstimate);
  return (Object.keys(MISFIRE_TYPES) as InWord[]).flatMap((kind): Finding[] => {
    const byDevice: Record<string, number> = {};
    let worst: WordMisfires | null = null;
    for (const { device, misfires: ofItem } of tallies) {
      const here = ofItem[kind];
      if (!here) continue;
      byDevice[device] = here.perTenThousand;
      if (!worst || here.perTenThousand > worst.perTenThousand) worst = here;
    }
    if (!worst || worst.perTenThousand < RISKY_FROM) return [];
    const { perTenThousand, words, examples } = worst;
    const isAssumed =
      kind === 'whole' &&
      vocabularies.some(
        ({ language, assumed }) =>
          language === examples[0]!.language && assumed?.has(splitMarker(examples[0]!.word).mnemonic),
      );
    const ofCode =
      kind === 'whole'
        ? bandOfCode(splitMarker(item.key).mnemonic, perTenThousand, isEstimate)
        : bandOf(perTenThousand, isEstimate);
    const band = isAssumed ? ASSUMED_BAND : ofCode;
    return [
      {
        type: MISFIRE_TYPES[kind],
        severity: severityOfMisfires(perTenThousand),
        shortcuts: [item.id],
        devices: Object.keys(byDevice),
        count: words,
        evidence: { perTenThousand, band, isAssumed, byDevice, examples },
      },
    ];
  });
}
