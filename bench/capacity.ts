/**
 * `npm run bench -- capacity`: what one server on this machine holds, as a curve from ten devices to where it bends. Each step is a server of its own:
 * devices in lists of five, every one with its stream open, fifty of them writing as fast as they are answered. The load comes from the same two cores.
 */
import { readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';

import { Stand } from '../e2e/stand';
import { Lean, Wire } from './server';
import { percentile, round } from './measure';

const STEPS = [10, 50, 250, 1_000, 2_500, 5_000];
const OF_A_LIST = 5;
const WRITERS = 50;
const LASTS = 5_000;
const SCALE = join(__dirname, '../docs/scale.md');

interface Row {
  devices: number;
  lists: number;
  /** Durable changes a second, and how long each took, in ms. */
  changes: number;
  p50: number;
  p95: number;
  /** Pages that arrived through streams, a second. */
  pages: number;
  /** Part of one core that the server used, in percent. */
  cpu: number;
  /** MB: before the first device, with all streams open, after the writing. */
  empty: number;
  idle: number;
  busy: number;
  /** Of the database and its log, kB a list, before the writing. */
  disk: number;
}

export async function capacity(): Promise<void> {
  const rows: Row[] = [];
  for (const devices of STEPS) {
    const row = await step(devices);
    rows.push(row);
    console.log(JSON.stringify(row));
  }
  writeFileSync(SCALE, withTable(readFileSync(SCALE, 'utf8'), rows));
}

async function step(count: number): Promise<Row> {
  // Lists are started from many addresses, as behind a proxy: one address may start twenty an hour.
  const stand = await Stand.start('closed', undefined, { YELLOW_LATCH_PUBLIC_URL: 'https://list.example' });
  const closing: (() => void)[] = [];
  try {
    const empty = stand.used.memory;
    const lists = Math.ceil(count / OF_A_LIST);
    const devices: Lean[] = [];
    const wires: Wire[] = [];
    for (let list = 0; list < lists; list += 1) {
      // One wire for ten lists, until they write.
      if (list % 10 === 0)
        wires.push(await Wire.to(stand.address, { 'X-Forwarded-For': `10.0.${list >> 8}.${(list & 255) + 1}` }));
      const wire = wires.at(-1)!;
      const first = await Lean.begin(stand.address, wire);
      devices.push(first);
      for (let more = 1; more < Math.min(OF_A_LIST, count - list * OF_A_LIST); more += 1)
        devices.push(await first.letIn());
    }
    let pages = 0;
    for (let at = 0; at < devices.length; at += 100)
      await Promise.all(
        devices.slice(at, at + 100).map(async (device) => {
          const stream = await device.follow(0, () => (pages += 1));
          closing.push(() => stream.destroy());
        }),
      );
    const disk = kilobytes(stand.data) / lists;
    const idle = stand.used.memory;

    const writers = devices
      .filter((_, index) => index % Math.max(1, Math.floor(devices.length / WRITERS)) === 0)
      .slice(0, WRITERS);
    const own = await Promise.all(writers.map(() => Wire.to(stand.address)));
    const took: number[] = [];
    const before = { ...stand.used, pages };
    const start = performance.now();
    const end = start + LASTS;
    await Promise.all(
      writers.map(async (writer, index) => {
        for (let made = 0; performance.now() < end; made += 1) {
          const request = writer.written(writer.change(`;${index}-${made}`));
          const asked = performance.now();
          await own[index]!.send(request);
          took.push(performance.now() - asked);
        }
      }),
    );
    const seconds = (performance.now() - start) / 1_000;
    const after = stand.used;
    for (const wire of [...own, ...wires]) wire.end();
    const megabytes = (bytes: number) => Math.round(bytes / 1_000_000);
    return {
      devices: devices.length,
      lists,
      changes: Math.round(took.length / seconds),
      p50: round(percentile(took, 50), 2),
      p95: round(percentile(took, 95), 2),
      pages: Math.round((pages - before.pages) / seconds),
      cpu: Math.round((after.cpu - before.cpu) / seconds / 10),
      empty: megabytes(empty),
      idle: megabytes(idle),
      busy: megabytes(after.memory),
      disk: Math.round(disk),
    };
  } finally {
    for (const close of closing) close();
    await stand.end();
  }
}

function kilobytes(folder: string): number {
  return readdirSync(folder).reduce((sum, name) => sum + statSync(join(folder, name)).size, 0) / 1_000;
}

const MARKS = ['<!-- measured -->', '<!-- /measured -->'] as const;

/** The page with its table made anew. */
function withTable(page: string, rows: readonly Row[]): string {
  const [before, rest] = page.split(MARKS[0]);
  const after = rest!.split(MARKS[1])[1]!;
  const cells = rows.map(({ devices, lists, changes, p50, p95, pages, cpu, empty, idle, busy, disk }) =>
    [
      devices,
      lists,
      changes,
      `${p50} / ${p95}`,
      pages,
      `${cpu} %`,
      `${empty} / ${idle} / ${busy}`,
      round(((idle - empty) * 1_000) / devices, 2),
      disk,
    ].join(' | '),
  );
  const table = [
    '| devices, streams open | lists | durable changes a second | a change, ms, p50 / p95 | pages delivered a second | of one core | memory, MB: empty / streams open / after writing | kB a stream | disk, kB a list |',
    '|---|---|---|---|---|---|---|---|---|',
    ...cells.map((row) => `| ${row} |`),
  ].join('\n');
  return `${before}${MARKS[0]}\n${table}\n${MARKS[1]}${after}`;
}
