import { useState } from 'react';

import { useKept } from '@/frame/replica/useKept';

import { stillKept, withClip, type Clip } from './clips';

const NONE: readonly Clip[] = [];

/** What was copied, kept on this device alone. */
export function useClips() {
  const [kept, keep] = useKept<readonly Clip[]>('clips', NONE);
  // As of when the page was opened: nothing goes while one looks at it.
  const [opened] = useState(() => Date.now());
  const clips = stillKept(kept, opened);
  return {
    clips,
    add: (text: string) => keep(withClip(clips, text, Date.now())),
    pin: (id: string, isPinned: boolean) => keep(clips.map((clip) => (clip.id === id ? { ...clip, isPinned } : clip))),
    remove: (ids: ReadonlySet<string>) => keep(clips.filter(({ id }) => !ids.has(id))),
    putBack: (all: readonly Clip[]) => keep(all),
  };
}
