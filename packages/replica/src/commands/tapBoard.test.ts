import { makeShortcut } from '@yellow-latch/core/model/testing';
import type { Shortcut } from '@yellow-latch/core/model';

import { movingTo, pinnedOf, pinning } from './tapBoard';

describe('the tap board', () => {
  const shortcut = (code: string, pinned: string | null) => makeShortcut(code, 'text', { pinned });
  /** The list after a command, as its writes say. */
  const after = (shortcuts: Shortcut[], command: ReturnType<typeof pinning> | null) =>
    shortcuts.map((one) => {
      const write = command?.writes.find(({ id }) => id === one.id);
      return write ? { ...one, ...(write.fields as Partial<Shortcut>) } : one;
    });
  const codes = (shortcuts: Shortcut[]) =>
    pinnedOf(shortcuts)
      .map(({ code }) => code)
      .join('');
  let list = [shortcut('a', null), shortcut('b', null), shortcut('c', null), shortcut('d', null)];
  for (const index of [0, 1, 2]) list = after(list, pinning(list[index]!, list));

  test('takes new keys at its end, and lets them go', () => {
    expect(codes(list)).toBe('abc');
    expect(codes(after(list, pinning(list[1]!, list)))).toBe('ac');
    expect(codes(after(list, pinning(list[3]!, list)))).toBe('abcd');
  });

  test.each([
    ['a', 'c', 'bca'],
    ['c', 'a', 'cab'],
    ['a', 'b', 'bac'],
    ['b', 'c', 'acb'],
  ])('%s moved to where %s is', (moved, target, order) => {
    const all = pinnedOf(list);
    const find = (code: string) => all.find((one) => one.code === code)!;
    const command = movingTo(find(moved), find(target), all)!;
    expect(codes(after(list, command))).toBe(order);
    expect(command.undo([])).toEqual([{ type: 'shortcut', id: moved, fields: { pinned: find(moved).pinned } }]);
  });

  test('keys that two devices gave one place stay, and others go past both', () => {
    const twins = [shortcut('a', 'a0'), shortcut('b', 'a1'), shortcut('c', 'a1'), shortcut('d', 'a2')];
    const command = movingTo(twins[3]!, twins[2]!, pinnedOf(twins));
    expect(codes(after(twins, command))).toBe('abcd');
    expect(movingTo(twins[0]!, twins[0]!, twins)).toBeNull();
  });
});
