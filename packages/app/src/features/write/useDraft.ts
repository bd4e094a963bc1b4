import { useCallback, useEffect, useRef, useState } from 'react';

import { useOpened } from '@/replica/ReplicaProvider';

const KEY = 'write';
/** A pause in typing after which the text is kept, in ms. */
const PAUSE = 250;

/** The text in Write, kept on this device alone; null until it was read. */
export function useDraft(): { text: string | null; keep: (text: string) => void } {
  const { db } = useOpened().replica;
  const [text, setText] = useState<string | null>(null);
  const unsaved = useRef<string | null>(null);
  const timer = useRef<ReturnType<typeof setTimeout>>(undefined);

  const flush = useCallback(() => {
    clearTimeout(timer.current);
    if (unsaved.current === null) return;
    void db.put('drafts', unsaved.current, KEY);
    unsaved.current = null;
  }, [db]);

  useEffect(() => {
    void db.get('drafts', KEY).then((kept) => setText(kept ?? ''));
    addEventListener('pagehide', flush);
    return () => {
      removeEventListener('pagehide', flush);
      flush();
    };
  }, [db, flush]);

  const keep = useCallback(
    (next: string) => {
      unsaved.current = next;
      clearTimeout(timer.current);
      timer.current = setTimeout(flush, PAUSE);
    },
    [flush],
  );
  return { text, keep };
}
