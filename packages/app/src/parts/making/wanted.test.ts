import { makeShortcut } from '@yellow-latch/core/model/testing';

import { byMatchKey, codeProblems, type WantedShortcut } from './wanted';

const wanted = (key: string): WantedShortcut => ({ key, text: key, kind: 'symbol', label: key, called: [] });

test('codes that are missing, not allowed, in use or given twice are told', () => {
  const used = byMatchKey([makeShortcut(';HF', '½')]);
  const all = ['none', 'used', 'one', 'two', 'long', 'fine'].map(wanted);
  const codes = { none: ' ', used: ';hf', one: ';Arr', two: ';arr ', long: 'x'.repeat(41), fine: ';ok' };
  const problems = codeProblems(all, codes, used);
  expect([...problems.keys()]).toEqual(['none', 'used', 'two', 'long']);
  expect(problems.get('used')).toContain('½');
});
