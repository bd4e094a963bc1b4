import { TAKE } from '@yellow-latch/field/guest/keys';

import type { Conduct, Settings } from '../shared/messages';

const KEPT = 'settings';

export const USUAL: Settings = { expands: 'itself', suggests: true, take: TAKE, sites: {}, pausedUntil: 0 };

export async function readSettings(): Promise<Settings> {
  const kept = (await chrome.storage.local.get(KEPT))[KEPT] as Partial<Settings> | undefined;
  return { ...USUAL, ...kept };
}

export async function changeSettings(changes: Partial<Settings>): Promise<Settings> {
  const settings = { ...(await readSettings()), ...changes };
  await chrome.storage.local.set({ [KEPT]: settings });
  return settings;
}

/** How frames of a site are to behave now. */
export function conductOn(host: string, settings: Settings, now: number): Conduct {
  const site = settings.sites[host];
  const { expands, suggests, take } = settings;
  return { isOn: site !== 'off' && settings.pausedUntil <= now, evenCode: site === 'code', expands, suggests, take };
}
