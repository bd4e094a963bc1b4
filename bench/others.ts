/** What one person does to a server that others use: a costly body, thousands of open streams, long reads. */
import type { IncomingMessage } from 'node:http';

import type { Change } from '@yellow-latch/core/sync';

import { v7 as uuid } from 'uuid';

import { Stand } from '../e2e/stand';
import { median, percentile, round, type Figure } from './measure';
import { Lean, Wire } from './server';

/** The largest text that is taken of characters that are hard to count, each more than one code unit or joined with its neighbours. */
const HARD: Record<string, string> = {
  emoji: '😀',
  flags: '🇩🇪',
  families: '👨‍👩‍👧',
  Thai: 'กำ',
  Devanagari: 'क्षि',
  'marked letters': 'e\u0301',
  Jamo: '\u1100\u1161',
  Cyrillic: 'Ж',
};
const BODY = 900_000;
const LARGEST_TEXT = 95_000;
const BODIES = 8;

/** Processor time that the server takes for each 100 kB of a push, of the texts that cost it most. */
export async function requestCost(): Promise<Figure[]> {
  const stand = await Stand.start('closed');
  try {
    const costs = new Map<string, number>();
    for (const [name, cluster] of Object.entries({ plain: 'a', ...HARD }))
      costs.set(name, await costOf(stand, cluster));
    const plain = costs.get('plain')!;
    costs.delete('plain');
    const [worst, cost] = [...costs].reduce((a, b) => (b[1] > a[1] ? b : a));
    return [
      {
        name: 'request-cost',
        what: `processor time of the server for 100 kB of a push, the worst of ${costs.size} scripts (${worst})`,
        ours: round(cost),
        peer: `${round(plain)} ms, as much of plain letters`,
        ratio: round(cost / plain),
        unit: 'ms',
        bar: '≤ 50 ms',
        holds: cost <= 50,
      },
    ];
  } finally {
    await stand.end();
  }
}

/** ms of processor time for 100 kB, median of several bodies after one to warm up. Each goes into a list of its own. */
async function costOf(stand: Stand, cluster: string): Promise<number> {
  const device = await Lean.begin(stand.address);
  const expansion = cluster.repeat(Math.min(19_000, Math.floor(LARGEST_TEXT / Buffer.byteLength(cluster))));
  const times: number[] = [];
  for (let body = 0; body <= BODIES; body += 1) {
    const changes: Change[] = [];
    while (Buffer.byteLength(JSON.stringify(changes)) + Buffer.byteLength(expansion) < BODY)
      changes.push(device.change(`;${body}-${changes.length}`, expansion));
    const before = stand.used.cpu;
    await device.post('/changes', { changes });
    const size = Buffer.byteLength(JSON.stringify(changes)) / 100_000;
    if (body > 0) times.push((stand.used.cpu - before) / size);
  }
  device.wire.end();
  return times.reduce((sum, time) => sum + time, 0) / times.length;
}

const STREAMS = 10_000;
const STREAMS_OF_ONE = 3;
const DEVICES_OF_LIST = 850;
const WRITERS = 20;
const EACH = 100;

/** Pushes a second into one list while ten thousand streams of others are open, beside as many without. */
export async function streamsPush(): Promise<Figure[]> {
  const stand = await Stand.start('closed');
  const open: IncomingMessage[] = [];
  try {
    const first = await Lean.begin(stand.address);
    const writers: Lean[] = [];
    for (let writer = 0; writer < WRITERS; writer += 1) writers.push(await first.letIn());
    let turn = 0;
    const pushesASecond = async () => {
      turn += 1;
      // A connection that nobody uses for long is closed.
      const wires = await Promise.all(writers.map(() => Wire.to(stand.address)));
      const requests = writers.map((writer, index) =>
        Array.from({ length: EACH }, (_, made) => writer.written(writer.change(`;${turn}-${index}-${made}`))),
      );
      const start = performance.now();
      await Promise.all(
        requests.map(async (own, index) => {
          for (const request of own) await wires[index]!.send(request);
        }),
      );
      const took = performance.now() - start;
      for (const wire of wires) wire.end();
      return (WRITERS * EACH * 1_000) / took;
    };
    const rates = async () => {
      await pushesASecond();
      return median([await pushesASecond(), await pushesASecond(), await pushesASecond()]);
    };
    const before = await rates();
    const others: Lean[] = [];
    while (others.length * STREAMS_OF_ONE < STREAMS) {
      const owner = await Lean.begin(stand.address);
      for (let device = 0; device < DEVICES_OF_LIST; device += 1) others.push(await owner.letIn());
      owner.wire.end();
    }
    for (const device of others) {
      for (let stream = 0; stream < STREAMS_OF_ONE && open.length < STREAMS; stream += 1)
        open.push(await device.follow(0, () => {}));
    }
    const crowded = await rates();
    const { memory } = stand.used;
    for (const stream of open.splice(0)) stream.destroy();
    const after = await rates();
    first.wire.end();
    const alone = (before + after) / 2;
    return [
      {
        name: 'streams-push',
        what: `changes accepted one by one from ${WRITERS} devices while ${STREAMS.toLocaleString('en')} streams of other lists are open (${Math.round(memory / 1_000_000)} MB in all)`,
        ours: round(crowded, 3),
        peer: `${round(before, 3)} and ${round(after, 3)} a second, without them, before and after`,
        ratio: round(crowded / alone),
        unit: 'a second',
        bar: '≥ 0.7 ×',
        holds: crowded / alone >= 0.7,
      },
    ];
  } finally {
    for (const stream of open) stream.destroy();
    await stand.end();
  }
}

const LONG_LIST = 50_000;
const LARGEST_PUSH = 200;
const PUSHES = 400;
const READERS = 4;

/** How much longer a push into one list takes while devices of a long one read and write all they can. */
export async function pushWait(): Promise<Figure[]> {
  const stand = await Stand.start('closed');
  try {
    const owner = await Lean.begin(stand.address);
    const many = () => ({
      changes: Array.from({ length: LARGEST_PUSH }, (_, made) =>
        owner.change(`;${made}-${Math.random()}`.slice(0, 20)),
      ),
    });
    for (let made = 0; made < LONG_LIST - LARGEST_PUSH; made += LARGEST_PUSH) await owner.post('/changes', many());
    const readers: Lean[] = [];
    for (let reader = 0; reader < READERS; reader += 1) readers.push(await owner.letIn());
    const other = await Lean.begin(stand.address);

    const pushTimes = async () => {
      const times: number[] = [];
      for (let push = 0; push < PUSHES; push += 1) {
        const request = other.written(other.change(`;${push}-${Math.random()}`.slice(0, 20)));
        const start = performance.now();
        await other.wire.send(request);
        times.push(performance.now() - start);
      }
      return times;
    };
    await pushTimes();
    const alone = await pushTimes();
    let isOver = false;
    const busy = readers.map(async (reader, index) => {
      for (let round_ = index; !isOver; round_ += 1) {
        const paths = [
          '/pages?since=0',
          '/history',
          '/history?deleted=1',
          '/devices',
          '/history?limit=500',
          '/pages?since=25000',
        ];
        await reader.get(paths[round_ % paths.length]!);
      }
    });
    const writes = (async () => {
      const wire = await Wire.to(stand.address);
      // Always the same one: the list is full.
      const edited = uuid();
      while (!isOver) await wire.send(owner.written(owner.change(';edited', undefined, edited)));
      wire.end();
    })();
    const crowded = await pushTimes();
    isOver = true;
    await Promise.all([...busy, writes]);
    for (const { wire } of [owner, other]) wire.end();
    const [ours, peer] = [percentile(crowded, 95), percentile(alone, 95)];
    return [
      {
        name: 'push-wait',
        what: `a push into one list while ${READERS} devices of another, of ${LONG_LIST.toLocaleString('en')} shortcuts, read pages, history and devices without pause, p95`,
        ours: round(ours),
        peer: `${round(peer)} ms, with nobody else`,
        ratio: round(ours / peer),
        unit: 'ms',
        bar: '≤ 50 ms more',
        holds: ours - peer <= 50,
      },
    ];
  } finally {
    await stand.end();
  }
}
