import { useEffect, useState } from 'react';

import { whenIdle } from '@/frame/moments';

/** A later version is looked for so often, in ms, and whenever the page comes to the front. */
const HOUR = 60 * 60 * 1_000;

/**
 * Installs the service worker when the page has nothing better to do. Gives the way to a later version when one is
 * ready; null: there is none. It is never taken by itself, since somebody may be typing.
 */
export function useUpdate(): (() => void) | null {
  const [take, setTake] = useState<(() => void) | null>(null);
  useEffect(() => {
    // Browsers have none on an insecure address.
    if (!('serviceWorker' in navigator)) return;
    let isOver = false;
    let lookAgain = () => {};
    const callOff = whenIdle(() => {
      void install((next) => {
        if (!isOver) setTake(() => next);
      }).then(
        (look) => {
          lookAgain = look;
        },
        () => {},
      );
    });
    const look = () => {
      if (document.visibilityState === 'visible') lookAgain();
    };
    const timer = setInterval(look, HOUR);
    document.addEventListener('visibilitychange', look);
    return () => {
      isOver = true;
      callOff();
      clearInterval(timer);
      document.removeEventListener('visibilitychange', look);
    };
  }, []);
  return take;
}

/** Registers the worker; resolves with the way to look for a later one. */
async function install(offer: (take: () => void) => void): Promise<() => void> {
  const { Workbox } = await import('workbox-window');
  const worker = new Workbox('/service-worker.js');
  let isAsked = false;
  worker.addEventListener('waiting', () =>
    offer(() => {
      isAsked = true;
      worker.messageSkipWaiting();
    }),
  );
  worker.addEventListener('controlling', ({ isUpdate }) => {
    if (isAsked) location.reload();
    // Another tab has taken it: this one still runs the version before.
    else if (isUpdate) offer(() => location.reload());
  });
  await worker.register();
  // Away from the server there is nothing to find.
  return () => void worker.update().catch(() => {});
}
