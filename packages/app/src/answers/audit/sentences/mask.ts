import { shownText } from '@yellow-latch/core/model';

import { shortened } from './words';

/** What stands on the screen for a text that is private. */
export const MASK = '••••••••';

/** What the screen knows of a shortcut, for sentences that name it. */
export interface Named {
  readonly code: string;
  readonly content: { readonly expansion: string };
  readonly private: boolean;
  readonly sketch?: string;
}

/** What a shortcut gives, on one line, masked where it is private. */
export function shownExpansion(shortcut: Named | undefined, longest = 120): string {
  if (!shortcut) return '';
  return shortcut.private ? MASK : shortened(shownText(shortcut), longest);
}
