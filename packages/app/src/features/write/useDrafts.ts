import { t } from '@lingui/core/macro';
import { useCallback, useEffect, useRef, useState } from 'react';
import { flushSync } from 'react-dom';

import { Pause } from '@/frame/moments';
import { useNotice } from '@/frame/Notices';
import { draftOf, type Draft, type DraftContent } from '@yellow-latch/replica/storage/draft';
import { Subscribable } from '@yellow-latch/core/subscribable';
import { useOpened } from '@/frame/replica/ReplicaProvider';

import {
  dropDraft,
  keepDraft,
  lastDraft,
  listDrafts,
  openDraft,
  restoreDraft,
  type DraftLine,
} from '@yellow-latch/replica/storage/drafts';

/** A pause in typing after which the text is kept, in ms. */
const PAUSE = 250;

export interface Drafts {
  /** The draft to begin with; null until it was read. Its `opening` changes when the page is to show another. */
  readonly opened: { readonly draft: Draft; readonly opening: number } | null;
  /** Why the draft is not kept, if it is not. */
  readonly trouble: string | null;
  /** Tells that there is something to keep; it is asked for when one pauses. */
  touched(content: () => DraftContent): void;
  list(): Promise<DraftLine[]>;
  /** Calls when the drafts have changed; gives the way to stop. */
  subscribe(call: () => void): () => void;
  open(id: string): void;
  startNew(): void;
  drop(id: string): void;
}

/** The drafts of this device, one of them open. Several tabs may have one open: neither loses what is typed there. */
export function useDrafts(): Drafts {
  const { db } = useOpened().replica;
  const notify = useNotice();
  const [opened, setOpened] = useState<Drafts['opened']>(null);
  const [trouble, setTrouble] = useState<string | null>(null);
  const current = useRef<Draft | null>(null);
  const unkept = useRef<(() => DraftContent) | null>(null);
  const [pause] = useState(() => new Pause(PAUSE));
  const [changes] = useState(() => new Subscribable());
  /** One write after the other, so that versions count up. */
  const writing = useRef(Promise.resolve());

  const show = useCallback((draft: Draft) => {
    current.current = draft;
    setOpened((before) => ({ draft, opening: (before?.opening ?? 0) + 1 }));
  }, []);
  /** At once: a key pressed before the page is drawn anew would be lost with the old one. */
  const showNow = useCallback((draft: Draft) => flushSync(() => show(draft)), [show]);

  const flush = useCallback((): Promise<void> => {
    pause.end();
    const content = unkept.current;
    unkept.current = null;
    if (!content || !current.current) return writing.current;
    const draft = { ...current.current, ...content() };
    const of = draft.id;
    writing.current = writing.current.then(async () => {
      try {
        const version = current.current?.id === of ? current.current.version : draft.version;
        const { type, draft: kept } = await keepDraft(db, { ...draft, version });
        if (current.current?.id === of) current.current = kept;
        setTrouble(null);
        changes.emit();
        if (type === 'beside')
          notify({ text: t`You changed this draft in another tab too. Both versions are saved as separate drafts.` });
      } catch (error) {
        if (current.current?.id === of) unkept.current ??= content;
        setTrouble(tellTrouble(error));
      }
    });
    return writing.current;
  }, [db, notify, changes, pause]);

  useEffect(() => {
    void lastDraft(db).then(show);
    const refresh = async () => {
      const mine = current.current;
      if (document.visibilityState !== 'visible' || !mine || unkept.current) return;
      await writing.current;
      const stored = await db.get('drafts', mine.id);
      if (stored && !unkept.current && current.current?.id === stored.id && stored.version > current.current.version)
        showNow(stored);
    };
    const look = () => void refresh();
    const leave = () => void flush();
    addEventListener('pagehide', leave);
    addEventListener('focus', look);
    document.addEventListener('visibilitychange', look);
    return () => {
      removeEventListener('pagehide', leave);
      removeEventListener('focus', look);
      document.removeEventListener('visibilitychange', look);
      void flush();
    };
  }, [db, flush, show, showNow]);

  const touched = useCallback(
    (content: () => DraftContent) => {
      unkept.current = content;
      pause.wait(() => void flush());
    },
    [flush, pause],
  );
  const open = useCallback(
    (id: string) => {
      void flush().then(async () => {
        const draft = await openDraft(db, id);
        if (draft) showNow(draft);
      });
    },
    [db, flush, showNow],
  );
  const startNew = useCallback(() => void flush().then(() => showNow(draftOf(''))), [flush, showNow]);
  const drop = useCallback(
    (id: string) => {
      void flush().then(async () => {
        const draft = await dropDraft(db, id);
        changes.emit();
        const isOpen = current.current?.id === id;
        if (isOpen) showNow(draftOf(''));
        if (!draft) return;
        notify({
          text: t`Deleted the draft.`,
          action: {
            label: t`Undo`,
            onPress: () => void restoreDraft(db, draft).then(() => (isOpen ? open(id) : changes.emit())),
          },
        });
      });
    },
    [db, flush, notify, open, showNow, changes],
  );
  const list = useCallback(() => writing.current.then(() => listDrafts(db)), [db]);
  return { opened, trouble, touched, list, subscribe: changes.subscribe, open, startNew, drop };
}

function tellTrouble(error: unknown): string {
  const isFull = error instanceof DOMException && error.name === 'QuotaExceededError';
  return isFull
    ? t`This device is full, so the draft isn’t saved. Send or copy it, and delete old drafts.`
    : t`The draft couldn’t be saved. Send or copy it before you close the page.`;
}
