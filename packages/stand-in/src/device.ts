/** A device without a browser: in its list, with its copy of it, as any other is. */
import { idOfJoined } from '@yellow-latch/core/devices';
import type { DeviceKind } from '@yellow-latch/core/model';
import { openCurrentDevice } from '@yellow-latch/replica/storage/currentDevice';
import { Replica } from '@yellow-latch/replica/storage/replica';
import { enter } from '@yellow-latch/replica/sync/entering';
import { server } from '@yellow-latch/replica/sync/server';

export class Device {
  private constructor(readonly replica: Replica) {}

  /** Joins with a code, or by an open door, and gets its copy of the list. Rejects with what the server says. */
  static async join(kind: DeviceKind, code: string | null): Promise<Device> {
    const me = { name: `Stand-in ${kind}`, kind, share: 0 };
    await enter(code === null ? { type: 'open' } : { type: 'code', code }, me, null);
    const opened = (await openCurrentDevice())!;
    const device = new Device(await Replica.open(opened.db, opened.state));
    await device.catchUp();
    return device;
  }

  /** Sends what waits and takes in what there is. */
  async catchUp(): Promise<void> {
    const { replica } = this;
    const { id } = replica.state;
    if (replica.waiting.length > 0) await server.push(id, [...replica.waiting]);
    for (let more = true; more;) {
      const page = await server.pull(id, replica.next);
      await replica.receive(page);
      more = page.more;
    }
  }

  /** Leaves the list as if it had never been there. */
  async leave(): Promise<void> {
    const { id } = this.replica.state;
    await this.replica.write([{ type: 'device', id: idOfJoined(id), fields: { deleted: true } }]);
    await this.catchUp();
    await server.signOut(id, id);
  }
}
