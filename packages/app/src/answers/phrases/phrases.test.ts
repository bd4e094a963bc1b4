import { mailboxOf, sentMessages } from '@yellow-latch/core/scenario';

import { LARGEST_SENT } from './limits';
import { neverKey } from './never';
import { PhrasesWorkerApi, type FindPhrasesRequest, type SentSource } from './workerApi';

const api = new PhrasesWorkerApi(() => Promise.resolve());
const steps: number[] = [];

const find = (sources: readonly SentSource[], more: Partial<FindPhrasesRequest> = {}) => {
  steps.length = 0;
  return api.find(
    {
      sources,
      list: [],
      languages: ['en'],
      keyboards: [{ keyboard: 'phone-en', share: 1, pace: 1, device: 'phone-list' }],
      ownKeyboards: [],
      sampleCode: ';abc',
      never: [],
      sender: null,
      ...more,
    },
    (done) => steps.push(done),
  );
};

function file(name: string, content: string): SentSource {
  const bytes = new TextEncoder().encode(content);
  return { type: 'file', name, blob: { size: bytes.length, arrayBuffer: () => Promise.resolve(bytes.buffer) } };
}

const said = (count: number, text: string) => Array.from({ length: count }, (_, at) => `${at}q. ${text} z${at}`);

test('the sample and the same messages as a mailbox give the same', async () => {
  const sample = await find([{ type: 'sample' }]);
  expect(steps).toEqual([...steps].sort((a, b) => a - b));
  const box = await find([file('Sent', mailboxOf(sentMessages()))]);
  expect(box.read[0]).toMatchObject({ format: { type: 'mail' }, messages: 300, problem: null });
  expect(box.findings!.found.map(({ text, count }) => [text, count])).toEqual(
    sample.findings!.found.map(({ text, count }) => [text, count]),
  );
});

test('what is never to be shown is not', async () => {
  const { findings } = await find([{ type: 'sample' }]);
  const first = findings!.found[0]!;
  const again = await find([{ type: 'sample' }], { never: [neverKey(first.key)] });
  expect(again.findings!.found.map(({ key }) => key)).not.toContain(first.key);
  expect(neverKey(first.key)).not.toContain('wishes');
});

test('of several senders the one who sent most, or another who is asked for', async () => {
  const mails = (from: string, texts: readonly string[]) => texts.map((text) => ({ text, at: 0, from }));
  const box = mailboxOf([
    ...mails('a@x.example', said(6, 'We shall be there at about nine.')),
    ...mails('b@x.example', said(4, 'Please use the side door, not the front one.')),
  ]);
  const first = await find([file('box.mbox', box)]);
  expect(first).toMatchObject({ senders: ['a@x.example', 'b@x.example'], sender: 'a@x.example', ofOthers: 4 });
  expect(first.findings!.found.map(({ text }) => text)).toEqual(['We shall be there at about nine.']);
  const other = await find([file('box.mbox', box)], { sender: 'b@x.example' });
  expect(other.findings!.found.map(({ text }) => text)).toEqual(['Please use the side door, not the front one.']);
});

test('files that are none are told one by one; the others are read', async () => {
  const { read, findings } = await find([
    file('empty.txt', ''),
    file('picture.txt', '\x89PNG\r\n\x1a\n\0'),
    { type: 'pasted', text: said(5, 'Thank you kindly for everything.').join('\n\n') },
  ]);
  expect(read.map(({ name, problem }) => [name, problem?.type ?? null])).toEqual([
    ['empty.txt', 'no-text'],
    ['picture.txt', 'binary'],
    ['', null],
  ]);
  expect(findings!.found[0]!.text).toBe('Thank you kindly for everything.');
  expect((await find([file('empty.txt', '')])).findings).toBeNull();
});

test('a file that is too large is not even read', async () => {
  const blob = { size: LARGEST_SENT + 1, arrayBuffer: () => Promise.reject(new Error('it was read')) };
  const { read } = await find([{ type: 'file', name: 'life.mbox', blob }]);
  expect(read[0]!.problem).toEqual({ type: 'too-large', limit: LARGEST_SENT, found: LARGEST_SENT + 1 });
});
