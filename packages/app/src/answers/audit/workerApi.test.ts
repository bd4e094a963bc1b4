import { deskWith, request, shortcut, VOCABULARY } from './testing';

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

test('a finding is opened with its evidence', async () => {
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
});

test('a language that there is no file for is said', async () => {
  const { api } = deskWith({ en: VOCABULARY, 'look-alikes': [] });
  const report = await api.run({ ...request(shortcut('1', 'so')), languages: ['en', 'tlh'] });
  expect(report!.unchecked).toEqual(['tlh']);
});
