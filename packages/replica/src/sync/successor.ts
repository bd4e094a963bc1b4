import { recordKey, type NewDevice, type Page, type Welcome } from '@yellow-latch/core/sync';

import { succeedDevice } from '../storage/currentDevice';
import { welcomedState } from '../storage/device';
import { writesOfLost } from '../storage/lost';
import { Replica } from '../storage/replica';
import type { Write } from '../storage/write';
import type { Position } from '../storage/replica';

/**
 * This browser goes on as another device `me`, which was welcomed. It gets a copy of the list, and what the old one had
 * not sent goes along. `which` is all where the server has less than the old one had: what it lost goes along as well, and to a
 * server that has nothing the whole list does. The old database stays as it is.
 */
export async function goOnAs(
  old: Replica,
  me: NewDevice,
  welcome: Welcome,
  which: 'waiting' | 'all',
  pull: (from: Position) => Promise<Page>,
): Promise<Replica> {
  const { db, state } = await succeedDevice(old.db, welcomedState(me, welcome));
  const successor = await Replica.open(db, state);
  for (let more = true; more;) {
    const page = await pull(successor.next);
    await successor.receive(page);
    more = page.more;
  }
  const writes =
    successor.state.through === 0
      ? old.wholeRecords('all')
      : [...old.wholeRecords('waiting'), ...(which === 'all' ? lostOf(old, successor) : [])];
  if (writes.length > 0) await successor.write(writes);
  return successor;
}

/** What the server lost of what the old device had, but for what goes along as it waits. */
function lostOf(old: Replica, successor: Replica): Write[] {
  const waiting = new Set(old.waiting.map(({ record }) => recordKey(record)));
  const sent = new Map([...old.everything].filter(([key]) => !waiting.has(key)));
  return writesOfLost(sent, successor.everything, () => successor.state.subscribedSets !== null);
}
