import type { Shortcut } from '@yellow-latch/core/model';

import { shortened } from '@/audit/sentences';

/** What stands on the screen for a text that is private. */
export const MASK = '••••••••';

/** What a shortcut gives, on one line, masked where it is private. */
export function shownExpansion(shortcut: Shortcut | undefined, longest = 120): string {
  if (!shortcut) return '';
  return shortcut.private ? MASK : shortened(shortcut.content.expansion, longest);
}
