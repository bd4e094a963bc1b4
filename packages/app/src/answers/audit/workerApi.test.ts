import type { AuditedShortcut } from '@yellow-latch/core/clash';

import { AuditWorkerApi, type AuditRequest } from './workerApi';

const VOCABULARY = {
  format: 1,
  kind: 'counted',
  language: 'en',
  source: 'test',
  words: 'so sound ham',
  total: 1_000,
  counts: '2s a 1',
};

const shortcut = (id: string, code: string): AuditedShortcut => ({
  id,
  code,
  content: { expansion: `what ${id} gives`, template: false, format: 'plain' },
  kind: 'message',
  setId: null,
});

const PHONE = {
  keyboards: [{ keyboard: 'phone-en', share: 1, pace: 1, device: 'phone-list' }],
  ownKeyboards: [],
};

const request = (...shortcuts: AuditedShortcut[]): AuditRequest => ({
  list: { sets: [], shortcuts },
  devices: ['phone-list'],
  languages: ['en'],
});

function deskWith(files: Record<string, unknown>) {
  const asked: string[] = [];
  const api = new AuditWorkerApi(
    (name) => {
      asked.push(name);
      return name in files ? Promise.resolve(files[name]) : Promise.reject(new Error('not there'));
    },
    () => Promise.resolve(),
  );
  return { api, asked };
}

test('a list is checked with what was fetched, and progress is told', async () => {
  const { api } = deskWith({ en: VOCABULARY, 'look-alikes': [['0', 'O']] });
  const steps: number[] = [];
  const report = (await api.run(request(shortcut('1', 'so'), shortcut('2', ';o0')), (done) => steps.push(done)))!;
  expect(report.unchecked).toEqual([]);
  expect(report.findings[0]).toMatchObject({ type: 'word', severity: 'breaks', shortcuts: ['1'] });
  expect(report.figures['phone-list']!.perTenThousand).toBeCloseTo(1_000, 6);
  expect(steps.length).toBeGreaterThan(3);
});

test('what cannot be fetched is said, and asked for again the next time', async () => {
  const files: Record<string, unknown> = { 'look-alikes': 'nonsense' };
  const { api, asked } = deskWith(files);
  expect((await api.run(request(shortcut('1', 'so'))))!.unchecked).toEqual(['en', 'look-alikes']);
  Object.assign(files, { en: VOCABULARY, 'look-alikes': [] });
  expect((await api.run(request(shortcut('1', 'so'))))!.unchecked).toEqual([]);
  expect((await api.run(request(shortcut('1', 'so'))))!.findings).not.toEqual([]);
  expect(asked.filter((name) => name === 'en')).toHaveLength(2);
});

test('what is got ready before there is a list is not loaded again, and changes nothing of what is found', async () => {
  const files = { en: VOCABULARY, 'look-alikes': [['0', 'O']] };
  const { api, asked } = deskWith(files);
  await api.prepare(['en'], ['phone-list']);
  expect(asked.sort()).toEqual(['en', 'look-alikes']);
  expect(api.checked()).toBeNull();
  const report = await api.run(request(shortcut('1', 'so'), shortcut('2', ';o0')));
  expect(asked).toHaveLength(2);
  expect(report).toEqual(await deskWith(files).api.run(request(shortcut('1', 'so'), shortcut('2', ';o0'))));
});

test('getting ready stops when a list is to be checked, and goes on where a file is not to be had', async () => {
  const { api } = deskWith({ 'look-alikes': [] });
  const ready = api.prepare(['en'], ['phone-list']);
  const report = api.run(request(shortcut('1', 'so')));
  await ready;
  expect((await report)!.unchecked).toEqual(['en']);
});

test('a run that was cancelled or overtaken gives nothing', async () => {
  const { api } = deskWith({ en: VOCABULARY, 'look-alikes': [] });
  const first = api.run(request(shortcut('1', 'so')));
  const second = api.run(request(shortcut('1', ';w')));
  expect(await first).toBeNull();
  expect((await second)!.findings).toEqual([]);
  const third = api.run(request(shortcut('1', 'so')));
  api.cancel();
  expect(await third).toBeNull();
});

test('a verdict is given without a change; a change is followed', async () => {
  const { api } = deskWith({ en: VOCABULARY, 'look-alikes': [] });
  expect(api.verdict(shortcut('2', 'ham'))).toBeNull();
  await api.run(request(shortcut('1', ';w')));
  expect(api.verdict(shortcut('2', 'ham'))!.map(({ type }) => type)).toContain('word');
  expect(api.verdict(shortcut('1', ';w'))).toEqual([]);
  const put = api.change({ put: [shortcut('2', 'ham')] })!;
  expect(put.touched).toEqual(['2']);
  expect(put.findings[0]).toMatchObject({ type: 'word', shortcuts: ['2'] });
  expect(api.change({ remove: ['2'] })).toMatchObject({ touched: ['2'], findings: [] });
});

test('codes near a clashing one are proposed, each free itself', async () => {
  const { api } = deskWith({ en: VOCABULARY, 'look-alikes': [] });
  expect(api.proposals(shortcut('9', 'so'))).toEqual([]);
  await api.run(request(shortcut('1', ';so'), shortcut('2', ';w')));
  const proposed = api.proposals(shortcut('9', 'so'));
  expect(proposed).toHaveLength(3);
  expect(proposed).not.toContain(';so');
  for (const code of proposed) {
    expect(api.verdict(shortcut('9', code))!.filter(({ severity }) => severity !== 'note')).toEqual([]);
  }
});

test('own text is read, a picture is refused', async () => {
  const { api } = deskWith({ en: VOCABULARY, 'look-alikes': [] });
  await api.run(request(shortcut('1', 'so')));
  const text = Uint8Array.from('so it is, so', (sign) => sign.charCodeAt(0));
  expect(api.ownText(text, { type: 'text' }, 'phone-list')).toMatchObject({
    own: { text: 'so it is, so' },
    report: { words: 4, ids: ['1'] },
  });
  api.change({ put: [shortcut('2', 'it')], remove: ['1'] });
  expect(api.ownText(text, { type: 'text' }, 'phone-list')).toMatchObject({ report: { ids: ['2'] } });
  expect(
    api.ownText(
      Uint8Array.from([0x89, 0x50, 0x4e, 0x47, 13, 10, 26, 10, 0, 0, 0, 13, 0x49, 0x48, 0x44, 0x52]),
      { type: 'text' },
      'phone-list',
    ),
  ).toMatchObject({ type: 'binary' });
});

test('a finding is opened with its evidence, and every fix that is given was tried', async () => {
  const { api } = deskWith({ en: VOCABULARY, 'look-alikes': [] });
  expect(api.open('1')).toEqual([]);
  const report = (await api.run(request(shortcut('1', 'so'), shortcut('2', ';w'))))!;
  const brief = report.findings.find(({ type }) => type === 'word')!;
  expect(brief).toMatchObject({ evidence: { examples: [] }, about: 'breaks so' });
  expect(api.open('1')).toContainEqual(
    expect.objectContaining({
      type: 'word',
      evidence: expect.objectContaining({ examples: [expect.objectContaining({ word: 'so' })] }) as unknown,
    }),
  );
  expect(api.fixes('1', ['word'], PHONE)[0]).toMatchObject({
    fix: { type: 'other code', code: ';so' },
    cures: 'wholly',
  });
  expect(api.safeFix('1', ['word'], PHONE)).toMatchObject({ type: 'other code', code: ';so' });
  expect(api.fixes('2', ['word'], PHONE)).toEqual([]);
  expect(api.safeFix('2', ['word'], PHONE)).toBeNull();
  // The list is as it was after all that trying.
  expect(api.change({ put: [shortcut('1', 'so'), shortcut('2', ';w')] })!.findings).toEqual(report.findings);
});

test('a language that there is no file for is said', async () => {
  const { api } = deskWith({ en: VOCABULARY, 'look-alikes': [] });
  const report = await api.run({ ...request(shortcut('1', 'so')), languages: ['en', 'tlh'] });
  expect(report!.unchecked).toEqual(['tlh']);
});

test('the columns of a table and the fields of JSON lines are there to choose from', () => {
  const { api } = deskWith({});
  const bytes = (text: string) => new TextEncoder().encode(text);
  expect(api.columns(bytes('when,"what, said"\n1,so'), 'csv')).toEqual(['when', 'what, said']);
  expect(api.columns(bytes('{"a":{"text":"so"},"n":1}\nnonsense\n{"b":""}'), 'json-lines')).toEqual(['a.text', 'b']);
});
