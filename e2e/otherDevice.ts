/** A device of the list that is no browser: it joins and sends changes as any other does. */
import {
  LIST_RECORD_ID,
  MODEL_VERSION,
  type DeviceFields,
  type DeviceKind,
  type ListFields,
  type ShortcutFields,
} from '@yellow-latch/core/model';
import {
  currentFields,
  draftChange,
  HistorySchema,
  isDeleted,
  LARGEST_PUSH,
  makeClock,
  PageSchema,
  PushAnswerSchema,
  type Change,
  type FieldChanges,
  type StoredRecord,
} from '@yellow-latch/core/sync';
import { v7 as uuid } from 'uuid';

export type Pair = readonly [code: string, expansion: string, more?: Partial<ShortcutFields>];

export class OtherDevice {
  private n = 0;

  private constructor(
    private readonly address: string,
    private readonly id: string,
    private readonly cookie: string,
  ) {}

  static async join(address: string, name = 'Workshop tablet', kind: DeviceKind = 'tablet'): Promise<OtherDevice> {
    const id = uuid();
    const answer = await fetch(`${address}/api/devices`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ id, name, kind }),
    });
    return new OtherDevice(address, id, answer.headers.getSetCookie()[0]!.split(';')[0]!);
  }

  /** Makes shortcuts, in their order of age. */
  async make(...pairs: readonly Pair[]): Promise<void> {
    await this.send(
      pairs.map(([code, expansion, more]) => {
        const content = { expansion, template: false, format: 'plain' as const };
        return this.draft('shortcut', uuid(), {
          code,
          content,
          kind: 'message',
          setId: null,
          rules: {},
          usesAWeek: null,
          former: null,
          pinned: null,
          note: '',
          language: null,
          ...more,
        });
      }),
    );
  }

  /** Chooses for the list, as a version of the app did before devices were records. */
  async choose(fields: Pick<ListFields, 'languages' | 'devices'> & Partial<ListFields>): Promise<void> {
    await this.send([this.draft('list', LIST_RECORD_ID, { keyboards: [], ...fields })]);
  }

  /** Adds devices that are typed on, one with each of these places. */
  async typeOn(...places: readonly string[]): Promise<void> {
    const fields = (profile: string): DeviceFields => ({
      name: profile,
      kind: profile.startsWith('phone') ? 'phone' : 'computer',
      joined: null,
      places: [{ profile, answers: {} }],
      keyboards: [],
      share: 1,
    });
    await this.send(places.map((profile) => this.draft('device', uuid(), fields(profile))));
  }

  /** Takes a device off the list. */
  async removeDevice(name: string): Promise<void> {
    const record = (await this.records()).find(
      ({ type, fields }) => type === 'device' && fields.name?.[0]?.value === name,
    )!;
    this.n += 1;
    const stamp = { id: uuid(), clock: makeClock(Date.now(), this.n, this.id), device: this.id, n: this.n };
    await this.send([draftChange({ type: 'device', id: record.id }, record, { deleted: true }, stamp)]);
  }

  /** Deletes the shortcut with a code. */
  async remove(code: string): Promise<void> {
    await this.edit(await this.recordOf(code), { deleted: true });
  }

  /** Writes fields of a shortcut of which it has seen what `seen` holds, and nothing that came later. */
  async edit(seen: StoredRecord, fields: FieldChanges<'shortcut'>): Promise<void> {
    this.n += 1;
    const stamp = { id: uuid(), clock: makeClock(Date.now(), this.n, this.id), device: this.id, n: this.n };
    await this.send([draftChange({ type: 'shortcut', id: seen.id }, seen, fields, stamp)]);
  }

  /** The record of the shortcut with a code. */
  async recordOf(code: string): Promise<StoredRecord> {
    return (await this.records()).find(
      (record) =>
        record.type === 'shortcut' && currentFields(record as StoredRecord & { type: 'shortcut' }).code === code,
    )!;
  }

  /** Every shortcut of the list as it stands, in the order of their ids: all that a person has of them. */
  async shortcuts(): Promise<string> {
    const alive = (await this.records()).filter((record) => record.type === 'shortcut' && !isDeleted(record));
    const fields = alive.map(
      (record) => [record.id, currentFields(record as StoredRecord & { type: 'shortcut' })] as const,
    );
    return JSON.stringify(fields.sort(([a], [b]) => (a < b ? -1 : 1)));
  }

  /** Every text that a person wrote into the list: codes, what they give, notes, names. */
  async everyText(): Promise<string[]> {
    const texts = (value: unknown): string[] => {
      if (typeof value === 'string') return [value];
      return typeof value === 'object' && value !== null ? Object.values(value).flatMap(texts) : [];
    };
    return (await this.records()).flatMap(({ fields }) =>
      ['code', 'content', 'note', 'name', 'reason'].flatMap((field) =>
        texts((fields as Record<string, unknown>)[field]),
      ),
    );
  }

  /** How many records of a type there are. */
  async count(type: StoredRecord['type']): Promise<number> {
    return (await this.records()).filter((record) => record.type === type && !isDeleted(record)).length;
  }

  /** Takes in all there is, and lets the server know that it has. */
  async catchUp(): Promise<void> {
    let since = 0;
    await this.records((through) => (since = through));
    await fetch(`${this.address}/api/d/${this.id}/pages?since=${since}&model=${MODEL_VERSION}`, {
      headers: { cookie: this.cookie },
    });
  }

  private async records(onPage: (through: number) => void = () => {}): Promise<StoredRecord[]> {
    const records: StoredRecord[] = [];
    for (let since = 0; ;) {
      const answer = await fetch(`${this.address}/api/d/${this.id}/pages?since=${since}&model=${MODEL_VERSION}`, {
        headers: { cookie: this.cookie },
      });
      const page = PageSchema.parse(await answer.json());
      records.push(...page.records);
      since = page.through;
      onPage(since);
      if (!page.more) break;
    }
    return records;
  }

  /** A change of its own, numbered on from its last. */
  draft<T extends Change['record']['type']>(type: T, id: string, fields: FieldChanges<T>): Change {
    this.n += 1;
    const stamp = { id: uuid(), clock: makeClock(Date.now(), this.n, this.id), device: this.id, n: this.n };
    return draftChange({ type, id }, undefined, fields, stamp);
  }

  /** Sends changes; resolves when the server has them. */
  async send(changes: Change[]): Promise<void> {
    for (let at = 0; at < changes.length; at += LARGEST_PUSH) {
      const answer = await fetch(`${this.address}/api/d/${this.id}/changes`, {
        method: 'POST',
        headers: { 'content-type': 'application/json', cookie: this.cookie },
        body: JSON.stringify({ changes: changes.slice(at, at + LARGEST_PUSH) }),
      });
      if (!answer.ok) throw new Error(`a push of the other device was refused: ${await answer.text()}`);
      PushAnswerSchema.parse(await answer.json());
    }
  }

  /** The ids of all changes in the log of the list, as often as they are there. */
  async logged(): Promise<string[]> {
    const ids: string[] = [];
    for (let before: number | null = null; ;) {
      const query = `limit=500${before === null ? '' : `&before=${before}`}`;
      const answer = await fetch(`${this.address}/api/d/${this.id}/history?${query}`, {
        headers: { cookie: this.cookie },
      });
      const { changes, next } = HistorySchema.parse(await answer.json());
      ids.push(...changes.map(({ id }) => id));
      if (next === null) return ids;
      before = next;
    }
  }
}
