import { t } from '@lingui/core/macro';
import type { Segment } from '@yellow-latch/core/expansion';

import type { ChipSegment } from './chipNode';

/** What can be put into a text, by the name of its button. */
export type Insert = 'blank' | 'link' | 'symbol' | 'date' | 'caret' | 'clipboard' | 'selection' | 'shortcut';

/** An insert that stands in the text as a chip. */
export type ChipInsert = Exclude<Insert, 'link' | 'symbol'>;

export function inserts(): readonly { readonly insert: Insert; readonly label: string; readonly hint: string }[] {
  return [
    { insert: 'blank', label: t`Blank`, hint: t`Filled in each time: a name, a time, a room` },
    { insert: 'link', label: t`Link`, hint: t`Words that lead to a page` },
    { insert: 'symbol', label: t`Symbol`, hint: t`½, →, ♯, an emoji: any character` },
    { insert: 'date', label: t`Date`, hint: t`Today, or some days from now` },
    { insert: 'caret', label: t`Cursor`, hint: t`Where your cursor ends up` },
    { insert: 'shortcut', label: t`Shortcut`, hint: t`The text of another shortcut` },
    { insert: 'clipboard', label: t`Clipboard`, hint: t`What you copied last` },
    { insert: 'selection', label: t`Selected text`, hint: t`Goes around what you select` },
  ];
}

/** Those of which something is asked. */
type AskingInsert = 'link' | 'symbol' | 'blank' | 'date' | 'shortcut';

/** What an insert begins as. */
export function newSegment(insert: ChipInsert): ChipSegment {
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
export function asksFirst(insert: Insert): insert is AskingInsert {
  return insert === 'link' || insert === 'symbol' || insert === 'blank' || insert === 'date' || insert === 'shortcut';
}

/** A plain text with something in it, at an offset. */
export function withSegment(text: string, segment: ChipSegment, at: number): Segment[] {
  const parts: Segment[] = [{ type: 'text', text: text.slice(0, at) }, segment, { type: 'text', text: text.slice(at) }];
  return parts.filter((part) => part.type !== 'text' || part.text !== '');
}
