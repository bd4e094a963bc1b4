import { settleRules, type FiringEntry } from '@yellow-latch/core/fire';
import { isMade, type Shortcut, type ShortcutSet } from '@yellow-latch/core/model';
import type { DeviceProfile } from '@yellow-latch/core/profile';

/** What of a shortcut matters to firing; how often it is used, where that is known. */
export type Rated = Pick<Shortcut, 'id' | 'code' | 'content' | 'kind' | 'setId' | 'rules'> & { readonly uses?: number };

/**
 * The list with its rules settled, as a device takes it. What a template or formatted text gives is made when it
 * fires; in this app a block of tags looks first at those that stand there.
 */
export function entriesOf(
  shortcuts: readonly Rated[],
  sets: readonly ShortcutSet[],
  profile: DeviceProfile,
): FiringEntry[] {
  return settleRules({ shortcuts, sets }).map((entry, index) => {
    const { content, kind } = shortcuts[index]!;
    return isMade(content) || (kind === 'tags' && profile.blanks) ? { ...entry, asks: true } : entry;
  });
}
