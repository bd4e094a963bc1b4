import { deskWith, request, shortcut, VOCABULARY } from '@/answers/audit/testing';

import { FixesWorkerApi } from './workerApi';

const PHONE = {
  keyboards: [{ keyboard: 'phone-en', share: 1, pace: 1, device: 'phone-list' }],
  ownKeyboards: [],
};

test('codes near a clashing one are proposed, each free itself', async () => {
  const { api } = deskWith({ en: VOCABULARY, 'look-alikes': [] });
  const fixes = new FixesWorkerApi(api);
  expect(fixes.codesNear(shortcut('9', 'so'))).toEqual([]);
  await api.run(request(shortcut('1', ';so'), shortcut('2', ';w')));
  const proposed = fixes.codesNear(shortcut('9', 'so'));
  expect(proposed).toHaveLength(3);
  expect(proposed).not.toContain(';so');
  for (const code of proposed) {
    expect(api.verdict(shortcut('9', code))!.filter(({ severity }) => severity !== 'note')).toEqual([]);
  }
});

test('every fix that is given was tried', async () => {
  const { api } = deskWith({ en: VOCABULARY, 'look-alikes': [] });
  const fixes = new FixesWorkerApi(api);
  expect(fixes.all('1', ['word'], PHONE)).toEqual([]);
  expect(fixes.safe('1', ['word'], PHONE)).toBeNull();
  const report = await api.run(request(shortcut('1', 'so'), shortcut('2', ';w')));
  expect(fixes.all('1', ['word'], PHONE)[0]).toMatchObject({
    fix: { type: 'other code', code: ';so' },
    cures: 'wholly',
  });
  expect(fixes.safe('1', ['word'], PHONE)).toMatchObject({ type: 'other code', code: ';so' });
  expect(fixes.all('2', ['word'], PHONE)).toEqual([]);
  expect(fixes.safe('2', ['word'], PHONE)).toBeNull();
  // The list is as it was after all that trying.
  expect(api.change({ put: [shortcut('1', 'so'), shortcut('2', ';w')] })!.findings).toEqual(report!.findings);
});
