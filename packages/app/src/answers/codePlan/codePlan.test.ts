import type { AuditedShortcut } from '@yellow-latch/core/clash';
import type { KeyboardUse } from '@yellow-latch/core/model';

import { AuditWorkerApi } from '@/answers/audit/workerApi';
import { EffortWorkerApi } from '@/answers/effort/workerApi';

import { CodePlanWorkerApi, type PlanRequest } from './workerApi';

const VOCABULARY = {
  format: 1,
  kind: 'counted',
  language: 'en',
  source: 'test',
  words: 'so sound ham book',
  total: 1_000,
  counts: '2s a 1 1',
};
const PHONE: KeyboardUse = { keyboard: 'phone-en', share: 1, pace: 1, device: 'phone-list' };

const shortcut = (id: string, code: string, expansion: string): AuditedShortcut => ({
  id,
  code,
  content: { expansion, template: false, format: 'plain' },
  kind: 'message',
  setId: null,
});

const LIST = [
  shortcut('1', ';mail', 'ansel@corrieandvale.example'),
  shortcut('2', ';mail', 'mara@corrieandvale.example'),
  shortcut('3', 'so', 'Sent from the road, so please forgive the short reply.'),
  shortcut('4', ';averylongcode', 'Thank you for your message.'),
];

const asked = (more: Partial<PlanRequest> = {}): PlanRequest => ({
  keyboards: [PHONE],
  ownKeyboards: [],
  uses: { 4: { aWeek: 20, from: 'said' } },
  ownText: null,
  conventions: [],
  locked: [],
  price: 5,
  ...more,
});

async function apiOf(...shortcuts: AuditedShortcut[]): Promise<CodePlanWorkerApi> {
  const pause = () => Promise.resolve();
  const audit = new AuditWorkerApi((name) => Promise.resolve(name === 'en' ? VOCABULARY : []), pause);
  if (shortcuts.length > 0)
    await audit.run({ list: { sets: [], shortcuts }, devices: ['phone-list', 'expander'], languages: ['en'] });
  return new CodePlanWorkerApi(audit, new EffortWorkerApi(audit), pause);
}

test('what clashes changes, what is used much gets a short code, what is good stays', async () => {
  const api = await apiOf(...LIST);
  const { moves, stuck, before, after } = (await api.run(asked()))!;
  const ids = moves.map(({ id }) => id);
  expect(ids).toContain('3');
  expect(ids).toContain('4');
  // One of the two with the same code keeps it.
  expect(ids.filter((id) => id === '1' || id === '2')).toHaveLength(1);
  expect(moves[0]).toMatchObject({ id: '3', from: 'so' });
  expect(moves.find(({ id }) => id === '4')!.gain).toBeGreaterThan(5);
  expect(stuck).toEqual([]);
  expect(after).toBeLessThan(before);
});

test('a locked code stays; what a change has to save decides how much changes', async () => {
  const api = await apiOf(...LIST);
  const locked = (await api.run(asked({ locked: ['4'] })))!;
  expect(locked.moves.map(({ id }) => id)).not.toContain('4');
  const dear = (await api.run(asked({ price: 10_000 })))!;
  const afresh = (await api.run(asked({ price: 0 })))!;
  expect(dear.moves.length).toBeLessThan(afresh.moves.length);
});

test('a run that was cancelled or overtaken gives nothing; nothing is planned before the check', async () => {
  // Enough of them that it lets messages in.
  const many = Array.from({ length: 400 }, (_, i) =>
    shortcut(`m${i}`, `;c${i}q`, `Note number ${i} of the day, by Ansel`),
  );
  const api = await apiOf(...many);
  const steps: number[] = [];
  const first = api.run(asked({ price: 0 }), (done) => steps.push(done));
  const second = api.run(asked({ price: 1 }));
  expect(await first).toBeNull();
  const third = api.run(asked({ price: 0 }));
  api.cancel();
  expect(await third).toBeNull();
  await second;
  expect(steps.every((done) => done >= 0 && done <= 1)).toBe(true);
  expect(await (await apiOf()).run(asked())).toBeNull();
});
