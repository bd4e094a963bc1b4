import type { Opened } from '@/frame/replica/ReplicaProvider';

/** So long it is waited for at most, in ms: without a line, what waits is kept. */
const PATIENCE = 3_000;

/** Resolves when all that was written here has been sent, or cannot be for now. */
export function whenSent(sync: Opened['sync']): Promise<void> {
  if (sync.state.waiting === 0) return Promise.resolve();
  return new Promise((resolve) => {
    const end = () => {
      clearTimeout(timer);
      ignore();
      resolve();
    };
    const timer = setTimeout(end, PATIENCE);
    const ignore = sync.subscribe(() => {
      if (sync.state.waiting === 0) end();
    });
  });
}
