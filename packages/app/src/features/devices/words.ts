import { counted } from '@/answers/audit/sentences/words';
import type { DeviceInfo } from '@yellow-latch/core/sync';

import { tellAgo } from '@/look/moment';
import { isRefusal } from '@yellow-latch/replica/sync/server';

/** Why something about the devices of a list could not be done. */
export function tellNotSet(error: unknown): string {
  if (!isRefusal(error)) return 'You are offline. Connect and try again.';
  const { title, detail } = error.problem;
  return detail ? `${title}. ${detail}` : `${title}.`;
}

/** How far a device has come, and when it was last heard of. */
export function tellStep({ isHere, behind, seen }: DeviceInfo, now = Date.now()): string {
  const step = behind === 0 ? 'in step' : `${counted(behind, 'change')} behind`;
  if (isHere) return `Here now, ${step}`;
  return seen === null ? `Not heard of yet, ${step}` : `Seen ${tellAgo(seen, now)}, ${step}`;
}

/** What a device may do and which sets it gets, where that is less than everything; null: it is everything. */
export function tellBounds({ may, subscribedSets }: Pick<DeviceInfo, 'may' | 'subscribedSets'>): string | null {
  const sets = subscribedSets && `takes ${counted(subscribedSets.length, 'set')}`;
  const parts = [may === 'use' ? 'uses only' : null, sets].filter((part) => part !== null);
  return parts.length === 0 ? null : parts.join(', ');
}

/** How long a code still holds, in whole minutes and seconds; null: it has lapsed. `left` in ms. */
export function tellLeft(left: number): string | null {
  if (left <= 0) return null;
  const seconds = Math.ceil(left / 1_000);
  return `${Math.floor(seconds / 60)}:${String(seconds % 60).padStart(2, '0')}`;
}
