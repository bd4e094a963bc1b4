import { plural, t } from '@lingui/core/macro';
import { isDue } from '@yellow-latch/core/learn/stage';
import { useEffect } from 'react';

import { useList, useOpened } from '@/frame/replica/ReplicaProvider';
import { useKept } from '@/frame/replica/useKept';
import { useLatest } from '@/look/useLatest';

import { useLearnt } from './useLearner';

const LOOKS = 60_000;
const SAID = 'reminded';

/** The hour of the day at which somebody wants to be reminded on this device; null: they do not. */
export function useReminderSetting() {
  return useKept<number | null>('reminder', null);
}

/** Reminds of codes to practise, once a day, if that was asked for. */
export function useReminder(): void {
  const [hour] = useReminderSetting();
  const { replica } = useOpened();
  const { shortcuts } = useList();
  const learnt = useLearnt();
  const due = useLatest(
    (now: number) =>
      shortcuts.filter(({ id, private: isPrivate }) => {
        const state = learnt.get(id)?.state;
        return state && !isPrivate && !state.isDropped && state.memory !== null && isDue(state.memory, now);
      }).length,
  );
  useEffect(() => {
    if (hour === null) return;
    const { db, clock } = replica;
    const look = async () => {
      const now = new Date(clock());
      const today = now.toDateString();
      if (now.getHours() < hour || (await db.get('kept', SAID)) === today) return;
      const count = due.current(now.getTime());
      if (count === 0 || Notification.permission !== 'granted') return;
      await db.put('kept', today, SAID);
      const text = plural(count, { one: '# code to practice', other: '# codes to practice' });
      // Where a service worker shows it, it stays when the tab goes.
      const worker = await navigator.serviceWorker?.getRegistration();
      if (worker) await worker.showNotification(t`Yellow Latch`, { body: text, tag: SAID });
      else new Notification(t`Yellow Latch`, { body: text, tag: SAID });
    };
    const timer = setInterval(() => void look().catch(() => {}), LOOKS);
    void look().catch(() => {});
    return () => clearInterval(timer);
  }, [hour, replica, due]);
}
