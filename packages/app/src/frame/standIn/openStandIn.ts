import {
  actAs,
  makeCurrentDevice,
  openCurrentDevice,
  type OpenedDevice,
} from '@yellow-latch/replica/storage/currentDevice';
import { newDeviceState } from '@yellow-latch/replica/storage/device';
import { fullWhile } from '@yellow-latch/replica/storage/full';
import { Replica } from '@yellow-latch/replica/storage/replica';
import { enter } from '@yellow-latch/replica/sync/entering';
import { server } from '@yellow-latch/replica/sync/server';

import { openedOf, type Opened, type Outside } from '../replica/ReplicaProvider';

import { nameOfStandIn } from './name';
import { switchBoardOf } from './switches';
import { deviceNameOf, standInTab, type StandInTab } from './tab';

/** The stand-in that this tab is, made or opened as any device; outside, where it is in no list yet and cannot get in by itself. */
export async function openStandIn(): Promise<Opened | Outside> {
  const tab = standInTab()!;
  actAs(deviceNameOf(tab));
  const board = switchBoardOf(tab);
  const isSample = tab.list === 'sample';
  const device = (await openCurrentDevice()) ?? (await (isSample ? makeSampleDevice(tab) : join(tab)));
  if (device === null || device.state.out !== null) return { device };
  const replica = await Replica.open(
    fullWhile(device.db, () => board.switches.isFull),
    device.state,
    board.clock,
  );
  // What was left before it had its list gets it now.
  if (isSample && replica.everything.size === 0) {
    const { sampleRecords } = await import('@yellow-latch/core/scenario/sample');
    await replica.write(sampleRecords());
  }
  return openedOf(replica, isSample);
}

/** In by the code in its address, or by an open door. A stand-in has no part in a person's typing. */
async function join(tab: StandInTab): Promise<OpenedDevice | null> {
  const code = decodeURIComponent(location.hash.slice(1));
  const { open } = await server.door().catch(() => ({ open: false }));
  if (code === '' && !open) return null;
  const me = { name: nameOfStandIn(tab), kind: tab.kind, share: 0 };
  try {
    await enter(code === '' ? { type: 'open' } : { type: 'code', code }, me, null);
  } catch {
    return null;
  }
  history.replaceState(null, '', location.pathname);
  return openCurrentDevice();
}

function makeSampleDevice(tab: StandInTab): Promise<OpenedDevice> {
  return makeCurrentDevice(newDeviceState({ name: nameOfStandIn(tab), kind: tab.kind }));
}
