/** The extension as a device of a list: its copy, and the sync that keeps it fresh as long as the browser lets it run. */
import type { FiredBy } from '@yellow-latch/core/fire';
import { evidenceOf } from '@yellow-latch/core/learn/firing';
import { checkCode, checkExpansion, inUseBy, RECORD_TYPES, type Shortcut } from '@yellow-latch/core/model';
import { openCurrentDevice } from '@yellow-latch/replica/storage/currentDevice';
import { Replica } from '@yellow-latch/replica/storage/replica';
import { learnFromEvidence } from '@yellow-latch/replica/commands/learning';
import { noteEvidence, withdrawEvidence } from '@yellow-latch/replica/storage/evidence';
import { countUse, usesToSend } from '@yellow-latch/replica/storage/uses';
import { enter } from '@yellow-latch/replica/sync/entering';
import { reachBy } from '@yellow-latch/replica/sync/reach';
import { isRefusal, server } from '@yellow-latch/replica/sync/server';
import { Sync } from '@yellow-latch/replica/sync/sync';
import { EventSource as StreamWithHeaders } from 'eventsource';

import type { NotSaved, Standing } from '../shared/messages';
import { keep, known, readKept } from './kept';

/** A code that expanded in a page: what of it was typed, and how long somebody hesitated over it (s; null: not known). */
interface Used {
  readonly by: FiredBy;
  readonly typed: string;
  readonly seconds: number | null;
  readonly isFormer: boolean;
}

interface Opened {
  readonly replica: Replica;
  readonly sync: Sync;
}

/** Uses are told to the other devices this long after the last one, in ms: not one by one. */
const USES_AFTER = 5_000;
/** A first copy is waited for so long, in ms. */
const FIRST_COPY = 8_000;

export class ListDevice {
  private opened: Promise<Opened | null> | null = null;
  private usesTimer: ReturnType<typeof setTimeout> | undefined;

  /** `onChange`: the list, or what the device is to it, is another than before. */
  constructor(private readonly onChange: () => void) {
    reachBy({
      get address() {
        return known().address;
      },
      asking: () => ({ credentials: 'omit', headers: bearer() }),
      openStream: (url) =>
        new StreamWithHeaders(url, {
          fetch: (input, init) =>
            fetch(input, { ...init, credentials: 'omit', headers: { ...init.headers, ...bearer() } }),
        }),
      onWelcome: ({ token }) => keep({ token: token ?? '' }),
    });
  }

  /** Opens the device's copy and follows its list, once; null: it has joined none. */
  open(): Promise<Opened | null> {
    this.opened ??= this.openNow().catch((error: unknown) => {
      // The next who asks tries again.
      this.opened = null;
      throw error;
    });
    return this.opened;
  }

  private async openNow(): Promise<Opened | null> {
    await readKept();
    const device = await openCurrentDevice();
    if (!device) return null;
    const replica = await Replica.open(device.db, device.state);
    const sync = new Sync(replica, server, () => this.reopen());
    replica.subscribe(() => this.onChange());
    sync.subscribe(() => {
      // Out of its list it has no token any more.
      if (sync.state.phase === 'out' && known().token !== '') void keep({ token: '' });
      this.onChange();
    });
    sync.start();
    return { replica, sync };
  }

  /** Goes on as what is noted now. */
  private reopen(): void {
    const before = this.opened;
    this.opened = null;
    void before?.then((opened) => {
      opened?.sync.stop();
      this.onChange();
    });
  }

  /** Joins a list. Resolves with what kept it from that: the server's problem by name, or `no-answer`; null: it is in. */
  async join(address: string, code: string, name: string): Promise<string | null> {
    await readKept();
    const before = known();
    await keep({ address, token: '' });
    try {
      const device = await openCurrentDevice();
      const entrance = code === '' ? ({ type: 'open' } as const) : ({ type: 'code', code } as const);
      const places = [{ profile: 'browser', answers: {} }];
      await enter(entrance, { name, kind: 'computer', places }, device);
    } catch (error) {
      await keep({ address: before.address, token: before.token });
      return isRefusal(error) ? error.slug : 'no-answer';
    }
    this.reopen();
    const opened = await this.open();
    if (opened) await firstCopy(opened.sync);
    return null;
  }

  /** Leaves the list; what it held of it is gone from here. */
  async leave(): Promise<void> {
    const opened = await this.open();
    if (!opened) return;
    const { id, out } = opened.replica.state;
    if (!out) {
      // Without the server it leaves all the same: its token is forgotten.
      await server.signOut(id, id).catch(() => undefined);
      await opened.replica.leave('left');
    }
    await keep({ token: '' });
    this.reopen();
  }

  async standing(): Promise<Standing> {
    const opened = await this.open();
    const none = { listName: '', address: known().address, count: 0, waiting: 0, mayOnlyUse: false };
    if (!opened) return { phase: 'none', ...none };
    const { replica, sync } = opened;
    const { phase, waiting, mayOnlyUse } = sync.state;
    if (phase === 'out') return { phase: 'out', ...none };
    return {
      phase: phase === 'in-step' ? 'synced' : 'away',
      listName: replica.state.listName,
      address: known().address,
      count: replica.read().shortcuts.length,
      waiting,
      mayOnlyUse,
    };
  }

  /** What expands; nothing for a device that is out. */
  async shortcuts(): Promise<readonly Shortcut[]> {
    const opened = await this.open();
    return opened && !opened.replica.state.out ? opened.replica.read().shortcuts : [];
  }

  async make(
    code: string,
    expansion: string,
  ): Promise<{ problem: NotSaved | null; other: string | null; id: string | null }> {
    const refuse = (problem: NotSaved, other: string | null = null) => ({ problem, other, id: null });
    const opened = await this.open();
    if (!opened || opened.replica.state.out) return refuse('not-joined');
    if (opened.replica.state.may === 'use') return refuse('only-use');
    if (checkExpansion(expansion) !== null) return refuse('text');
    if (checkCode(code) !== null) return refuse('code');
    const other = inUseBy(code, opened.replica.read().shortcuts, null);
    if (other) return refuse('in-use', other.code);
    const content = { expansion, template: false, format: 'plain' } as const;
    const kind = /^https?:\/\/\S+$/u.test(expansion) ? 'link' : 'message';
    const fields = { ...RECORD_TYPES.shortcut.defaults, code, content, kind, setId: null } as const;
    const [id] = await opened.replica.write([{ type: 'shortcut', fields }]);
    return { problem: null, other: null, id: id! };
  }

  async unmake(id: string): Promise<void> {
    const opened = await this.open();
    await opened?.replica.write([{ type: 'shortcut', id, fields: { deleted: true } }]);
  }

  /** Counts a use, and what it tells of how well its code is known; both travel a little later. Nothing else of what was typed is known here. */
  async countUse(id: string, { by, typed, seconds, isFormer }: Used): Promise<void> {
    const opened = await this.open();
    if (!opened) return;
    const { replica } = opened;
    await countUse(replica.db, id);
    const shortcut = replica.read().shortcuts.find((one) => one.id === id);
    const how = shortcut && evidenceOf({ type: 'fired', by, id, typed, expansion: '' }, shortcut.code, isFormer);
    if (how) await noteEvidence(replica.db, { shortcutId: id, how, at: replica.clock(), seconds });
    clearTimeout(this.usesTimer);
    this.usesTimer = setTimeout(() => {
      void usesToSend(replica)
        .then((writes) => (writes.length > 0 ? replica.write(writes) : undefined))
        .then(() => learnFromEvidence(replica));
    }, USES_AFTER);
  }

  /** What expanded was not meant: it tells nothing of its code. */
  async takeBack(id: string): Promise<void> {
    const opened = await this.open();
    if (opened) await withdrawEvidence(opened.replica.db, id);
  }
}

/** Resolves when the list is here, or after a while without: it then comes by itself. */
function firstCopy(sync: Sync): Promise<void> {
  return new Promise((resolve) => {
    const ended = () => sync.state.phase !== 'starting' && end();
    const ignore = sync.subscribe(ended);
    const timer = setTimeout(() => end(), FIRST_COPY);
    const end = () => {
      clearTimeout(timer);
      ignore();
      resolve();
    };
    ended();
  });
}

function bearer(): Record<string, string> {
  const { token } = known();
  return token === '' ? {} : { Authorization: `Bearer ${token}` };
}
