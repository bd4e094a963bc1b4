import { t } from '@lingui/core/macro';
import type { Segment } from '@yellow-latch/core/expansion';

import type { ChipSegment } from './chipNode';

/** What can be put into a text, by the name of its button. */
export type Insert = 'blank' | 'date' | 'caret' | 'clipboard' | 'selection' | 'shortcut';

export function inserts(): readonly (readonly [Insert, string])[] {
  return [
    ['blank', t`Blank`],
    ['date', t`Date`],
    ['caret', t`Cursor`],
    ['shortcut', t`Shortcut`],
    ['clipboard', t`Clipboard`],
    ['selection', t`Selected text`],
  ];
}

/** What an insert begins as. */
export function newSegment(insert: Insert): ChipSegment {
  switch (insert) {
    case 'blank':
      return { type: 'blank', name: '', kind: 'text', label: '', default: '', options: [], pattern: '', casing: null };
    case 'date':
      return { type: 'date', of: 'today', pattern: 'd MMMM y', plus: '', next: null, casing: null };
    case 'shortcut':
      return { type: 'shortcut', id: '', casing: null };
    case 'caret':
      return { type: 'caret' };
    default:
      return { type: insert, casing: null };
  }
}

/** Whether there is something to say about an insert before it goes in. */
export function asksFirst(insert: Insert): boolean {
  return insert === 'blank' || insert === 'date' || insert === 'shortcut';
}

/** A plain text with something in it, at an offset. */
export function withSegment(text: string, segment: ChipSegment, at: number): Segment[] {
  const parts: Segment[] = [{ type: 'text', text: text.slice(0, at) }, segment, { type: 'text', text: text.slice(at) }];
  return parts.filter((part) => part.type !== 'text' || part.text !== '');
}
