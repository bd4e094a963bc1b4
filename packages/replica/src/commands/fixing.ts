import type { Fix } from '@yellow-latch/core/clash';
import type { Shortcut } from '@yellow-latch/core/model';

import type { Command } from './command';
import { deleting, editing, makingPrivate, type AboutShortcuts } from './shortcuts';

/** What a fix does to the list; null: what it concerns is gone. */
export function fixing(fix: Fix, shortcuts: readonly Shortcut[], about?: AboutShortcuts): Command | null {
  if (fix.type === 'merge') {
    const dropped = shortcuts.filter(({ id }) => fix.drop.includes(id));
    return dropped.length > 0 && shortcuts.some(({ id }) => id === fix.keep) ? deleting(dropped) : null;
  }
  const shortcut = shortcuts.find(({ id }) => id === fix.id);
  if (!shortcut) return null;
  switch (fix.type) {
    case 'other code':
      return editing(shortcut, { code: fix.code });
    case 'other rules':
      return editing(shortcut, { rules: { ...shortcut.rules, ...fix.rules } });
    case 'correct text':
      return editing(shortcut, { content: { ...shortcut.content, expansion: fix.expansion } });
    case 'make private':
      return makingPrivate(shortcut, {}, about);
  }
}
