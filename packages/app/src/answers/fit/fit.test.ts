import type { AuditedShortcut } from '@yellow-latch/core/clash';
import { digestOf } from '@yellow-latch/core/fit/digest';
import type { KeyboardUse } from '@yellow-latch/core/model';

import { AuditWorkerApi } from '@/answers/audit/workerApi';

import { tellFit, tellProfile, tellSums } from './words';
import { FitWorkerApi, type CarryRequest, type FitRequest } from './workerApi';
import { DEVICE_PROFILES, profileOf } from '@yellow-latch/core/profile';

const VOCABULARY = {
  format: 1,
  kind: 'counted',
  language: 'en',
  source: 'test',
  words: 'so ham',
  total: 1_000,
  counts: '2s a',
};
const PHONE = { id: 'p/phone-list', key: 'phone-list', deviceId: 'p' };
const LAPTOP = { id: 'l/expander', key: 'expander', deviceId: 'l' };
const REQUEST: FitRequest = { places: [PHONE, LAPTOP], leftOut: [] };
const KEYBOARD: KeyboardUse = { keyboard: 'phone-en', share: 1, pace: 1, device: 'phone-list' };

const shortcut = (
  id: string,
  code: string,
  expansion: string,
  more: Partial<AuditedShortcut> = {},
): AuditedShortcut => ({
  id,
  code,
  content: { expansion, template: false, format: 'plain' },
  kind: 'message',
  setId: null,
  ...more,
});
const LIST = [
  shortcut('1', ';addr', '12 Mill Lane\nHebden'),
  shortcut('2', ';ten', 'I am about ten minutes away.'),
  shortcut('3', ';tenp', 'Ten past'),
  shortcut('4', '--a', 'an arrow'),
  shortcut('5', ';own', 'a secret', { private: true }),
];

async function apis() {
  const audit = new AuditWorkerApi(
    (name) => Promise.resolve(name === 'en' ? VOCABULARY : []),
    () => Promise.resolve(),
  );
  const fit = new FitWorkerApi(audit);
  expect(fit.sums(REQUEST)).toBeNull();
  await audit.run({ list: { sets: [], shortcuts: LIST }, devices: ['phone-list', 'expander'], languages: ['en'] });
  return { audit, fit };
}
const carryOf = (carried: CarryRequest['carried'] = []): CarryRequest => ({
  ...REQUEST,
  place: PHONE.id,
  carried,
  keyboard: KEYBOARD,
  ownKeyboards: [],
  uses: { '2': { aWeek: 9 } },
});

test('what works where, and what does not, worst first', async () => {
  const { fit } = await apis();
  expect(fit.sums(REQUEST)).toMatchObject({
    [PHONE.id]: { works: 3, changed: 1, no: 1 },
    [LAPTOP.id]: { works: 4, changed: 0, no: 1 },
  });
  expect(fit.report(REQUEST, PHONE.id)!.others.map(({ id, fit: { verdict } }) => [id, verdict])).toEqual([
    ['4', 'no'],
    ['1', 'changed'],
  ]);
  expect(fit.table(REQUEST)!.map(({ id }) => id)).toEqual(['1', '3', '4']);
  expect(fit.ofOne(REQUEST, '3')).toMatchObject([{ verdict: 'works' }, { verdict: 'no', by: '2' }]);
});

test('edits are followed, and what a device does without is left out there alone', async () => {
  const { audit, fit } = await apis();
  fit.sums(REQUEST);
  audit.change({ put: [shortcut('2', ';tm', 'Ten minutes')], remove: ['4'] });
  expect(fit.ofOne(REQUEST, '3')).toMatchObject([{ verdict: 'works' }, { verdict: 'works' }]);
  expect(fit.sums(REQUEST)![PHONE.id]).toMatchObject({ works: 3, changed: 1, no: 0 });
  const without: FitRequest = { ...REQUEST, leftOut: [{ deviceId: 'p', of: 'set', refersTo: null }] };
  expect(fit.sums(without)).toMatchObject({ [PHONE.id]: { 'left out': 4 }, [LAPTOP.id]: { 'left out': 0 } });
});

test('what is carried: all that works, most used first, nothing private; then only what changed', async () => {
  const { audit, fit } = await apis();
  const plan = fit.carry(carryOf())!;
  expect(plan.steps.map((step) => [step.do, step.code])).toEqual([
    ['add', ';ten'],
    ['add', ';addr'],
    ['add', ';tenp'],
  ]);
  expect(plan.all.taps).toBeGreaterThan(30);
  const held = fit.held(REQUEST, PHONE.id)!;
  expect(held.find(({ id }) => id === '1')!.text).toBe('12 Mill Lane Hebden');
  const carried = held.map((one) => ({ shortcutId: one.id, code: one.code, digest: digestOf(one) }));
  expect(fit.carry(carryOf(carried))!.steps).toEqual([]);
  audit.change({ put: [shortcut('3', ';tenp', 'Ten past nine')], remove: ['2'] });
  const later = fit.carry(carryOf(carried))!.steps.map((step) => [step.do, step.code]);
  expect(later).toEqual([
    ['remove', ';ten'],
    ['change', ';tenp'],
  ]);
  const records = carried.map((one) => ({
    ...one,
    id: one.shortcutId,
    changed: 0,
    deviceId: 'p',
    profile: 'phone-list',
    at: 0,
  }));
  expect(fit.due(REQUEST, records)).toBe(2);
  expect(fit.due(REQUEST, [])).toBe(0);
});

test('it is all put into words', () => {
  const codeOf = () => ';ten';
  expect(tellFit({ verdict: 'no', why: 'another code', by: '2' }, codeOf)).toBe('“;ten” expands first.');
  expect(tellFit({ verdict: 'no', why: 'another code', by: null }, codeOf)).toBe('Another code comes first.');
  expect(tellFit({ verdict: 'changed', how: ['lines', 'formatting'] }, codeOf)).toBe(
    'Becomes one line there. Loses its formatting there.',
  );
  expect(tellFit({ verdict: 'left out' }, codeOf)).toBe('Left out.');
  expect(tellSums({ works: 1, changed: 2, no: 3, 'left out': 0 })).toBe('1 works, 2 change and 3 don’t');
  expect(tellProfile(profileOf('keyboard-with-offers'))).toBe(
    'Waits for a tap on a suggestion. Takes up to 200 characters. No blanks or dates.',
  );
  for (const profile of Object.values(DEVICE_PROFILES)) expect(tellProfile(profile)).not.toBe('');
});
