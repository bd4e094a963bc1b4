import { LARGEST_PUSH, PageSchema, type Change, type Page } from '@yellow-latch/core/sync';

import { introduceDevice, makeCurrentDevice, newDeviceState } from './device';
import { Replica } from './replica';
import { isRefusal, type Server } from './server';

/** How this device stands to the server. `waiting` and `refusals` are of its outbox. */
export interface SyncState {
  phase: 'starting' | 'in-step' | 'away';
  waiting: number;
  refusals: readonly string[];
}

/** What the tabs of one browser tell each other. */
type Message =
  | { type: 'hello' }
  | { type: 'changed' }
  | { type: 'phase'; phase: SyncState['phase'] }
  | { type: 'moved' };

const FIRST_RETRY = 500;
const LONGEST_RETRY = 8_000;
/** The server says that it is there every 15 s; silence longer than this, in ms, is a lost line. */
const LONGEST_SILENCE = 40_000;
const LARGEST_BODY = 500_000;

/**
 * Keeps the replica in step: sends the outbox, follows the stream. Of several tabs one does it (by
 * Web Lock); the others tell it when they have written and read again when it has received.
 */
export class Sync {
  private phase: SyncState['phase'] = 'starting';
  private readonly listeners = new Set<() => void>();
  private readonly tabs: BroadcastChannel;
  private stream: EventSource | null = null;
  private retry = FIRST_RETRY;
  private timer: ReturnType<typeof setTimeout> | undefined;
  private silence: ReturnType<typeof setTimeout> | undefined;
  private leads = false;
  private sending: Promise<void> | null = null;
  private receiving: Promise<void> = Promise.resolve();

  constructor(
    private readonly replica: Replica,
    private readonly server: Server,
  ) {
    this.tabs = new BroadcastChannel(`yellow-latch-${replica.state.id}`);
    this.tabs.onmessage = ({ data }: MessageEvent<Message>) => void this.hear(data);
  }

  get state(): SyncState {
    const { waiting, refusals } = this.replica;
    return { phase: this.phase, waiting: waiting.length, refusals };
  }

  subscribe(listener: () => void): () => void {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  }

  /** Begins; returns at once. */
  start(): void {
    this.tell({ type: 'hello' });
    const lead = () => {
      this.leads = true;
      addEventListener('online', this.connect);
      this.connect();
      return new Promise<void>(() => undefined);
    };
    // Without Web Locks (an insecure address) every tab syncs for itself.
    if (navigator.locks) void navigator.locks.request(`yellow-latch-${this.replica.state.id}`, lead);
    else void lead();
  }

  /** To be called after every write: sends it, or has the leading tab send it. */
  wrote(): void {
    this.tell({ type: 'changed' });
    this.changed();
    if (this.leads && this.phase === 'in-step') this.send();
  }

  private async hear(message: Message): Promise<void> {
    if (message.type === 'moved') location.reload();
    if (message.type === 'hello' && this.leads) this.tell({ type: 'phase', phase: this.phase });
    if (message.type === 'phase' && !this.leads) this.turn(message.phase);
    if (message.type === 'changed') {
      await this.replica.reload();
      this.changed();
      if (this.leads && this.phase === 'in-step') this.send();
    }
  }

  private tell(message: Message): void {
    this.tabs.postMessage(message);
  }

  private changed(): void {
    for (const listener of this.listeners) listener();
  }

  private turn(phase: SyncState['phase']): void {
    this.phase = phase;
    if (this.leads) this.tell({ type: 'phase', phase });
    this.changed();
  }

  private readonly connect = (): void => {
    clearTimeout(this.timer);
    this.hangUp();
    void this.introduce()
      .then(() => this.catchUp())
      .then(() => this.follow())
      .catch((error: unknown) => this.fail(error));
  };

  private async introduce(): Promise<void> {
    const { id, listId } = this.replica.state;
    if (listId !== null) return;
    const welcome = await this.server.join(introduceDevice(id));
    await this.replica.welcome(welcome.list.id);
  }

  private async catchUp(): Promise<void> {
    for (let more = true; more; ) {
      const page = await this.server.pull(this.replica.state.id, this.replica.state.through);
      await this.receive(page);
      more = page.more;
    }
  }

  private follow(): void {
    const stream = this.server.follow(this.replica.state.id, this.replica.state.through);
    this.stream = stream;
    const listen = () => {
      clearTimeout(this.silence);
      this.silence = setTimeout(() => this.fail(new Error('silence')), LONGEST_SILENCE);
    };
    stream.onopen = () => {
      this.retry = FIRST_RETRY;
      listen();
      this.turn('in-step');
      this.send();
    };
    stream.addEventListener('still-here', listen);
    stream.addEventListener('page', (event: MessageEvent<string>) => {
      listen();
      const page = PageSchema.parse(JSON.parse(event.data));
      void this.receive(page).catch((error: unknown) => this.fail(error));
    });
    stream.onerror = () => this.fail(new Error('stream'));
  }

  /** Pages are taken in one after the other, in the order in which they came. */
  private receive(page: Page): Promise<void> {
    this.receiving = this.receiving.then(async () => {
      await this.replica.receive(page);
      this.tell({ type: 'changed' });
      this.changed();
    });
    return this.receiving;
  }

  /** Sends what waits, push after push, until nothing does. One at a time. */
  private send(): void {
    this.sending ??= this.sendAll()
      .catch((error: unknown) => this.fail(error))
      .finally(() => {
        this.sending = null;
      });
  }

  private async sendAll(): Promise<void> {
    for (let push = this.nextPush(); push.length > 0; push = this.nextPush()) {
      const { id, through } = this.replica.state;
      try {
        const page = await this.server.push(id, through, push);
        await this.receive(page);
        if (page.more) await this.catchUp();
      } catch (error) {
        const at = isRefusal(error) ? error.problem.errors?.find(({ index }) => index !== undefined) : null;
        if (!at) throw error;
        await this.replica.refuse(push[at.index!]!.id, at.detail);
        this.tell({ type: 'changed' });
        this.changed();
      }
    }
  }

  private nextPush(): Change[] {
    const push: Change[] = [];
    let size = 0;
    for (const change of this.replica.waiting.slice(0, LARGEST_PUSH)) {
      size += JSON.stringify(change).length;
      if (push.length > 0 && size > LARGEST_BODY) break;
      push.push(change);
    }
    return push;
  }

  private fail(error: unknown): void {
    this.hangUp();
    this.turn('away');
    const isStranger = isRefusal(error) && (error.problem.status === 401 || error.problem.status === 409);
    const next = isStranger ? () => void this.moveOn().catch(() => this.connect()) : this.connect;
    clearTimeout(this.timer);
    this.timer = setTimeout(next, this.retry * (0.75 + Math.random() / 2));
    this.retry = Math.min(this.retry * 2, LONGEST_RETRY);
  }

  private hangUp(): void {
    clearTimeout(this.silence);
    this.stream?.close();
    this.stream = null;
  }

  /**
   * The server does not know this device any more, or not by these numbers: this browser goes on
   * as a new device. What was never sent goes along; to a server that has nothing, for it has lost
   * its data, the whole list does. The old database stays as it is.
   */
  private async moveOn(): Promise<void> {
    const state = newDeviceState();
    const welcome = await this.server.join(introduceDevice(state.id));
    const { db } = await makeCurrentDevice({ ...state, listId: welcome.list.id });
    const successor = await Replica.open(db, { ...state, listId: welcome.list.id });
    const draft = await this.replica.db.get('drafts', 'write');
    if (draft !== undefined) await db.put('drafts', draft, 'write');
    for (let more = true; more; ) {
      const page = await this.server.pull(state.id, successor.state.through);
      await successor.receive(page);
      more = page.more;
    }
    const isEmpty = successor.state.through === 0;
    await successor.write(this.replica.wholeRecords(isEmpty ? 'all' : 'waiting'));
    this.tell({ type: 'moved' });
    location.reload();
  }
}
