import {
  LARGEST_PUSH,
  PageSchema,
  type Change,
  type NewDevice,
  type Page,
  type Welcome,
} from '@yellow-latch/core/sync';

import { v7 as uuid } from 'uuid';

import { introduce, newSecret } from '../storage/device';
import { idOfJoined } from '@yellow-latch/core/devices';
import { Subscribable } from '@yellow-latch/core/subscribable';
import { goOnAs } from './successor';
import { changesNoList } from '../storage/write';
import { type Replica } from '../storage/replica';
import { isRefusal, type SyncServer } from './server';
import { type Position } from '../storage/replica';

/** `out`: the device is not in its list any more; `alone`: its list is on this device and stays there. */
type Phase = 'starting' | 'in-step' | 'away' | 'out' | 'alone';

/** How this device stands to the server. `waiting` and `refusals` are of its outbox. */
export interface SyncState {
  phase: Phase;
  waiting: number;
  refusals: readonly string[];
  /** What the server said when it answered and yet did not do its work: the last part of the problem’s type; null: nothing. */
  trouble: string | null;
  /** When it was in step last, as far as it is known; ms since 1970. */
  inStepAt: number | null;
  /** Whether what waits cannot be sent, since the device may only use the list. */
  mayOnlyUse: boolean;
}

/** Refusals of a server that a person can do something about: they are told, and it is tried again. */
const TOLD = new Set(['invite-only', 'server-full', 'too-many-tries']);

/** What the tabs of one browser tell each other. */
type Message =
  | { type: 'hello' }
  | { type: 'changed' }
  | { type: 'phase'; phase: Phase; trouble: string | null }
  | { type: 'devices' }
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
  private phase: Phase = 'starting';
  private trouble: string | null = null;
  private readonly changes = new Subscribable();
  private readonly deviceChanges = new Subscribable();
  private shown: SyncState | null = null;
  private readonly tabs: BroadcastChannel;
  private stream: EventSource | null = null;
  private retry = FIRST_RETRY;
  private timer: ReturnType<typeof setTimeout> | undefined;
  private silence: ReturnType<typeof setTimeout> | undefined;
  private leads = false;
  private isOver = false;
  private sending: Promise<void> | null = null;
  /** The last own number that the server is known to have. */
  private acknowledged = 0;
  private receiving: Promise<void> = Promise.resolve();
  private readonly ignoreWrites: () => void;

  /** `onMoved`: this browser goes on as another device, or as none; what was opened is to be opened anew. */
  constructor(
    private readonly replica: Replica,
    private readonly server: SyncServer,
    private readonly onMoved: () => void = () => {},
  ) {
    replica.subscribe(() => (this.shown = null));
    this.ignoreWrites = replica.onWritten(() => this.wrote());
    this.tabs = new BroadcastChannel(`yellow-latch-${replica.state.id}`);
    this.tabs.onmessage = ({ data }: MessageEvent<Message>) => void this.hear(data);
  }

  /** The same object until something changes. */
  get state(): SyncState {
    this.shown ??= this.stateNow();
    return this.shown;
  }

  private stateNow(): SyncState {
    const { refusals, state } = this.replica;
    // What was counted, and that it has joined, is sent as well, and nothing a person waits for.
    const self = idOfJoined(state.id);
    const written = this.unsent.filter(
      ({ record: { type, id }, fields }) => id !== self && !changesNoList({ type, fields }),
    );
    return {
      phase: this.phase,
      waiting: written.length,
      refusals,
      trouble: this.trouble,
      inStepAt: state.inStepAt,
      mayOnlyUse: state.may === 'use',
    };
  }

  /** What waits and is not known to have arrived. */
  private get unsent(): readonly Change[] {
    return this.replica.waiting.filter(({ n }) => n > this.acknowledged);
  }

  readonly subscribe = this.changes.subscribe;

  /** Calls when a device has joined or left the list, or was set. */
  readonly onDevices = this.deviceChanges.subscribe;

  /** Begins; returns at once. */
  start(): void {
    if (this.replica.state.out) {
      this.phase = 'out';
      this.shown = null;
      return;
    }
    this.tell({ type: 'hello' });
    const lead = () => {
      this.leads = true;
      addEventListener('online', this.connect);
      void this.replica.retryWhatFoundNoRoom().then(this.connect);
      return new Promise<void>(() => undefined);
    };
    // Without Web Locks (an insecure address) every tab syncs for itself.
    if (navigator.locks) void navigator.locks.request(`yellow-latch-${this.replica.state.id}`, lead);
    else void lead();
  }

  /** Instead of `start`: this list is on no server, and will be on none. */
  stayAlone(): void {
    this.phase = 'alone';
    this.shown = null;
  }

  /** Ends for good: nothing is sent or received any more. */
  stop(): void {
    this.isOver = true;
    this.ignoreWrites();
    removeEventListener('online', this.connect);
    clearTimeout(this.timer);
    this.hangUp();
    this.tabs.close();
  }

  /** After a write of this tab: sends it, or has the leading tab send it. */
  private wrote(): void {
    this.tell({ type: 'changed' });
    this.changed();
    if (this.leads && this.phase === 'in-step') this.send();
  }

  private async hear(message: Message): Promise<void> {
    if (message.type === 'moved') this.onMoved();
    if (message.type === 'devices') this.deviceChanges.emit();
    if (message.type === 'hello' && this.leads) this.tell({ type: 'phase', phase: this.phase, trouble: this.trouble });
    if (message.type === 'phase' && !this.leads) this.turn(message.phase, message.trouble);
    if (message.type === 'changed') {
      await this.replica.reload();
      this.changed();
      if (this.leads && this.phase === 'in-step') this.send();
    }
  }

  private tell(message: Message): void {
    if (!this.isOver) this.tabs.postMessage(message);
  }

  private changed(): void {
    this.shown = null;
    this.changes.emit();
  }

  private turn(phase: Phase, trouble: string | null = null): void {
    this.phase = phase;
    this.trouble = trouble;
    if (this.leads) this.tell({ type: 'phase', phase, trouble });
    this.changed();
  }

  private readonly connect = (): void => {
    clearTimeout(this.timer);
    if (this.isOver) return;
    this.hangUp();
    // What is not in a page after this was not taken by the server that answers now.
    this.acknowledged = 0;
    void this.introduce()
      .then(() => this.catchUp())
      .then(() => this.subscribeToStream())
      .catch((error: unknown) => this.fail(error));
  };

  private async introduce(): Promise<void> {
    const { state } = this.replica;
    if (state.listId !== null) return;
    const { list } = state.begins
      ? await this.server.begin(state.begins, introduce(state))
      : await this.server.enter(introduce(state));
    await this.replica.welcome(list);
  }

  /** Pulls page after page; the next one is on its way while one is taken in. */
  private async catchUp(): Promise<void> {
    const { replica, server } = this;
    replica.dropCopy();
    let asked = server.pull(replica.state.id, replica.next);
    for (let more = true; more;) {
      const page = await asked;
      ({ more } = page);
      if (more) {
        asked = server.pull(replica.state.id, { since: page.through, last: null });
        // If this page cannot be taken in, nobody waits for that one.
        asked.catch(() => {});
      }
      await this.receive(page);
    }
  }

  private subscribeToStream(): void {
    if (this.isOver) return;
    const stream = this.server.openStream(this.replica.state.id, this.replica.next);
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
    stream.addEventListener('devices', () => {
      this.tell({ type: 'devices' });
      this.deviceChanges.emit();
    });
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
      let answer = await this.replica.receive(page);
      // It takes other sets now: what it holds is not what it is to hold.
      for (let from: Position = { since: 0, last: null }, more = answer === 'copy-needed'; more;) {
        const copied = await this.server.pull(this.replica.state.id, from);
        answer = await this.replica.receive(copied);
        from = this.replica.next;
        more = copied.more;
      }
      this.tell({ type: 'changed' });
      this.changed();
      // A server whose data was set back is given what it has lost.
      if (page.parted && this.phase === 'in-step') this.send();
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
      // What waits stays, and is sent when the device may edit again.
      if (
        this.replica.state.may === 'use' &&
        !push.every(({ record: { type }, fields }) => changesNoList({ type, fields }))
      )
        return;
      try {
        // What it has received comes back with the stream, and leaves the outbox then.
        const { acknowledged } = await this.server.push(this.replica.state.id, push);
        this.acknowledged = acknowledged;
        this.changed();
      } catch (error) {
        const at = isRefusal(error) ? error.problem.errors?.find(({ index }) => index !== undefined) : null;
        if (!at) throw error;
        if (isRefusal(error) && error.slug === 'incomplete' && (await this.replica.makeWhole(push[at.index!]!)))
          continue;
        const slug = isRefusal(error) ? error.slug : 'invalid';
        await this.replica.refuse(push[at.index!]!.id, slug, slug === 'list-too-large');
        this.tell({ type: 'changed' });
        this.changed();
      }
    }
  }

  private nextPush(): Change[] {
    const push: Change[] = [];
    let size = 0;
    for (const change of this.unsent.slice(0, LARGEST_PUSH)) {
      size += JSON.stringify(change).length;
      if (push.length > 0 && size > LARGEST_BODY) break;
      push.push(change);
    }
    return push;
  }

  private fail(error: unknown): void {
    if (this.isOver) return;
    this.hangUp();
    // What is being taken in is waited for; what failed is not held against what comes.
    this.receiving = this.receiving.catch(() => {});
    // A refusal by the server itself, rather than a line that is lost, is worth a word.
    this.turn('away', isRefusal(error) && (error.problem.status >= 500 || TOLD.has(error.slug)) ? error.slug : null);
    clearTimeout(this.timer);
    const next = () => void this.answer(error).catch(() => this.fail(new Error('no answer')));
    this.timer = setTimeout(next, this.retry * (0.75 + Math.random() / 2));
    this.retry = Math.min(this.retry * 2, LONGEST_RETRY);
  }

  /** What follows from the server's no; otherwise, another try. */
  private async answer(error: unknown): Promise<void> {
    const { replica, server } = this;
    const slug = isRefusal(error) ? error.slug : null;
    const me = { ...introduce(replica.state), id: uuid(), secret: newSecret() };
    switch (slug) {
      case 'signed-out':
        return this.goOut('signed-out');
      case 'list-deleted':
        return this.goOut('deleted');
      case 'list-known':
        return this.goOut('forgotten');
      case 'device-known':
      case 'device-unknown':
        // A copy of another's store, a server that has lost its data, or a cookie that is gone.
        return this.moveOn(me, 'waiting', () => this.enterAnew(me));
      case 'closed':
        // It takes in nobody by itself any more: what is here becomes a list of its own.
        await replica.begin({ id: uuid(), name: replica.state.listName });
        return this.connect();
      case 'gap':
      case 'number-reused':
      case 'set-back':
        return this.moveOn(me, 'all', () => server.succeed(replica.state.id, me));
      default:
        return this.connect();
    }
  }

  /** In again as another device: by the open door, or by beginning the list anew where the server has lost it. */
  private async enterAnew(me: ReturnType<typeof introduce>): Promise<Welcome> {
    const { listId, listName, begins } = this.replica.state;
    const { open } = await this.server.door();
    if (open) return this.server.enter(me);
    const list = begins ?? { id: listId!, name: listName };
    return this.server.begin(list, me);
  }

  private async goOut(why: 'signed-out' | 'forgotten' | 'deleted'): Promise<void> {
    await this.replica.leave(why);
    this.tell({ type: 'moved' });
    this.onMoved();
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
  private async moveOn(me: NewDevice, which: 'waiting' | 'all', enter: () => Promise<Welcome>): Promise<void> {
    const { replica } = this;
    let welcome: Welcome;
    try {
      welcome = await enter();
    } catch (error) {
      if (isRefusal(error) && error.slug === 'list-known') return this.goOut('forgotten');
      throw error;
    }
    await goOnAs(replica, me, welcome, which, (from) => this.server.pull(me.id, from));
    this.tell({ type: 'moved' });
    this.onMoved();
  }
}
