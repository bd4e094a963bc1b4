/** The server ended as by a loss of power while devices write to it: what it has acknowledged is there, once. */
import type { Change } from '@yellow-latch/core/sync';
import fc from 'fast-check';
import { v7 as uuid } from 'uuid';

import { OtherDevice } from '../otherDevice';
import { Stand } from '../stand';

const KILLS = process.env.YELLOW_LATCH_SOAK ? 50 : 5;
const WRITERS = 4;
/** Between the first change and the end of a server, in ms. */
const [SOONEST, LATEST] = [5, 250];

const shortcut = {
  content: { expansion: 'Written while it died', template: false, format: 'plain' as const },
  kind: 'message' as const,
  setId: null,
};

/** A device that writes one change after the other, and sends again what was not acknowledged. */
class Writer {
  readonly acknowledged: string[] = [];
  private waiting: Change | null = null;

  constructor(private readonly device: OtherDevice) {}

  /** Writes until the server is gone. */
  async write(): Promise<void> {
    for (;;) {
      this.waiting ??= this.device.draft('shortcut', uuid(), { ...shortcut, code: `;${uuid().slice(-12)}` });
      try {
        await this.device.send([this.waiting]);
      } catch {
        return;
      }
      this.acknowledged.push(this.waiting.id);
      this.waiting = null;
    }
  }

  /** Sends what was on its way when the server went. */
  async finish(): Promise<void> {
    if (!this.waiting) return;
    await this.device.send([this.waiting]);
    this.acknowledged.push(this.waiting.id);
    this.waiting = null;
  }
}

test(`killed ${KILLS} times while ${WRITERS} devices write, it has every acknowledged change, once`, async () => {
  const stand = await Stand.start('empty');
  try {
    const writers: Writer[] = [];
    for (let index = 0; index < WRITERS; index += 1)
      writers.push(new Writer(await OtherDevice.join(stand.address, `Writer ${index}`)));
    const reader = await OtherDevice.join(stand.address, 'Reader');
    const after = fc.sample(fc.integer({ min: SOONEST, max: LATEST }), { numRuns: KILLS, seed: 7 });
    for (const delay of after) {
      const written = Promise.all(writers.map((writer) => writer.write()));
      await new Promise((resolve) => setTimeout(resolve, delay));
      await stand.kill();
      await written;
      await stand.start();
      for (const writer of writers) await writer.finish();
      const logged = await reader.logged();
      expect(new Set(logged).size).toBe(logged.length);
      expect([...logged].sort()).toEqual(writers.flatMap(({ acknowledged }) => acknowledged).sort());
    }
    expect(writers.flatMap(({ acknowledged }) => acknowledged).length).toBeGreaterThan(KILLS * WRITERS);
    expect(JSON.parse(await reader.shortcuts())).toHaveLength(
      writers.flatMap(({ acknowledged }) => acknowledged).length,
    );
  } finally {
    await stand.end();
  }
}, 600_000);
