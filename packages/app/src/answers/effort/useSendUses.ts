import { useCallback, useEffect } from 'react';

import { useOnLeaving } from '@/look/useLatest';
import { useOpened, useWrite } from '@/frame/replica/ReplicaProvider';

import { learnFromEvidence } from '@yellow-latch/replica/commands/learning';
import { usesToSend } from '@yellow-latch/replica/storage/uses';

/** Tells the other devices what was counted here and seen of how well codes are known, when one leaves the page or the app: not while one types. */
export function useSendUses(): void {
  const { replica } = useOpened();
  const write = useWrite();
  const send = useCallback(async () => {
    const writes = await usesToSend(replica);
    if (writes.length > 0) await write(...writes);
    await learnFromEvidence(replica);
  }, [replica, write]);
  useOnLeaving(() => void send());
  useEffect(() => {
    const onHidden = () => {
      if (document.visibilityState === 'hidden') void send();
    };
    document.addEventListener('visibilitychange', onHidden);
    return () => document.removeEventListener('visibilitychange', onHidden);
  }, [send]);
}
