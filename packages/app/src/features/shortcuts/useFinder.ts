import { useEffect, useMemo, useState } from 'react';

import { whenIdle } from '@/frame/moments';
import type { ListView } from '@yellow-latch/replica/storage/view';

import { Finder } from '@/parts/find';

/** What a query finds in the list; null: all. The index is made part by part while nothing is asked. */
export function useFinder(list: ListView, query: string): Set<string> | null {
  const [finder] = useState(() => new Finder());
  useEffect(() => {
    let callOff = () => {};
    const goOn = () => {
      callOff = whenIdle(() => {
        finder.observe(list);
        if (finder.prepare()) goOn();
      });
    };
    goOn();
    return () => callOff();
  }, [finder, list]);
  return useMemo(() => {
    if (query.trim() === '') return null;
    finder.observe(list);
    return finder.find(query);
  }, [finder, list, query]);
}
