import { plural, t } from '@lingui/core/macro';
import type { DeviceInfo } from '@yellow-latch/core/sync';

import { tellAgo } from '@/wording/format';

/** In ms. */
const JUST_NOW = 120_000;

/** How far a device has come, and when it was last heard of. */
export function tellStep({ isHere, behind, seen }: DeviceInfo, now = Date.now()): string {
  const step = behind === 0 ? t`synced` : plural(behind, { one: '# change behind', other: '# changes behind' });
  if (isHere) return t`Online, ${step}`;
  if (seen === null) return t`Not seen yet, ${step}`;
  if (now - seen < JUST_NOW) return t`Seen just now, ${step}`;
  const ago = tellAgo(seen, now);
  return t`Seen ${ago}, ${step}`;
}

/** What a device may do and which sets it gets, where that is less than everything; null: it is everything. */
export function tellBounds({ may, subscribedSets }: Pick<DeviceInfo, 'may' | 'subscribedSets'>): string | null {
  const sets = subscribedSets && plural(subscribedSets.length, { one: 'gets # set', other: 'gets # sets' });
  if (may === 'use') return sets === null ? t`can only use the list` : t`can only use the list, ${sets}`;
  return sets;
}

/** How long a code still holds, in whole minutes and seconds; null: it has lapsed. `left` in ms. */
export function tellLeft(left: number): string | null {
  if (left <= 0) return null;
  const seconds = Math.ceil(left / 1_000);
  return `${Math.floor(seconds / 60)}:${String(seconds % 60).padStart(2, '0')}`;
}
