/** A device without a browser: in its list, with its copy of it, as any other is. */
import { idOfJoined } from '@yellow-latch/core/devices';
import type { DeviceKind } from '@yellow-latch/core/model';
import { LARGEST_PUSH } from '@yellow-latch/core/sync';
import { makeCurrentDevice, openCurrentDevice } from '@yellow-latch/replica/storage/currentDevice';
import { newDeviceState } from '@yellow-latch/replica/storage/device';
import { Replica } from '@yellow-latch/replica/storage/replica';
import { enter, type Introduced } from '@yellow-latch/replica/sync/entering';
import { server } from '@yellow-latch/replica/sync/server';

/** By this a device is known again. */
export interface Known {
  readonly id: string;
  readonly name: string;
  readonly kind: DeviceKind;
}

export class Device {
  private constructor(readonly replica: Replica) {}

  /** Joins with a code, or by an open door, and gets its copy of the list. Rejects with what the server says. */
  static async join(me: Introduced, code: string | null): Promise<Device> {
    await enter(code === null ? { type: 'open' } : { type: 'code', code }, me, null);
    const opened = (await openCurrentDevice())!;
    const device = new Device(await Replica.open(opened.db, opened.state));
    await device.catchUp();
    return device;
  }

  /** Goes on as a device that joined before, whose token the cookie has; gets its copy of the list. */
  static async resume({ id, name, kind }: Known): Promise<Device> {
    // The server knows its numbers; nothing of it was kept here that could be out of date.
    const { acknowledged, may, subscribedSets } = await server.pull(id, { since: 0, last: null });
    const state = newDeviceState({ id, name, kind, lastN: acknowledged, may, subscribedSets });
    const { db } = await makeCurrentDevice(state);
    const device = new Device(await Replica.open(db, state));
    await device.catchUp();
    return device;
  }

  /** A list of its own without a server, as a file is read. */
  static async alone(): Promise<Device> {
    const state = newDeviceState();
    const { db } = await makeCurrentDevice(state);
    return new Device(await Replica.open(db, state));
  }

  get known(): Known {
    const { id, name, kind } = this.replica.state;
    return { id, name, kind };
  }

  /** Sends what waits and takes in what there is. */
  async catchUp(): Promise<void> {
    const { replica } = this;
    const { id } = replica.state;
    for (let at = 0; at < replica.waiting.length; at += LARGEST_PUSH)
      await server.push(id, replica.waiting.slice(at, at + LARGEST_PUSH));
    for (let more = true; more;) {
      const page = await server.pull(id, replica.next);
      await replica.receive(page);
      more = page.more;
    }
  }

  /** Leaves the list as if it had never been there. */
  async leave(): Promise<void> {
    const { id } = this.replica.state;
    const record = idOfJoined(id);
    if (this.replica.recordOf('device', record)) {
      await this.replica.write([{ type: 'device', id: record, fields: { deleted: true } }]);
      await this.catchUp();
    }
    await server.signOut(id, id);
  }
}
