import type { Vocabulary } from '../clash';
import type { InUse } from '../effort';
import type { Mark } from '../model';
import { compareMarks } from './compare';
import { likelyMnemonics } from './likely';

/** How often each of the codes that stand for those to come is used in a week. */
const USES = 3;

/**
 * The mark to begin with where no code has one: what is recommended for these keyboards and languages to a list of likely codes without any.
 * Null: none is better than none, or nothing can be weighed.
 */
export function usualMark(inUse: readonly InUse[], vocabularies: readonly Vocabulary[]): Mark | null {
  const mnemonics = [...new Set(vocabularies.flatMap(likelyMnemonics))];
  const shortcuts = mnemonics.map(
    (code) =>
      ({
        id: code,
        code,
        content: { expansion: `${code}.`, template: false, format: 'plain' },
        kind: 'message',
        setId: null,
      }) as const,
  );
  const comparison = compareMarks({
    list: { sets: [], shortcuts },
    scope: { of: 'list' },
    inUse,
    languages: vocabularies.map((vocabulary) => ({ vocabulary })),
    usesAWeek: () => USES,
  });
  return 'type' in comparison ? null : (comparison.recommendation?.mark ?? null);
}
