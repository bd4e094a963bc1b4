import { t } from '@lingui/core/macro';
import { withoutTags, tagsIn } from '@yellow-latch/core/compose';
import { idOfFormer } from '@yellow-latch/core/convention/former';
import type { ExpansionContext, OpenBlank } from '@yellow-latch/core/expansion';
import { nameOfGiven } from '@yellow-latch/core/expansion/segment';
import type { DeviceProfile } from '@yellow-latch/core/profile';
import { isMade, type Shortcut } from '@yellow-latch/core/model';
import type { AskedEvent } from '@yellow-latch/field/own';
import { useEffect, useState } from 'react';

import { contextNow, loadExpansion } from '@/answers/expansion/context';
import { tellExpansionError, tellRefusal } from '@/answers/expansion/words';

/** What takes the place of a code. `caret`: in `plain`; null: behind it. */
export interface Made {
  readonly plain: string;
  readonly caret: number | null;
  readonly html: string | null;
}

/** A shortcut that has fired and whose blanks are asked for. */
export interface Filling {
  readonly asked: AskedEvent;
  readonly shortcut: Shortcut;
  readonly blanks: readonly OpenBlank[];
  /** What it gives with some values. */
  readonly make: (values: Readonly<Record<string, string>>) => Made | null;
}

interface FillingListener {
  /** The clock by which dates are made, in ms since 1970; this browser's unless given. */
  readonly clock?: () => number;
  /** The text in which it goes, without the code that asked. */
  readonly textAround: (asked: AskedEvent) => string;
  /** It is whole: it goes in the place of its code. `note`: what is to be told of it. */
  readonly put: (asked: AskedEvent, made: Made, note: string | null) => void;
  /** It cannot be made: the code stays, and the reason is told. */
  readonly refuse: (asked: AskedEvent, reason: string) => void;
}

/**
 * What becomes of a code whose text is made when it fires: it goes in at once, or its blanks are asked for one after
 * the other. `profile`: the device it is typed on; one that knows no blanks is given gaps.
 */
export function useFilling(
  shortcuts: readonly Shortcut[],
  profile: DeviceProfile,
  { clock = Date.now, textAround, put, refuse }: FillingListener,
) {
  const [filling, setFilling] = useState<Filling | null>(null);
  const hasTemplates = shortcuts.some(({ content }) => isMade(content));
  useEffect(() => {
    // It is at hand when the first code is typed.
    if (hasTemplates) loadExpansion().catch(() => {});
  }, [hasTemplates]);

  /** Tags that stand there already stay out. */
  const putIn = (asked: AskedEvent, shortcut: Shortcut, made: Made) => {
    if (shortcut.kind !== 'tags' || !profile.blanks) return put(asked, made, null);
    const present = new Set(tagsIn(textAround(asked)).map(({ key }) => key));
    const { text, dropped } = withoutTags(made.plain, present);
    if (dropped.length === 0) return put(asked, made, null);
    const names = dropped.map((tag) => tag.text).join(' ');
    put(
      asked,
      { plain: text, caret: null, html: null },
      t`“${{ code: shortcut.code }}” skipped what’s already there: ${names}`,
    );
  };

  const make = async (asked: AskedEvent, shortcut: Shortcut, selection: string | null) => {
    const loaded = await loadExpansion().catch(() => null);
    if (!loaded) return refuse(asked, t`This part didn’t load: you’re offline.`);
    const { expand, expandFor } = loaded;
    const given = selection === null ? {} : { [nameOfGiven({ type: 'selection' })]: selection };
    const now = { ...contextNow(shortcuts, given), now: clock() };
    if (!profile.blanks) {
      const held = expandFor(shortcut, profile, now);
      if (held.type === 'text') return put(asked, { plain: held.text, caret: null, html: null }, null);
      return refuse(asked, held.type === 'errors' ? tellExpansionError(held.errors[0]!) : tellRefusal(held.why));
    }
    const clipboard = shortcut.content.expansion.includes(':clipboard') ? await readClipboard() : undefined;
    const context: ExpansionContext = clipboard === undefined ? now : { ...now, clipboard };
    const first = expand(shortcut, context);
    if (first.type === 'errors') return refuse(asked, tellExpansionError(first.errors[0]!));
    if (first.openBlanks.length === 0) return putIn(asked, shortcut, first);
    const makeWith = (values: Readonly<Record<string, string>>) => {
      const made = expand(shortcut, { ...context, values: { ...given, ...values } });
      return made.type === 'expanded' ? made : null;
    };
    setFilling({ asked, shortcut, blanks: first.openBlanks, make: makeWith });
  };

  const ask = (asked: AskedEvent, selection: string | null = null) => {
    const id = idOfFormer(asked.id) ?? asked.id;
    const shortcut = shortcuts.find((one) => one.id === id);
    if (!shortcut) refuse(asked, t`It was deleted on another device.`);
    else if (isMade(shortcut.content)) void make(asked, shortcut, selection);
    else putIn(asked, shortcut, { plain: shortcut.content.expansion, caret: null, html: null });
  };

  /** Puts in what was filled in, wherever its shortcut is by now: what was typed is not lost. */
  const finish = (values: Readonly<Record<string, string>>) => {
    if (!filling) return;
    setFilling(null);
    const { asked, shortcut } = filling;
    const made = filling.make(values);
    if (!made) return refuse(asked, t`That doesn’t work with what you filled in.`);
    const isGone = !shortcuts.some(({ id }) => id === shortcut.id);
    if (isGone)
      put(asked, made, t`“${{ code: shortcut.code }}” was just deleted on another device. Your text is still here.`);
    else putIn(asked, shortcut, made);
  };
  return { filling, ask, finish, close: () => setFilling(null) };
}

/** What is on the clipboard; undefined: the browser keeps it to itself. */
async function readClipboard(): Promise<string | undefined> {
  try {
    return await navigator.clipboard.readText();
  } catch {
    return undefined;
  }
}
