/** @jest-environment node */
import { makeShortcut } from '@yellow-latch/core/model/testing';
import { createDecipheriv, pbkdf2Sync } from 'node:crypto';

import type { Shortcut } from '@yellow-latch/core/model';

import { ExchangeWorkerApi } from './workerApi';
import { seal, unseal } from './sealed';

const shortcut = (code: string, expansion: string, more: Partial<Shortcut> = {}) =>
  makeShortcut(code, expansion, {
    id: `01930000-0000-7000-8000-${String(code.codePointAt(1)).padStart(12, '0')}`,
    ...more,
  });
const NOTHING = { shortcuts: [], sets: [] };
const REST = {
  list: null,
  conventions: [],
  keyboards: [],
  leftFindings: [],
  devices: [],
  leftOut: [],
  carried: [],
  learners: [],
  learning: [],
};

// So many rounds take a while on a busy machine.
jest.setTimeout(60_000);

describe('sealing', () => {
  test('what was sealed opens with its passphrase, however a keyboard composes it, and with no other', async () => {
    const sealed = await seal('[secret]', 1, 'caf\u00e9 under the lid');
    expect(sealed).toMatchObject({ count: 1, kdf: 'PBKDF2', hash: 'SHA-256', iterations: 600_000, cipher: 'AES-GCM' });
    expect(JSON.stringify(sealed)).not.toContain('secret');
    expect(await unseal(sealed, 'cafe\u0301 under the lid')).toBe('[secret]');
    expect(await unseal(sealed, 'Cafe under the lid')).toBeNull();
    expect(
      await unseal(
        { ...sealed, data: sealed.data.replace(/^./, (sign) => (sign === 'A' ? 'B' : 'A')) },
        'caf\u00e9 under the lid',
      ),
    ).toBeNull();
  });

  test('twice the same is never the same', async () => {
    const [a, b] = await Promise.all([seal('x', 1, 'ten characters'), seal('x', 1, 'ten characters')]);
    expect(a.salt === b.salt || a.iv === b.iv || a.data === b.data).toBe(false);
  });

  test('another program opens it with the parameters that stand in it (Node’s own crypto)', async () => {
    const { data, iv, salt, iterations } = await seal('for others too', 1, 'ten characters');
    const bytes = (text: string) => Buffer.from(text, 'base64');
    const key = pbkdf2Sync('ten characters', bytes(salt), iterations, 32, 'sha256');
    const sealed = bytes(data);
    const open = createDecipheriv('aes-256-gcm', key, bytes(iv)).setAuthTag(sealed.subarray(-16));
    expect(Buffer.concat([open.update(sealed.subarray(0, -16)), open.final()]).toString()).toBe('for others too');
  });
});

describe('the API', () => {
  const open = (text: string) => {
    const api = new ExchangeWorkerApi();
    api.open(new TextEncoder().encode(text));
    return api;
  };

  test('reads a file as it is, and as a person says', () => {
    const api = open(';a;one\n;b;two\n');
    expect(api.preview({}, NOTHING)).toMatchObject({ form: 'lines', rows: [{ status: 'new' }, { status: 'new' }] });
    expect(api.preview({ form: 'table', delimiter: ';', columns: [null, 'code', 'expansion'] }, NOTHING)).toMatchObject(
      { rows: [{ wanted: { fields: { code: 'a' } } }, { wanted: { fields: { code: 'b' } } }] },
    );
    expect(api.preview({ encoding: 'utf-16le' }, NOTHING)).toMatchObject({ encoding: 'utf-16le' });
  });

  test('gives pairs to a device’s own list, from each form that is carried', () => {
    const pairs = [{ code: ';a', text: 'one' }];
    expect(open('code,text\n;a,one\n').pairs()).toEqual({ pairs, unread: 0 });
    const list = { shortcuts: [shortcut(';a', 'one')], sets: [] };
    for (const form of ['csv', 'json', 'lines'] as const) {
      const text = new ExchangeWorkerApi().write(list, form, '2026-11-29T09:00:00.000Z');
      expect([form, open(text).pairs()]).toEqual([form, { pairs, unread: 0 }]);
    }
    expect(open('').pairs()).toEqual({ type: 'no-rows' });
  });

  test('says why there is no list in a file', () => {
    expect(open('').preview({}, NOTHING)).toEqual({ type: 'no-rows' });
    expect(open('code,expansion\n;a,b\0\n').preview({}, NOTHING)).toMatchObject({ type: 'binary' });
  });

  test('a backup holds private ones only sealed, and gives them for the passphrase', async () => {
    const all = { shortcuts: [shortcut(';a', 'shared'), shortcut(';p', 'my own number', { private: true })], sets: [] };
    const open1 = await new ExchangeWorkerApi().backup(all, REST, null, '2026-11-26T09:00:00.000Z');
    expect(JSON.parse(open1)).not.toHaveProperty('private');
    const text = await new ExchangeWorkerApi().backup(all, REST, 'a long passphrase', '2026-11-26T09:00:00.000Z');
    expect(text).not.toContain('my own number');
    const api = open(text);
    expect(api.preview({}, NOTHING)).toMatchObject({
      sealed: 1,
      rows: [{ status: 'new' }],
      made: '2026-11-26T09:00:00.000Z',
    });
    expect(await api.unseal('another passphrase')).toBe(false);
    expect(api.preview({}, NOTHING)).toMatchObject({ sealed: 1 });
    expect(await api.unseal('a long passphrase')).toBe(true);
    expect(api.preview({}, NOTHING)).toMatchObject({
      sealed: 0,
      rows: [{}, { status: 'new', wanted: { isPrivate: true, fields: { code: ';p' } } }],
    });
  });
});
