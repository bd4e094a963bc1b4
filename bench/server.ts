/** The server under many devices: changes accepted one by one, and sent to many streams. */
import { mkdtempSync, readdirSync, readFileSync, rmSync } from 'node:fs';
import { Agent, createServer, get, type IncomingMessage, type Server, type ServerResponse } from 'node:http';
import { connect, type AddressInfo, type Socket } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

import { draftChange, makeClock, type Change } from '@yellow-latch/core/sync';
import SQLite from 'better-sqlite3';
import { v7 as uuid } from 'uuid';

import { Stand } from '../e2e/stand';
import { median, percentile, round, type Figure, ratioOf } from './measure';

const WRITERS = 20;
const EACH = 60;
const TURNS = 7;
const STREAMS = 500;
const PUSHES = 40;

/** A kept connection that asks one thing after the other, with as little work on this side as can be. */
export class Wire {
  private answer = '';
  private done: (answer: string) => void = () => {};

  private constructor(
    private readonly socket: Socket,
    /** More lines for the head of each request. */
    private readonly head: string,
  ) {
    socket.setNoDelay(true).setEncoding('latin1');
    socket.on('data', (chunk: string) => {
      this.answer += chunk;
      const head = this.answer.indexOf('\r\n\r\n');
      if (head < 0) return;
      const length = Number(/\r\ncontent-length: (\d+)/iu.exec(this.answer)?.[1]);
      if (this.answer.length < head + 4 + length) return;
      const { answer } = this;
      this.answer = '';
      this.done(answer);
    });
  }

  static async to(address: string, headers: Readonly<Record<string, string>> = {}): Promise<Wire> {
    const { hostname, port } = new URL(address);
    const socket = connect(Number(port), hostname);
    await new Promise((resolve) => socket.once('connect', resolve));
    const lines = Object.entries(headers).map(([name, value]) => `${name}: ${value}\r\n`);
    return new Wire(socket, lines.join(''));
  }

  async post(path: string, body: object, cookie: string): Promise<string> {
    return this.send(written(path, body, cookie, this.head));
  }

  /** Sends a request that is written already. */
  async send(request: string): Promise<string> {
    const answer = await new Promise<string>((resolve, reject) => {
      const lost = () => reject(new Error('the connection was closed'));
      this.socket.once('close', lost);
      this.done = (said) => {
        this.socket.off('close', lost);
        resolve(said);
      };
      this.socket.write(request);
    });
    if (!/^HTTP\/1.1 2/u.test(answer)) throw new Error(answer.slice(0, 300));
    return answer;
  }

  end(): void {
    this.socket.destroy();
  }
}

function written(path: string, body: object, cookie: string, more = ''): string {
  const text = JSON.stringify(body);
  return `POST ${path} HTTP/1.1\r\nHost: 127.0.0.1\r\nCookie: ${cookie}\r\nContent-Type: application/json\r\n${more}Content-Length: ${Buffer.byteLength(text)}\r\n\r\n${text}`;
}

/** A device as lean as can be, so that what is measured is the server. */
export class Lean {
  readonly id = uuid();
  private cookie = '';
  private n = 0;

  private constructor(
    private readonly address: string,
    readonly wire: Wire,
  ) {}

  /** Through the open door. */
  static async join(address: string, wire?: Wire): Promise<Lean> {
    return new Lean(address, wire ?? (await Wire.to(address))).enter('/api/devices', (device) => device);
  }

  /** As the first device of a list of its own. */
  static async begin(address: string, wire?: Wire): Promise<Lean> {
    return new Lean(address, wire ?? (await Wire.to(address))).enter('/api/lists', (device) => ({
      list: { id: uuid(), name: 'A list' },
      device,
    }));
  }

  /** By a code of this device's, on the same wire. */
  async letIn(): Promise<Lean> {
    const { code } = JSON.parse((await this.post('/invitations', {})).split('\r\n\r\n')[1]!) as { code: string };
    return new Lean(this.address, this.wire).enter('/api/joins', (device) => ({ code, device }));
  }

  private async enter(path: string, body: (device: object) => object): Promise<this> {
    const answer = await this.wire.post(path, body({ id: this.id, name: 'Writer', kind: 'phone' }), '');
    this.cookie = /set-cookie: ([^;]+)/iu.exec(answer)![1]!;
    return this;
  }

  post(path: string, body: object): Promise<string> {
    return this.wire.post(`/api/d/${this.id}${path}`, body, this.cookie);
  }

  /** Asks for something in a connection of its own. */
  async get(path: string): Promise<string> {
    return (await fetch(`${this.address}/api/d/${this.id}${path}`, { headers: { Cookie: this.cookie } })).text();
  }

  change(
    code: string,
    expansion = `What ${code} gives, as a line of text that people write`,
    recordId = uuid(),
  ): Change {
    this.n += 1;
    const content = { expansion, template: false, format: 'plain' as const };
    const stamp = { id: uuid(), clock: makeClock(Date.now(), this.n, this.id), device: this.id, n: this.n };
    return draftChange(
      { type: 'shortcut', id: recordId },
      undefined,
      { code, content, kind: 'message', setId: null },
      stamp,
    );
  }

  /** A push as it goes over the wire. */
  written(change: Change): string {
    return written(`/api/d/${this.id}/changes`, { changes: [change] }, this.cookie);
  }

  async push(change: Change): Promise<void> {
    await this.wire.send(this.written(change));
  }

  /** Opens a stream; `onPage` is called for every page that comes. */
  follow(since: number, onPage: () => void): Promise<IncomingMessage> {
    return followed(`${this.address}/api/d/${this.id}/stream?since=${since}`, onPage, this.cookie);
  }
}

function followed(address: string, onPage: () => void, cookie = ''): Promise<IncomingMessage> {
  return new Promise((resolve, reject) => {
    get(address, { headers: { Cookie: cookie }, agent: new Agent() }, (answer) => {
      answer.setEncoding('utf8').on('data', (chunk: string) => {
        for (let at = chunk.indexOf('event: page'); at >= 0; at = chunk.indexOf('event: page', at + 1)) onPage();
      });
      answer.on('error', () => {});
      resolve(answer);
    }).on('error', reject);
  });
}

const MIGRATIONS = join(__dirname, '../packages/server/migrations');

/** An empty database with the server's own tables and settings, and nothing else of it. */
function sameTables(folder: string): SQLite.Database {
  const db = new SQLite(join(folder, 'alone.sqlite'));
  for (const pragma of [
    'auto_vacuum = INCREMENTAL',
    'journal_mode = WAL',
    'synchronous = FULL',
    'foreign_keys = ON',
    'secure_delete = ON',
  ])
    db.pragma(pragma);
  for (const file of readdirSync(MIGRATIONS)
    .filter((name) => name.endsWith('.sql'))
    .sort())
    db.exec(readFileSync(join(MIGRATIONS, file), 'utf8'));
  return db;
}

/** Changes accepted one by one from twenty devices, beside what SQLite alone commits one by one of the same: in turns, since both wait for one disk. */
export async function commits(): Promise<Figure[]> {
  const stand = await Stand.start('empty');
  const folder = mkdtempSync(join(tmpdir(), 'yellow-latch-bench-'));
  try {
    const writers = await Promise.all(Array.from({ length: WRITERS }, () => Lean.join(stand.address)));
    const alone = new Alone(folder, writers);
    const [ours, peers]: [number[], number[]] = [[], []];
    for (let turn = 0; turn <= TURNS; turn += 1) {
      // What is sent is made before: that is no work of the server's.
      const changes = writers.map((writer, index) =>
        Array.from({ length: EACH }, (_, made) => writer.change(`;${turn}-${index}-${made}`)),
      );
      const requests = changes.map((own, index) => own.map((change) => writers[index]!.written(change)));
      const start = performance.now();
      await Promise.all(
        requests.map(async (own, index) => {
          for (const request of own) await writers[index]!.wire.send(request);
        }),
      );
      const between = performance.now();
      const { begun, over } = alone.commitAll(changes.flat());
      // The first turn warms both up.
      if (turn === 0) continue;
      ours.push((WRITERS * EACH * 1_000) / (between - start));
      peers.push((WRITERS * EACH * 1_000) / (over - begun));
    }
    for (const { wire } of writers) wire.end();
    const { ratio, spread } = ratioOf(ours, peers);
    return [
      {
        name: 'commits',
        what: `changes accepted one by one from ${WRITERS} devices over HTTP, each durable before it is answered`,
        ours: round(median(ours), 3),
        peer: `${round(median(peers), 3)} a second, SQLite alone into the same tables`,
        ratio,
        spread,
        unit: 'a second',
        bar: '≥ 0.6 ×',
        limit: 'SQLite alone: 1',
        holds: ratio >= 0.6,
      },
    ];
  } finally {
    await stand.end();
    rmSync(folder, { recursive: true, force: true });
  }
}

/** SQLite by itself: the same rows into the same tables, one commit each, by the statements that takes and no others. */
class Alone {
  private readonly db: SQLite.Database;
  private readonly commit: (text: string, change: Change) => void;
  private number = 0;

  constructor(folder: string, writers: readonly Lean[]) {
    const db = (this.db = sameTables(folder));
    db.prepare("INSERT INTO lists (id, name, createdAt) VALUES ('list', 'List', 0)").run();
    for (const { id } of writers)
      db.prepare(
        "INSERT INTO devices (id, listId, name, kind, tokenHash, createdAt) VALUES (?, 'list', 'Writer', 'phone', '', 0)",
      ).run(id);
    const log = db.prepare(
      "INSERT INTO changes (listId, number, id, deviceId, n, recordType, recordId, body, takenAt) VALUES ('list', ?, ?, ?, ?, ?, ?, ?, 0)",
    );
    const keep = db.prepare(
      "INSERT INTO records (listId, type, id, number, body) VALUES ('list', ?, ?, ?, ?) ON CONFLICT DO UPDATE SET number = excluded.number, body = excluded.body",
    );
    const advanceList = db.prepare("UPDATE lists SET lastNumber = ? WHERE id = 'list'");
    const advanceDevice = db.prepare('UPDATE devices SET lastN = ? WHERE id = ?');
    this.commit = db.transaction((text: string, { id, record, device, n }: Change) => {
      this.number += 1;
      log.run(this.number, id, device, n, record.type, record.id, text);
      keep.run(record.type, record.id, this.number, text);
      advanceList.run(this.number);
      advanceDevice.run(n, device);
    });
  }

  commitAll(changes: readonly Change[]): { begun: number; over: number } {
    const texts = changes.map((change) => JSON.stringify(change));
    const begun = performance.now();
    texts.forEach((text, index) => this.commit(text, changes[index]!));
    return { begun, over: performance.now() };
  }
}

/** Waits until every stream has had as many pages as it is to have. */
class Arrivals {
  private missing = 0;
  private done: () => void = () => {};

  expect(count: number): Promise<void> {
    this.missing = count;
    return new Promise((resolve) => (this.done = resolve));
  }

  readonly arrive = (): void => {
    this.missing -= 1;
    if (this.missing === 0) this.done();
  };
}

/** From a push to the moment at which the last of five hundred open streams has it, beside a bare server that writes the same to as many. */
export async function streams(): Promise<Figure[]> {
  const stand = await Stand.start('empty');
  const open: IncomingMessage[] = [];
  let bare: Server | null = null;
  try {
    const wire = await Wire.to(stand.address);
    const writer = await Lean.join(stand.address, wire);
    const arrivals = new Arrivals();
    const begun = arrivals.expect(STREAMS);
    for (let index = 0; index < STREAMS; index += 1) {
      open.push(await (await Lean.join(stand.address, wire)).follow(0, arrivals.arrive));
    }
    await begun;
    const ours: number[] = [];
    for (let push = 0; push < PUSHES; push += 1) {
      const all = arrivals.expect(STREAMS);
      const start = performance.now();
      await Promise.all([all, writer.push(writer.change(`;p${push}`))]);
      if (push > 2) ours.push(performance.now() - start);
    }
    wire.end();

    const responses: ServerResponse[] = [];
    bare = createServer((_request, response) => {
      response.writeHead(200, { 'Content-Type': 'text/event-stream' });
      response.write(':\n\n');
      responses.push(response);
    });
    await new Promise<void>((resolve) => bare!.listen(0, '127.0.0.1', resolve));
    const address = `http://127.0.0.1:${(bare.address() as AddressInfo).port}/`;
    for (let index = 0; index < STREAMS; index += 1) open.push(await followed(address, arrivals.arrive));
    const text = `event: page\nid: 1\ndata: ${'x'.repeat(900)}\n\n`;
    const plain: number[] = [];
    for (let push = 0; push < PUSHES; push += 1) {
      const all = arrivals.expect(STREAMS);
      const start = performance.now();
      for (const response of responses) response.write(text);
      await all;
      if (push > 2) plain.push(performance.now() - start);
    }
    const [p95, peer] = [percentile(ours, 95), percentile(plain, 95)];
    return [
      {
        name: 'streams',
        what: `from a push to the last of ${STREAMS} open streams, p95`,
        ours: round(p95),
        peer: `${round(peer)} ms, a bare server in the same process writing to as many`,
        ratio: round(p95 / peer),
        unit: 'ms',
        bar: '≤ 300 ms',
        holds: p95 <= 300,
      },
    ];
  } finally {
    for (const stream of open) stream.destroy();
    bare?.close();
    await stand.end();
  }
}
