/** For tests: a server without a port, on a database of its own, and devices that talk to it. */
import { randomBytes } from 'node:crypto';
import { mkdtempSync, readdirSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

import type { RecordType } from '@yellow-latch/core/model';
import {
  draftChange,
  makeClock,
  PageSchema,
  type Change,
  type FieldChanges,
  type Page,
  type StoredRecord,
} from '@yellow-latch/core/sync';
import { pino } from 'pino';
import request, { type Response } from 'supertest';
import { v7 as uuid } from 'uuid';

import { createApp, type App, type AppOptions } from './app';
import { openDatabase, type Database } from './database';
import { Presence } from './devices';
import { Erasure } from './erasure';
import { Intake } from './intake';
import { setLog } from './log';
import { lists } from './schema';
import { Streams } from './stream';

export const NOW = Date.UTC(2026, 10, 24, 9);

export interface TestServer {
  app: App;
  db: Database;
  data: string;
  listId: string;
  streams: Streams;
  /** Wall time of the server; tests may set it. */
  clock: { now: number };
  end(): void;
}

/** A server that takes every device into its one list, unless `options` say otherwise. */
export function testServer(
  data = mkdtempSync(join(tmpdir(), 'yellow-latch-test-')),
  { quota, ...options }: Partial<AppOptions> & { quota?: number } = {},
): TestServer {
  const db = openDatabase(data);
  // No test pulls the plug on this one, so none waits for the disk.
  db.$client.pragma('synchronous = OFF');
  let listId = db.select().from(lists).get()?.id;
  if (!listId) {
    listId = uuid();
    db.insert(lists).values({ id: listId, name: 'Test list', createdAt: NOW }).run();
  }
  const erasure = new Erasure(db);
  const streams = new Streams(db, erasure);
  const clock = { now: NOW };
  const app = createApp({
    db,
    streams,
    presence: new Presence(db),
    erasure,
    intake: new Intake(db, erasure, quota),
    now: () => clock.now,
    hosts: () => ['127.0.0.1'],
    state: { data, readOnly: null, isStopping: false },
    openList: listId,
    ...options,
  });
  return {
    app,
    db,
    data,
    listId,
    streams,
    clock,
    end() {
      db.$client.close();
      rmSync(data, { recursive: true, force: true });
    },
  };
}

/** Listens for what goes wrong in the server's log until `end`: its lines, as JSON. */
export function listenToLog(): { lines: string[]; end(): void } {
  const lines: string[] = [];
  setLog(pino({ level: 'warn' }, { write: (line) => void lines.push(line) }));
  return { lines, end: () => setLog(pino({ level: 'silent' })) };
}

/** The last part of the type of the problem that an answer tells, or its status where it tells none. */
export function problemOf({ status, text }: Response): string | number {
  return status < 400 ? status : (JSON.parse(text) as { type: string }).type.split('/').at(-1)!;
}

/** A secret as devices choose one. */
export function newSecret(): string {
  return randomBytes(32).toString('base64url');
}

/** Whether some text is in any file of a folder, as it is or within other bytes. */
export function filesWith(folder: string, text: string): string[] {
  return readdirSync(folder).filter((name) => readFileSync(join(folder, name)).includes(text));
}

export const WHOLE = {
  code: ';ws',
  content: { expansion: 'Workshop', template: false, format: 'plain' as const },
  kind: 'address' as const,
  setId: null,
};

/** A device that has joined, with its cookie and its numbers. */
export class TestDevice {
  n = 0;

  private constructor(
    private readonly app: App,
    readonly id: string,
    readonly cookie: string,
  ) {}

  /** Through the open door. */
  static async join(app: App, id = uuid(), secret?: string): Promise<TestDevice> {
    return TestDevice.welcomed(
      app,
      id,
      await request(app).post('/api/devices').send({ id, name: 'Phone', kind: 'phone', secret }).expect(201),
    );
  }

  /** As the first device of a list of its own. */
  static async begin(app: App, listId = uuid(), id = uuid(), secret?: string): Promise<TestDevice> {
    const body = { list: { id: listId, name: 'A list' }, device: { id, name: 'First', kind: 'computer', secret } };
    return TestDevice.welcomed(app, id, await request(app).post('/api/lists').send(body).expect(201));
  }

  /** By a code from this device. */
  async letIn(name = 'Second', id = uuid()): Promise<TestDevice> {
    const { code } = (await this.post(`/api/d/${this.id}/invitations`, {})).body as { code: string };
    const answer = await request(this.app)
      .post('/api/joins')
      .send({ code, device: { id, name, kind: 'tablet' } });
    return TestDevice.welcomed(this.app, id, answer);
  }

  static welcomed(app: App, id: string, answer: Response): TestDevice {
    return new TestDevice(app, id, answer.headers['set-cookie']![0]!.split(';')[0]!);
  }

  /** The path of what is this device's own. */
  at(path: string): string {
    return `/api/d/${this.id}${path}`;
  }

  /** A request as this device. */
  ask(method: 'get' | 'post' | 'patch' | 'delete', path: string) {
    return request(this.app)[method](path).set('Cookie', this.cookie);
  }

  /** A change of its own, numbered on from its last. */
  change(fields: FieldChanges<'shortcut'> = WHOLE, recordId = uuid(), known?: StoredRecord, time = NOW): Change {
    this.n += 1;
    const stamp = { id: uuid(), clock: makeClock(time, this.n, this.id), device: this.id, n: this.n };
    return draftChange({ type: 'shortcut', id: recordId }, known, fields, stamp);
  }

  /** A change to a record of any type. */
  write<T extends RecordType>(type: T, fields: FieldChanges<T>, recordId = uuid(), known?: StoredRecord): Change {
    this.n += 1;
    const stamp = { id: uuid(), clock: makeClock(NOW, this.n, this.id), device: this.id, n: this.n };
    return draftChange({ type, id: recordId }, known, fields, stamp);
  }

  push(changes: unknown[]): Promise<Response> {
    return this.post(this.at('/changes'), { changes });
  }

  async post(path: string, body: object): Promise<Response> {
    return request(this.app).post(path).set('Cookie', this.cookie).send(body);
  }

  async get(path: string): Promise<Response> {
    return request(this.app).get(path).set('Cookie', this.cookie);
  }

  async pages(since = 0, limit = 1_000): Promise<Page> {
    const answer = await this.get(`/api/d/${this.id}/pages?since=${since}&limit=${limit}`);
    return PageSchema.parse(answer.body);
  }
}
