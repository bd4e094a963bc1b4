import type { Expanded, ExpansionContext, OpenBlank } from '@yellow-latch/core/expansion';
import { idOfFormer } from '@yellow-latch/core/convention/former';
import { isMade, type Shortcut } from '@yellow-latch/core/model';
import { useEffect, useState } from 'react';

import { contextNow, loadExpansion } from '@/expansion/context';
import { tellExpansionError } from '@/expansion/words';

import type { AskedEvent } from './pad';

/** A shortcut that has fired and whose blanks are asked for. */
export interface Filling {
  readonly asked: AskedEvent;
  readonly shortcut: Shortcut;
  readonly blanks: readonly OpenBlank[];
  /** What it gives with some values. */
  readonly make: (values: Readonly<Record<string, string>>) => Expanded | null;
}

interface FillingListener {
  /** It is whole: it goes in the place of its code. */
  readonly put: (asked: AskedEvent, expanded: Expanded) => void;
  /** It cannot be made: the code stays, and the reason is told. */
  readonly refuse: (asked: AskedEvent, reason: string) => void;
}

/** What becomes of a template that fires: it goes in at once, or its blanks are asked for one after the other. */
export function useFilling(shortcuts: readonly Shortcut[], { put, refuse }: FillingListener) {
  const [filling, setFilling] = useState<Filling | null>(null);
  const hasTemplates = shortcuts.some(({ content }) => isMade(content));
  useEffect(() => {
    // It is at hand when the first code is typed.
    if (hasTemplates) loadExpansion().catch(() => {});
  }, [hasTemplates]);

  const ask = async (asked: AskedEvent) => {
    const id = idOfFormer(asked.id) ?? asked.id;
    const shortcut = shortcuts.find((one) => one.id === id);
    if (!shortcut) {
      refuse(asked, 'It was deleted on another device.');
      return;
    }
    const room = await loadExpansion().catch(() => null);
    if (!room) {
      refuse(asked, 'What it takes is still to be fetched, and the server is away.');
      return;
    }
    const { expand } = room;
    const now = contextNow(shortcuts);
    const clipboard = shortcut.content.expansion.includes(':clipboard') ? await readClipboard() : undefined;
    const context: ExpansionContext = clipboard === undefined ? now : { ...now, clipboard };
    const first = expand(shortcut, context);
    if (first.type === 'errors') {
      refuse(asked, tellExpansionError(first.errors[0]!));
      return;
    }
    if (first.openBlanks.length === 0) {
      put(asked, first);
      return;
    }
    const make = (values: Readonly<Record<string, string>>) => {
      const made = expand(shortcut, { ...context, values });
      return made.type === 'expanded' ? made : null;
    };
    setFilling({ asked, shortcut, blanks: first.openBlanks, make });
  };
  return { filling, ask: (asked: AskedEvent) => void ask(asked), close: () => setFilling(null) };
}

/** What is on the clipboard; undefined: the browser keeps it to itself. */
async function readClipboard(): Promise<string | undefined> {
  try {
    return await navigator.clipboard.readText();
  } catch {
    return undefined;
  }
}
