import { tagsIn } from '@yellow-latch/core/compose';
import { useEffect, useRef } from 'react';

import type { LiveWrite } from './live';

/** A pause after which the tags of the text are looked at, in ms: in a long text that takes longer than a key may. */
const TAGS_AFTER = 200;
const MOST_TAGS = 100;

/** Gives the way to say that the text has changed; its tags are found when one pauses. */
export function useTags({ tags }: LiveWrite): (text: string) => void {
  const timer = useRef<ReturnType<typeof setTimeout>>(undefined);
  useEffect(() => () => clearTimeout(timer.current), []);
  return (text) => {
    clearTimeout(timer.current);
    if (tags.value.length === 0 && !text.includes('#')) return;
    timer.current = setTimeout(() => tags.set(tagsIn(text).slice(0, MOST_TAGS)), TAGS_AFTER);
  };
}
