/** A database as the version before left it (made by that version): brought up to date, with nothing lost. */
import { copyFileSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

import { MODEL_VERSION } from '@yellow-latch/core/model';
import { asShortcut, PageSchema, type Page } from '@yellow-latch/core/sync';

import { openDatabase, type Database } from './database';
import { deviceNow } from './devices';
import { readHistory } from './history';
import { readPage } from './reading';
import { changeGroups, changes, devices, lists, records, UNKNOWN_SET } from './schema';

let folder: string;
let db: Database;
beforeAll(() => {
  folder = mkdtempSync(join(tmpdir(), 'yellow-latch-old-'));
  copyFileSync(join(__dirname, '../fixtures/before-0002.sqlite'), join(folder, 'yellow-latch.sqlite'));
  db = openDatabase(folder);
});
afterAll(() => {
  db.$client.close();
  rmSync(folder, { recursive: true });
});

const device = () => deviceNow(db, db.select().from(devices).get()!.id);
const page = (): Page =>
  PageSchema.parse(JSON.parse(readPage(db, null, device(), { since: 0, limit: 100, model: MODEL_VERSION }).json));

test('every record is there, with its set and what it is about', () => {
  const set = db
    .select()
    .from(records)
    .all()
    .find(({ type }) => type === 'set')!;
  const shortcut = page().records.find((record) => record.type === 'shortcut' && asShortcut(record).code === ';a2')!;
  const rows = db
    .select()
    .from(records)
    .all()
    .map(({ type, setId, refersTo, isDeleted }) => [type, setId, refersTo, isDeleted]);
  expect(rows).toEqual([
    ['set', set.id, null, false],
    ['shortcut', null, null, false],
    ['leftFinding', null, shortcut.id, false],
    ['convention', set.id, null, false],
    ['convention', null, null, false],
    ['shortcut', set.id, null, false],
    ['shortcut', null, null, true],
  ]);
});

test('the log is whole; its groups and deletions are known, its sets are not', () => {
  const log = db.select().from(changes).all();
  expect(log.map(({ number, deletes }) => [number, deletes])).toEqual(
    Array.from({ length: 9 }, (_, index) => [index + 1, index === 8]),
  );
  expect(new Set(log.flatMap(({ setId, setBefore }) => [setId, setBefore]))).toEqual(new Set([UNKNOWN_SET]));
  expect(db.select().from(changeGroups).all()).toMatchObject([
    { first: 2, last: 3, size: 2, shortcuts: 2, deletes: 0 },
  ]);
  expect(readHistory(db, device(), { limit: 50, model: MODEL_VERSION }).changes).toHaveLength(9);
  // What was not noted is shown to nobody who gets some sets.
  expect(
    readHistory(db, { ...device(), subscribedSets: '[null]' }, { limit: 50, model: MODEL_VERSION }).changes.every(
      ({ record }) => record.type === 'list',
    ),
  ).toBe(true);
});

test('its size is counted', () => {
  const bytes = [
    ...db
      .select()
      .from(records)
      .all()
      .map(({ body }) => body),
    ...db
      .select()
      .from(changes)
      .all()
      .flatMap(({ body, before }) => [body, before ?? '']),
  ];
  expect(db.select().from(lists).get()!.bytes).toBe(bytes.reduce((sum, text) => sum + Buffer.byteLength(text), 0));
});

test('a database from before the renames of November 2026: what each device gets, may do and has sent', () => {
  const data = mkdtempSync(join(tmpdir(), 'yellow-latch-old-'));
  copyFileSync(join(__dirname, '../fixtures/before-renames.sqlite'), join(data, 'yellow-latch.sqlite'));
  const old = openDatabase(data);
  const pages = old
    .select()
    .from(devices)
    .all()
    .map(({ id }) => {
      const { json } = readPage(old, null, deviceNow(old, id), { since: 0, limit: 100, model: MODEL_VERSION });
      return PageSchema.parse(JSON.parse(json));
    });
  const set = pages[0]!.records.find(({ type }) => type === 'set')!;
  expect(pages.map(({ may, subscribedSets, acknowledged }) => [may, subscribedSets, acknowledged])).toEqual([
    ['edit', null, 3],
    ['use', [null, set.id], 0],
  ]);
  expect(pages.map(({ records: all }) => all.map(({ type }) => type))).toEqual([
    ['set', 'shortcut', 'leftFinding'],
    ['set', 'shortcut', 'leftFinding'],
  ]);
  expect(
    readHistory(old, deviceNow(old, old.select().from(devices).get()!.id), { limit: 50, model: MODEL_VERSION }).changes,
  ).toHaveLength(3);
  old.$client.close();
  rmSync(data, { recursive: true });
});
