import type { Shortcut, ShortcutSet } from '../model';
import { isMade } from '../model/made';
import type { DeviceProfile } from '../profile';
import { settleRules, type FiringEntry } from './rules';

/** What of a shortcut matters to firing; how often it is used, where that is known. */
export type Rated = Pick<Shortcut, 'id' | 'code' | 'content' | 'kind' | 'setId' | 'rules'> & { readonly uses?: number };

/**
 * The list with its rules settled, as a device takes it. What a template or formatted text gives is made when it
 * fires; where blanks can be asked for, a block of tags looks first at those that stand there.
 */
export function entriesOf(
  shortcuts: readonly Rated[],
  sets: readonly Pick<ShortcutSet, 'id'>[],
  { blanks }: Pick<DeviceProfile, 'blanks'>,
): FiringEntry[] {
  return settleRules({ shortcuts, sets }).map((entry, index) => {
    const { content, kind } = shortcuts[index]!;
    return isMade(content) || (kind === 'tags' && blanks) ? { ...entry, asks: true } : entry;
  });
}
