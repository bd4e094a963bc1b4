/** The server under many devices: changes taken one by one, and told to many streams. */
import { mkdtempSync, rmSync } from 'node:fs';
import { Agent, createServer, get, request, type IncomingMessage, type Server, type ServerResponse } from 'node:http';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

import { draftChange, makeClock, type Change } from '@yellow-latch/core/sync';
import SQLite from 'better-sqlite3';
import { v7 as uuid } from 'uuid';

import { Stand } from '../e2e/stand';
import { percentile, round, type Figure } from './measure';

const WRITERS = 20;
const EACH = 150;
const STREAMS = 500;
const PUSHES = 40;

/** A device as lean as can be, so that what is measured is the server. */
class Lean {
  readonly id = uuid();
  private cookie = '';
  private n = 0;

  constructor(
    private readonly address: string,
    private readonly agent: Agent,
  ) {}

  async join(): Promise<this> {
    const answer = await this.post('/api/devices', { id: this.id, name: 'Writer', kind: 'phone' });
    this.cookie = answer.headers['set-cookie']![0]!.split(';')[0]!;
    return this;
  }

  change(code: string): Change {
    this.n += 1;
    const content = { expansion: `What ${code} gives, as a line of text that people write`, template: false, format: 'plain' as const };
    const stamp = { id: uuid(), clock: makeClock(Date.now(), this.n, this.id), device: this.id, n: this.n };
    return draftChange({ type: 'shortcut', id: uuid() }, undefined, { code, content, kind: 'message', setId: null }, stamp);
  }

  async push(change: Change, since: number): Promise<void> {
    await this.post(`/api/d/${this.id}/changes?since=${since}`, { changes: [change] });
  }

  /** Opens a stream; `onPage` is called for every page that comes. */
  follow(since: number, onPage: () => void): Promise<IncomingMessage> {
    return followed(`${this.address}/api/d/${this.id}/stream?since=${since}`, onPage, this.cookie);
  }

  private post(path: string, body: object): Promise<IncomingMessage> {
    const text = JSON.stringify(body);
    return new Promise((resolve, reject) => {
      const headers = { 'Content-Type': 'application/json', 'Content-Length': Buffer.byteLength(text), Cookie: this.cookie };
      request(this.address + path, { method: 'POST', agent: this.agent, headers }, (answer) => {
        answer.resume().on('end', () => (answer.statusCode! < 300 ? resolve(answer) : reject(new Error(`${path}: ${answer.statusCode}`))));
      })
        .on('error', reject)
        .end(text);
    });
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

/** Changes taken one by one from twenty devices, beside what SQLite alone commits one by one of the same. */
export async function commits(): Promise<Figure[]> {
  const stand = await Stand.start('empty');
  const folder = mkdtempSync(join(tmpdir(), 'yellow-latch-bench-'));
  try {
    const agent = new Agent({ keepAlive: true, maxSockets: WRITERS });
    const writers = await Promise.all(Array.from({ length: WRITERS }, () => new Lean(stand.address, agent).join()));
    const bodies: Change[] = [];
    const write = async (writer: Lean, count: number, at: number) => {
      for (let made = 0; made < count; made += 1) {
        const change = writer.change(`;${at}-${made}`);
        bodies.push(change);
        // As a device in step: its answer holds what came since.
        await writer.push(change, Math.max(0, bodies.length - WRITERS));
      }
    };
    await Promise.all(writers.map((writer, index) => write(writer, 20, 1_000 + index)));
    bodies.length = 0;
    const start = performance.now();
    const before = 20 * WRITERS;
    await Promise.all(
      writers.map(async (writer, index) => {
        for (let made = 0; made < EACH; made += 1) {
          const change = writer.change(`;${index}-${made}`);
          bodies.push(change);
          await writer.push(change, before + Math.max(0, bodies.length - WRITERS));
        }
      }),
    );
    const ours = (WRITERS * EACH * 1_000) / (performance.now() - start);
    agent.destroy();

    const db = new SQLite(join(folder, 'alone.sqlite'));
    db.pragma('journal_mode = WAL');
    db.pragma('synchronous = FULL');
    db.exec('CREATE TABLE changes (number INTEGER PRIMARY KEY, body TEXT); CREATE TABLE records (id TEXT PRIMARY KEY, body TEXT)');
    const log = db.prepare('INSERT INTO changes (body) VALUES (?)');
    const keep = db.prepare('INSERT OR REPLACE INTO records VALUES (?, ?)');
    const texts = bodies.map((change) => JSON.stringify(change));
    const begun = performance.now();
    texts.forEach((text, index) =>
      db.transaction(() => {
        log.run(text);
        keep.run(bodies[index]!.record.id, text);
      })(),
    );
    const alone = (texts.length * 1_000) / (performance.now() - begun);
    db.close();
    const ratio = ours / alone;
    return [
      {
        name: 'commits',
        what: `changes taken one by one from ${WRITERS} devices over HTTP, each durable before it is answered`,
        ours: round(ours, 3),
        peer: `${round(alone, 3)} a second, SQLite alone`,
        ratio: round(ratio),
        unit: 'a second',
        bar: '≥ 0.5 ×',
        holds: ratio >= 0.5,
      },
    ];
  } finally {
    await stand.end();
    rmSync(folder, { recursive: true, force: true });
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
    const agent = new Agent({ keepAlive: true });
    const writer = await new Lean(stand.address, agent).join();
    const arrivals = new Arrivals();
    const begun = arrivals.expect(STREAMS);
    for (let index = 0; index < STREAMS; index += 1) {
      open.push(await (await new Lean(stand.address, agent).join()).follow(0, arrivals.arrive));
    }
    await begun;
    const ours: number[] = [];
    for (let push = 0; push < PUSHES; push += 1) {
      const all = arrivals.expect(STREAMS);
      const start = performance.now();
      await Promise.all([all, writer.push(writer.change(`;p${push}`), push)]);
      if (push > 2) ours.push(performance.now() - start);
    }
    agent.destroy();

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
