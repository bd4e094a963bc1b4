import type { Shortcut } from '@yellow-latch/core/model';

import { sortFindings, countToFix } from '@yellow-latch/core/clash/sorted';
import { makeBrief as finding } from './testing';

const shortcuts = ['a', 'b', 'c'].map((id) => ({ id, setId: id === 'a' ? 'visits' : null }) as Shortcut);
const leftOf = (shortcutId: string, type: string, about: string) => ({
  id: `left ${shortcutId}`,
  shortcutId,
  finding: type,
  about,
  reason: 'I want it so',
  changed: 0,
});

const FOUND = [
  finding('a', 'word', 'breaks', { devices: ['phone-list'] }),
  finding('b', 'same code', 'breaks'),
  finding('b', 'word', 'risky', { devices: ['expander'] }),
  finding('c', 'claimed', 'note'),
  finding('gone', 'claimed', 'note'),
];

const sorted = (...left: ReturnType<typeof leftOf>[]) => sortFindings(FOUND, { shortcuts, ignored: left });

describe('findings are sorted', () => {
  test('into what is open and what was left; of a shortcut that is gone there are none', () => {
    const { open, left, worst } = sorted(leftOf('a', 'word', 'breaks a'));
    expect(open.map(({ shortcuts: [id], type }) => `${id} ${type}`)).toEqual(['b same code', 'b word', 'c claimed']);
    expect(left.map(({ left: { reason } }) => reason)).toEqual(['I want it so']);
    expect([...worst]).toEqual([
      ['b', 'breaks'],
      ['c', 'note'],
    ]);
  });

  test('one that was left comes back when it is about something else', () => {
    expect(sorted(leftOf('a', 'word', 'risky a')).left).toEqual([]);
    expect(countToFix(sorted(leftOf('a', 'word', 'risky a')))).toBe(2);
    expect(countToFix(sorted(leftOf('a', 'word', 'breaks a')))).toBe(1);
  });
});
