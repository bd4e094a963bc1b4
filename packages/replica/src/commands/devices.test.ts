import { carriedId, idOfJoined, leftOutId } from '@yellow-latch/core/devices';
import { UNKNOWN_DIGEST } from '@yellow-latch/core/fit/digest';
import { LIST_RECORD_ID, type Device } from '@yellow-latch/core/model';

import { openDatabase } from '../storage/database';
import { keptState, newDeviceState } from '../storage/device';
import { Replica } from '../storage/replica';
import { carrying, emptying } from './carrying';
import type { Command } from './command';
import {
  addingDevice,
  addingJoined,
  kindsMissing,
  leavingOut,
  linkingDevice,
  removingDevice,
  settingDevice,
} from './devices';
import { choosing } from './list';
import { redoing } from './redoing';
import { makingPrivate } from './shortcuts';

let replica: Replica;
beforeEach(async () => {
  const state = newDeviceState({ name: 'Laptop', kind: 'computer' });
  const db = await openDatabase(state.id);
  await db.put('state', keptState(state), 'device');
  replica = await Replica.open(db, state);
});

const list = () => replica.read();
const names = () => list().devices.map(({ name }) => name);
const deviceOf = (name: string): Device => list().devices.find((device) => device.name === name)!;
const run = async (command: Command) => replica.write(command.writes);

/** Does it, takes it back, and does it again. */
async function thereAndBack(command: Command, look: () => unknown): Promise<unknown> {
  const before = look();
  const ids = await run(command);
  const after = look();
  await replica.write(command.undo(ids));
  expect(look()).toEqual(before);
  const again = redoing(command, ids);
  const newIds = await replica.write(again.writes);
  expect(look()).toEqual(after);
  expect(newIds).toEqual(ids);
  return after;
}

describe('devices', () => {
  test('the one in hand is there before it has a record, and stays when others come', async () => {
    expect(names()).toEqual(['Laptop']);
    expect(await thereAndBack(addingDevice({ name: 'Phone', kind: 'phone' }, list()), names)).toEqual([
      'Phone',
      'Laptop',
    ]);
    expect(deviceOf('Laptop')).toMatchObject({ id: idOfJoined(replica.state.id), joined: replica.state.id });
    expect(deviceOf('Phone')).toMatchObject({ joined: null, places: [{ profile: 'phone-list' }] });
    expect(kindsMissing(list())).toEqual(['tablet']);
  });

  test('are changed and removed', async () => {
    const { devices } = list();
    const setting = settingDevice(devices[0]!, { share: 0, places: [{ profile: 'expander', answers: {} }] }, list());
    await thereAndBack(setting, () => list().devices.map(({ share, places }) => [share, places.length]));
    await run(addingDevice({ name: 'Phone', kind: 'phone' }, list()));
    expect(await thereAndBack(removingDevice(deviceOf('Phone'), list()), names)).toEqual(['Laptop']);
  });

  test('two browsers that change what was chosen before, apart, write the same records', async () => {
    await replica.write([
      {
        type: 'list',
        id: LIST_RECORD_ID,
        fields: { languages: ['en'], devices: ['app', 'phone-list', 'tablet-list'] },
      },
    ]);
    const [phone, tablet] = list().devices as [Device, Device];
    const here = settingDevice(phone, { name: 'My phone' }, list());
    const there = settingDevice(tablet, { share: 1 }, list());
    expect([here, there].flatMap(({ writes }) => writes.map(({ id }) => id))).toEqual([phone.id, tablet.id]);
    await run(here);
    await run(there);
    expect(list().devices).toMatchObject([{ name: 'My phone' }, { name: 'Tablet', share: 1 }]);
    // The old choice still counts for what has no record, and only for that.
    await run(removingDevice(list().devices[1]!, list()));
    expect(names()).toEqual(['My phone']);
  });

  test('one that joins is the one that was added by hand, if one says so', async () => {
    await run(addingDevice({ name: 'Phone', kind: 'phone' }, list()));
    const joined = '01930000-0000-7000-8000-000000000007';
    await run(addingJoined({ id: joined, name: 'Phone 2', kind: 'phone' }, list()));
    await run(linkingDevice(deviceOf('Phone'), joined, list()));
    expect(list().devices).toMatchObject([
      { name: 'Phone', joined, places: [{ profile: 'phone-list' }, { profile: 'app' }] },
      {},
    ]);
  });

  test('what is chosen for the list is written whole, and says that devices are records', async () => {
    await run(choosing({ languages: ['de'] }, list()));
    expect([list().languages, list().chosen.hasDevices, names()]).toEqual([['de'], true, ['Laptop']]);
  });

  test('a shortcut or a set is left out of a device and put back', async () => {
    const phone = addingDevice({ name: 'Phone', kind: 'phone' }, list());
    await run(phone);
    const of = (isOut: boolean) => leavingOut(deviceOf('Phone'), 'set', null, isOut, list());
    await thereAndBack(of(true), () => list().leftOut.map(({ id }) => id));
    expect(list().leftOut).toMatchObject([
      { id: leftOutId(phone.id, 'set', null), deviceId: phone.id, of: 'set', refersTo: null },
    ]);
    await run(of(false));
    expect(list().leftOut).toEqual([]);
  });
});

describe('what was carried', () => {
  const DEVICE = '01930000-0000-7000-8000-0000000000aa';
  const held = () =>
    list()
      .carried.map(({ code, digest }) => [code, digest])
      .sort();
  const digest = '0123456789abcdef';
  async function shortcut(code: string) {
    const [id] = await replica.write([
      {
        type: 'shortcut',
        fields: {
          code,
          content: { expansion: `what ${code} gives`, template: false, format: 'plain' },
          kind: 'message',
          setId: null,
        },
      },
    ]);
    return list().shortcuts.find((one) => one.id === id)!;
  }

  test('is noted, changed, and taken off; two devices that carry at once note the same', async () => {
    const { id } = await shortcut(';a');
    const now = [{ id, code: ';a', digest }];
    await thereAndBack(carrying(DEVICE, 'phone-list', now, list().carried, 1), held);
    await run(carrying(DEVICE, 'phone-list', now, list().carried, 2));
    expect(list().carried).toMatchObject([{ id: carriedId(DEVICE, 'phone-list', id), at: 2 }]);
    await thereAndBack(carrying(DEVICE, 'phone-list', [{ id, code: ';a', digest: null }], list().carried), held);
    expect(held()).toEqual([]);
  });

  test('is forgotten when a place was emptied', async () => {
    const { id } = await shortcut(';a');
    await run(carrying(DEVICE, 'phone-list', [{ id, code: ';a', digest }], []));
    expect(await thereAndBack(emptying(list().carried), held)).toEqual([]);
  });

  test('of a shortcut made private only says that it is there', async () => {
    const made = await shortcut(';iban');
    await run(carrying(DEVICE, 'phone-list', [{ id: made.id, code: ';iban', digest }], []));
    const command = makingPrivate(made, {}, list());
    expect(await thereAndBack(command, held)).toEqual([['', UNKNOWN_DIGEST]]);
    const [own] = list().shortcuts;
    expect(own).toMatchObject({ private: true, code: ';iban' });
    expect(list().carried).toMatchObject([{ shortcutId: own!.id }]);
    // What is sent of it from now on has no code.
    expect(JSON.stringify(replica.waiting.slice(-4))).not.toContain('iban');
  });
});
