import { idOfFormer } from '@yellow-latch/core/convention/former';
import { evidenceOf } from '@yellow-latch/core/learn/firing';
import type { Shortcut } from '@yellow-latch/core/model';
import type { FieldEvent } from '@yellow-latch/field/own';
import { noteEvidence, withdrawEvidence } from '@yellow-latch/replica/storage/evidence';
import { useCallback } from 'react';

import { useOpened } from '@/frame/replica/ReplicaProvider';
import { useLatest } from '@/look/useLatest';

/** Notes what typing tells of how well codes are known. What a device has no room for is not noted. */
export function useSeen(shortcutOf: (id: string) => Pick<Shortcut, 'code' | 'private'> | undefined) {
  const { db, clock } = useOpened().replica;
  const latest = useLatest(shortcutOf);
  const see = useCallback(
    (event: FieldEvent, hesitation: number | null) => {
      const shortcutId = idOfFormer(event.id) ?? event.id;
      const shortcut = latest.current(shortcutId);
      if (!shortcut || shortcut.private || event.type === 'asked') return;
      if (event.type === 'taken-back') return void withdrawEvidence(db, shortcutId).catch(() => {});
      const how = evidenceOf(event, shortcut.code, idOfFormer(event.id) !== null);
      if (how) void noteEvidence(db, { shortcutId, how, at: clock(), seconds: hesitation }).catch(() => {});
    },
    [db, clock, latest],
  );
  const miss = useCallback(
    (shortcutId: string) => {
      if (latest.current(shortcutId)?.private !== false) return;
      void noteEvidence(db, { shortcutId, how: 'missed', at: clock(), seconds: null }).catch(() => {});
    },
    [db, clock, latest],
  );
  return { see, miss };
}
