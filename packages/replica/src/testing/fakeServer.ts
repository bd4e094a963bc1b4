/** A server in memory, by the rules of docs/formats.md, whose line can be cut. */
import {
  applyChange,
  recordKey,
  type Change,
  type May,
  type Page,
  type StoredRecord,
  type PushAnswer,
  type SubscribedSets,
} from '@yellow-latch/core/sync';

import { RefusedError, type SyncServer } from '../sync/server';
import { type Position } from '../storage/replica';

type PageListener = (event: { data: string }) => void;

class FakeStream {
  constructor(readonly device: string) {}

  onopen: (() => void) | null = null;
  onerror: (() => void) | null = null;
  readonly listeners: PageListener[] = [];

  addEventListener(name: string, listener: PageListener): void {
    if (name === 'page') this.listeners.push(listener);
  }

  close(): void {
    this.listeners.length = 0;
    this.onerror = null;
  }
}

export class FakeServer implements SyncServer {
  isThere = true;
  may: May = 'edit';
  subscribedSets: SubscribedSets = null;
  readonly log: Change[] = [];
  readonly pushes: number[] = [];
  /** Codes it will not take, as if the list were full. */
  readonly refusedCodes = new Set<string>();
  private readonly records = new Map<string, { record: StoredRecord; number: number }>();
  private readonly acknowledged = new Map<string, number>();
  private readonly streams: FakeStream[] = [];

  door = () => this.answer(() => ({ open: true, lists: true }));

  enter = (device: { id: string }) => this.answer(() => ({ device: device.id, list: { id: 'list', name: 'List' } }));

  begin = (list: { id: string; name: string }, device: { id: string }) =>
    this.answer(() => ({ device: device.id, list }));

  succeed = (_device: string, next: { id: string }) => this.enter(next);

  pull = (device: string, { since }: Position) => this.answer(() => this.page(device, since));

  push = (device: string, changes: Change[]) => this.answer(() => this.receiveAll(device, changes));

  private receiveAll(device: string, changes: Change[]): PushAnswer {
    this.pushes.push(changes.length);
    changes.forEach((change, index) => {
      if (this.refusedCodes.has(change.fields.code as string)) {
        throw new RefusedError({
          type: '/problems/invalid',
          title: 'A change cannot be taken',
          status: 422,
          errors: [{ pointer: `/changes/${index}`, detail: 'the list is full', index }],
        });
      }
    });
    for (const change of changes) this.receive(device, change);
    for (const stream of this.streams) {
      const { acknowledged: taken, subscribedSets: takes, ...page } = this.page(stream.device, 0);
      const data = JSON.stringify({ ...page, taken, takes, fresh: false });
      stream.listeners.forEach((listener) => listener({ data }));
    }
    return { acknowledged: this.acknowledged.get(device)!, through: this.log.length };
  }

  openStream = (device: string): EventSource => {
    const stream = new FakeStream(device);
    this.streams.push(stream);
    queueMicrotask(() => (this.isThere ? stream.onopen?.() : stream.onerror?.()));
    return stream as unknown as EventSource;
  };

  /** Cuts or mends the line to every device. */
  be(there: boolean): void {
    this.isThere = there;
    if (!there) for (const stream of this.streams) stream.onerror?.();
  }

  private answer<T>(answer: () => T): Promise<T> {
    return new Promise((resolve, reject) => {
      if (this.isThere) resolve(answer());
      else reject(new TypeError('Failed to fetch'));
    });
  }

  private receive(device: string, change: Change): void {
    const acknowledged = this.acknowledged.get(device) ?? 0;
    if (change.n <= acknowledged) return;
    if (change.n !== acknowledged + 1) throw new Error(`a gap: ${change.n} after ${acknowledged}`);
    this.acknowledged.set(device, change.n);
    this.log.push(change);
    const key = recordKey(change.record);
    const result = applyChange(this.records.get(key)?.record, change);
    if (result.type === 'applied') this.records.set(key, { record: result.record, number: this.log.length });
  }

  private page(device: string, since: number): Page {
    const records = [...this.records.values()].filter(({ number }) => number > since).map(({ record }) => record);
    const { may, subscribedSets } = this;
    return {
      records,
      removed: [],
      through: this.log.length,
      last: this.log.at(-1)?.id ?? null,
      acknowledged: this.acknowledged.get(device) ?? 0,
      more: false,
      fresh: since === 0,
      parted: false,
      may,
      subscribedSets,
    };
  }
}
