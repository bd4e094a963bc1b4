import { makeShortcut } from '@yellow-latch/core/model/testing';
import { MessageChannel } from 'node:worker_threads';

import { waitFor } from '@testing-library/react';
import { expose } from 'comlink';

import type { ListView } from '@yellow-latch/replica/storage/view';

import { AuditClient } from './client';
import { furtherApis } from './furtherApis';
import { VOCABULARY } from './testing';
import type { AuditedList } from './version';
import { AuditWorkerApi } from './workerApi';
import { versionOf } from './version';

/** Every channel made here, so that all can be closed: an open one keeps the process alive. */
const channels: MessageChannel[] = [];
class KeptChannel extends MessageChannel {
  constructor() {
    super();
    channels.push(this);
  }
}
Object.assign(globalThis, { MessageChannel: KeptChannel });
afterAll(() => channels.forEach(({ port1 }) => port1.close()));

/** A worker in the same thread: an API behind a channel of messages. */
class NearWorker extends EventTarget {
  wasEnded = false;
  /** Takes questions in and never answers. */
  isDeaf = false;
  unheard = 0;
  readonly channel = new KeptChannel();

  constructor() {
    super();
    const api = new AuditWorkerApi(
      (name) => Promise.resolve(name === 'en' ? VOCABULARY : []),
      () => Promise.resolve(),
    );
    expose({ audit: api, ...furtherApis(api, () => Promise.resolve()) }, this.channel.port2 as never);
    this.channel.port1.on('message', (data: unknown) => this.dispatchEvent(new MessageEvent('message', { data })));
  }

  postMessage(message: unknown, transfer: Transferable[] = []): void {
    if (this.isDeaf) this.unheard += 1;
    else this.channel.port1.postMessage(message, transfer as never);
  }

  terminate(): void {
    this.wasEnded = true;
  }

  fail(): void {
    this.dispatchEvent(new Event('error'));
  }
}

const shortcut = (id: string, code: string) => makeShortcut(code, `what ${id} gives`, { id });

const list = (...shortcuts: ListView['shortcuts']): AuditedList => ({
  shortcuts,
  sets: [],
  languages: ['en'],
  profiles: ['phone-list'],
});

const NO_KEYBOARDS = { keyboards: [], ownKeyboards: [] };

function clientWithWorkers() {
  const workers: NearWorker[] = [];
  const client = new AuditClient(() => {
    const worker = new NearWorker();
    workers.push(worker);
    return worker as unknown as Worker;
  });
  const isReady = () => waitFor(() => expect(client.state.phase).toBe('ready'));
  const found = () => client.state.result!.findings.map(({ type, shortcuts: [id] }) => `${type} ${id}`);
  return { client, workers, isReady, found };
}

describe('an audit client', () => {
  const { client, workers, isReady, found } = clientWithWorkers();

  test('checks the list it was told of, and follows it', async () => {
    client.observe(list(shortcut('1', 'so')));
    expect(client.isCurrent).toBe(false);
    client.start();
    expect(client.state.phase).toBe('working');
    await isReady();
    expect(found()).toContain('word 1');
    const before = client.state.result!.version;
    client.observe(list(shortcut('1', ';so')));
    await waitFor(() => expect(client.state.result!.version).not.toBe(before));
    expect(found()).not.toContain('word 1');
    // Firing by other rules is a change as well.
    client.observe(list({ ...shortcut('1', 'ham'), rules: { fires: 'offer' } }));
    await waitFor(() => expect(found()).toContain('word 1'));
  });

  test('checks anew when another language is chosen', async () => {
    client.observe({ ...list(shortcut('1', 'so')), languages: ['en', 'xx'] });
    expect(client.state.phase).toBe('working');
    await isReady();
    await waitFor(() => expect(client.state.result!.languages).toEqual(['en', 'xx']));
    expect(client.state.result!.unchecked).toEqual(['xx']);
  });

  test('gives evidence, fixes and verdicts', async () => {
    client.observe(list(shortcut('1', 'so')));
    expect((await client.open('1'))!.find(({ type }) => type === 'word')).toMatchObject({
      evidence: { examples: [{ word: 'so' }] },
    });
    expect(await client.safeFix('1', ['word'], NO_KEYBOARDS)).toMatchObject({ type: 'other code', code: ',so' });
    expect((await client.fixes('1', ['word'], NO_KEYBOARDS))!.length).toBeGreaterThan(0);
    expect((await client.verdict(shortcut('2', 'ham'), NO_KEYBOARDS))!.findings.map(({ type }) => type)).toContain(
      'word',
    );
    expect(workers).toHaveLength(1);
  });
});

describe('a worker that was got ready', () => {
  test('checks the list when it is there, and follows nothing before', async () => {
    const { client, workers, isReady, found } = clientWithWorkers();
    client.observe(list());
    client.prepare();
    client.prepare();
    client.observe(list(shortcut('1', 'so')));
    expect(client.isCurrent).toBe(false);
    expect(client.state.phase).toBe('idle');
    client.start();
    await isReady();
    expect(found()).toContain('word 1');
    expect(workers).toHaveLength(1);
  });

  test('and fails is made anew when a list is to be checked, as if it were the first', async () => {
    const { client, workers, isReady } = clientWithWorkers();
    client.prepare();
    workers[0]!.fail();
    expect(client.state).toMatchObject({ phase: 'idle', wasRestarted: false });
    client.observe(list(shortcut('1', 'so')));
    client.start();
    await isReady();
    expect(workers).toHaveLength(2);
  });
});

describe('a worker that fails', () => {
  const { client, workers, isReady, found } = clientWithWorkers();

  test('is ended and made anew; a question that it left open is answered with nothing', async () => {
    client.observe(list(shortcut('1', 'so')));
    client.start();
    await isReady();
    workers[0]!.isDeaf = true;
    const open = client.open('1');
    await waitFor(() => expect(workers[0]!.unheard).toBe(1));
    workers[0]!.fail();
    expect(await open).toBeNull();
    expect(workers[0]!.wasEnded).toBe(true);
    expect(client.state.wasRestarted).toBe(true);
    await isReady();
    expect(workers).toHaveLength(2);
    expect(found()).toContain('word 1');
  });

  test('is not made anew for ever, but when a person asks', async () => {
    workers[1]!.fail();
    workers[2]!.fail();
    expect(client.state.phase).toBe('failed');
    expect(await client.open('1')).toBeNull();
    expect(workers).toHaveLength(3);
    client.restart();
    await isReady();
    expect(workers).toHaveLength(4);
  });

  test('or cannot be made is said', () => {
    const without = new AuditClient(() => {
      throw new Error('no workers here');
    });
    without.observe(list(shortcut('1', 'so')));
    without.start();
    expect(without.state.phase).toBe('failed');
  });
});

describe('a result that was kept', () => {
  const kept = {
    findings: [],
    figures: {},
    unchecked: [],
    notEstimated: [],
    contexts: 452,
    at: 1,
    languages: ['en'],
    devices: ['phone-list'],
  };

  test('is taken if it is of this list, so that no worker is needed', () => {
    const { client, workers } = clientWithWorkers();
    const version = versionOfList(shortcut('1', 'so'));
    client.observe(list(shortcut('1', 'so')));
    expect(client.take({ ...kept, version })).toBe(true);
    expect(client.state).toMatchObject({ phase: 'ready', result: { at: 1 } });
    expect(client.isCurrent).toBe(true);
    expect(workers).toHaveLength(0);
  });

  test('is shown but not relied on while something of it could not be checked', () => {
    const { client } = clientWithWorkers();
    client.observe(list(shortcut('1', 'so')));
    expect(client.take({ ...kept, unchecked: ['English'], version: versionOfList(shortcut('1', 'so')) })).toBe(true);
    expect(client.isCurrent).toBe(false);
  });

  test.each([
    ['another code', shortcut('1', ';so')],
    ['other rules', { ...shortcut('1', 'so'), rules: { edge: 'word' as const } }],
    ['another kind', { ...shortcut('1', 'so'), kind: 'symbol' as const }],
    ['a private one', { ...shortcut('1', 'so'), private: true }],
  ])('is not taken for a list with %s', (_name, other) => {
    const { client } = clientWithWorkers();
    client.observe(list(other));
    expect(client.take({ ...kept, version: versionOfList(shortcut('1', 'so')) })).toBe(false);
    expect(client.isCurrent).toBe(false);
  });
});

function versionOfList(...shortcuts: ListView['shortcuts']): string {
  return versionOf(list(...shortcuts));
}
