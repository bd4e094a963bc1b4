import { makeShortcut } from '@yellow-latch/core/model/testing';

import { changeBetween } from './listDiff';

const shortcut = (id: string, code: string, expansion = 'x') => makeShortcut(code, expansion, { id });

test('an equal list is no change, whatever objects it is made of', () => {
  expect(changeBetween([shortcut('1', 'a')], [{ ...shortcut('1', 'a'), changed: 5 }])).toBeNull();
});

test('what is new, changed and gone is told', () => {
  const before = [shortcut('1', 'a'), shortcut('2', 'b'), shortcut('3', 'c')];
  const after = [shortcut('1', 'a'), shortcut('2', 'b', 'y'), shortcut('4', 'd')];
  expect(changeBetween(before, after)).toEqual({ put: [after[1], after[2]], remove: ['3'] });
});
