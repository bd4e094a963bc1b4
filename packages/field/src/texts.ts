/** Texts that are made as they fire: templates and formatted ones. Fetched when a list has one. */
import { expand, type Expandable, type ExpansionContext } from '@yellow-latch/core/expansion';
import { tagsIn, withoutTags } from '@yellow-latch/core/compose/tags';
import { nameOfGiven } from '@yellow-latch/core/expansion/segment';
import { isMade } from '@yellow-latch/core/model/made';

import type { Answer } from './guest';

/** What is made, and when: the rest of what an expansion depends on is read of the browser. */
export interface TextRequest {
  readonly shortcut: Expandable & { readonly kind: string };
  readonly values: Readonly<Record<string, string>>;
  readonly around: { readonly selection: string; readonly text: string };
  readonly shortcutOf: ExpansionContext['shortcutOf'];
}

/** The text of a shortcut now, or what it asks for first. */
export function textNow({ shortcut, values, around, shortcutOf }: TextRequest): Answer {
  if (!isMade(shortcut.content)) {
    // Tags that stand there already stay out.
    const present = new Set(tagsIn(around.text).map(({ key }) => key));
    const { expansion } = shortcut.content;
    const plain = shortcut.kind === 'tags' ? withoutTags(expansion, present).text : expansion;
    return { type: 'made', made: { plain, html: null, caret: null } };
  }
  const given = around.selection === '' ? {} : { [nameOfGiven({ type: 'selection' })]: around.selection };
  const made = expand(shortcut, {
    now: Date.now(),
    locale: navigator.language,
    zone: Intl.DateTimeFormat().resolvedOptions().timeZone,
    values: { ...given, ...values },
    shortcutOf,
  });
  if (made.type === 'errors') return { type: 'none' };
  if (Object.keys(values).length === 0 && made.openBlanks.length > 0)
    return { type: 'blanks', blanks: made.openBlanks };
  const { plain, html, caret } = made;
  return { type: 'made', made: { plain, html, caret } };
}
