import { newPlace } from '@yellow-latch/replica/storage/unsaved';
import { useRouter } from 'expo-router';
import { useEffect } from 'react';

import { isField } from '@/frame/focus';
import { isCommand } from '@/frame/keys';
import { useNoticeKeys } from '@/frame/Notices';
import { useMay } from '@/frame/replica/ReplicaProvider';
import { choosing } from '@/parts/choosing';
import { useLatest } from '@/look/useLatest';

interface Openings {
  find(): void;
  keys(): void;
}

/** The keys of every page: what they open, and the way to the notice and its Undo. In a field letters are letters. */
export function usePlaceKeys(open: Openings): void {
  const router = useRouter();
  const may = useMay();
  const notice = useNoticeKeys();
  const press = useLatest((event: KeyboardEvent): boolean => {
    const { key, target, altKey, shiftKey } = event;
    if (altKey || document.querySelector('[aria-modal=true]') !== null) return false;
    const isTyping = isField(target as Element);
    if (key === 'F6') return notice.focus();
    if (isCommand(event)) {
      if (key.toLowerCase() === 'k' && !shiftKey) {
        open.find();
        return true;
      }
      if (isTyping) return false;
      if (key.toLowerCase() === 'z') return shiftKey ? notice.redo() : notice.undo();
      return key.toLowerCase() === 'y' && !shiftKey ? notice.redo() : false;
    }
    if (isTyping || event.ctrlKey || event.metaKey) return false;
    switch (key) {
      case '/':
        open.find();
        return true;
      case '?':
        open.keys();
        return true;
      case 'Escape':
        if (choosing.ids === null) return false;
        choosing.end();
        return true;
      case 'n':
        if (may === 'use') return false;
        router.navigate({ pathname: '/new', params: { at: newPlace() } });
        return true;
      default:
        return false;
    }
  });
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (!event.defaultPrevented && press.current(event)) event.preventDefault();
    };
    document.addEventListener('keydown', onKey);
    return () => document.removeEventListener('keydown', onKey);
  }, [press]);
}
