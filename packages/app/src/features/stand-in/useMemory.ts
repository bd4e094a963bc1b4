import { useEffect, useState, useSyncExternalStore } from 'react';

import { useOpened } from '@/frame/replica/ReplicaProvider';

import { Memory, type Kept } from './memory';

/** The memory of the stand-in; null until it was read. */
export function useMemory(): Memory | null {
  const { db } = useOpened().replica;
  const [memory, setMemory] = useState<Memory | null>(null);
  useEffect(() => {
    let isOver = false;
    void Memory.open(db).then((opened) => {
      if (isOver) return;
      addEventListener('pagehide', opened.save);
      setMemory(opened);
    });
    return () => {
      isOver = true;
    };
  }, [db]);
  return memory;
}

export function useRemembered(memory: Memory): Kept {
  return useSyncExternalStore(memory.subscribe, () => memory.value);
}
