/** What was carried over to places that the app cannot write to, as their owner says. */
import { carriedId } from '@yellow-latch/core/devices';
import type { Carried } from '@yellow-latch/core/model';

import type { Write } from '../storage/write';
import type { Command } from './command';

/** A shortcut as a place holds it now; `digest` null: it is not there any more. */
export interface CarriedNow {
  readonly id: string;
  readonly code: string;
  readonly digest: string | null;
}

/** So it is now in a place of a device. `before`: what it held, as far as that is known. */
export function carrying(
  deviceId: string,
  profile: string,
  now: readonly CarriedNow[],
  before: readonly Carried[],
  at = Date.now(),
): Command {
  const known = new Map(before.map((one) => [one.id, one]));
  const idOf = (shortcutId: string) => carriedId(deviceId, profile, shortcutId);
  const write = (shortcutId: string, code: string, digest: string, when: number): Write => ({
    type: 'carried',
    id: idOf(shortcutId),
    fields: { deviceId, profile, shortcutId, code, digest, at: when, deleted: false },
  });
  const gone = (shortcutId: string): Write => ({ type: 'carried', id: idOf(shortcutId), fields: { deleted: true } });
  return {
    writes: now.map(({ id, code, digest }) => (digest === null ? gone(id) : write(id, code, digest, at))),
    undo: () =>
      now.map(({ id }) => {
        const was = known.get(idOf(id));
        return was ? write(id, was.code, was.digest, was.at) : gone(id);
      }),
  };
}

/** A place was emptied: nothing that was carried to it is there any more. */
export function emptying(carried: readonly Carried[]): Command {
  return {
    writes: carried.map(({ id }) => ({ type: 'carried', id, fields: { deleted: true } })),
    undo: () => carried.map(({ id }) => ({ type: 'carried', id, fields: { deleted: false } })),
  };
}
