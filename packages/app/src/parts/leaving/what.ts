import { t } from '@lingui/core/macro';
import type { Outgoing } from '@yellow-latch/core/exchange';
import type { Shortcut } from '@yellow-latch/core/model';

import type { ListView } from '@yellow-latch/replica/storage/view';

/** Which part of the list goes out: all of it, what is chosen, what is being learnt, or a set. */
export type What = 'all' | 'chosen' | 'learning' | `set ${string}`;

/** The shortcuts of that part, in the order of the list. */
export function partOf(
  what: What,
  { shortcuts, sets }: Pick<ListView, 'shortcuts' | 'sets'>,
  chosen: ReadonlySet<string> | null,
  learning: readonly Shortcut[] = [],
): Outgoing & { shortcuts: readonly Shortcut[] } {
  if (what === 'all') return { shortcuts, sets };
  if (what === 'chosen') return { shortcuts: shortcuts.filter(({ id }) => chosen?.has(id)), sets };
  if (what === 'learning') return { shortcuts: learning, sets };
  const setId = what.slice('set '.length);
  return { shortcuts: shortcuts.filter((shortcut) => shortcut.setId === setId), sets };
}

/** What is wrong with a passphrase; null: nothing. Long ones withstand trying; what signs they are made of matters less. */
export function faultOfPassphrase(passphrase: string, again: string): string | null {
  if (Array.from(passphrase).length < 10) return t`Use ten characters or more. A few words are easy to remember.`;
  return passphrase === again ? null : t`The two don’t match.`;
}

/** The name of a file: what is in it, and the day. */
export function fileName(what: string, day: Date, ending: string): string {
  const date = `${day.getFullYear()}-${String(day.getMonth() + 1).padStart(2, '0')}-${String(day.getDate()).padStart(2, '0')}`;
  const name = what
    .normalize('NFKD')
    .replaceAll(/[^\p{L}\p{N}]+/gu, '-')
    .replaceAll(/^-+|-+$/g, '')
    .toLowerCase();
  return `${name === '' ? 'shortcuts' : name.slice(0, 40)}-${date}.${ending}`;
}
