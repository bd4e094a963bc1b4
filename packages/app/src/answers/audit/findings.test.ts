import type { Brief } from '@yellow-latch/core/clash';
import type { Shortcut } from '@yellow-latch/core/model';

import { groupFindings, LEFT_GROUP, NO_FILTER } from './groups';

import { sortFindings, countToFix } from './findings';

const finding = (id: string, type: Brief['type'], severity: Brief['severity'], more: Partial<Brief> = {}): Brief =>
  ({
    type,
    severity,
    shortcuts: [id],
    devices: [],
    count: 1,
    evidence: null,
    about: `${severity} ${id}`,
    ...more,
  }) as Brief;

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
  finding('b', 'word', 'risky', { devices: ['computer-list'] }),
  finding('c', 'claimed', 'note'),
  finding('gone', 'claimed', 'note'),
];

const sorted = (...left: ReturnType<typeof leftOf>[]) => sortFindings(FOUND, { shortcuts, ignored: left });

describe('findings are sorted', () => {
  test('into what is open and what was left; of a shortcut that is gone there are none', () => {
    const { open, left, worst, counts } = sorted(leftOf('a', 'word', 'breaks a'));
    expect(open.map(({ shortcuts: [id], type }) => `${id} ${type}`)).toEqual(['b same code', 'b word', 'c claimed']);
    expect(left.map(({ left: { reason } }) => reason)).toEqual(['I want it so']);
    expect([...worst]).toEqual([
      ['b', 'breaks'],
      ['c', 'note'],
    ]);
    expect(counts).toEqual({ breaks: 1, risky: 1, note: 1 });
  });

  test('one that was left comes back when it is about something else', () => {
    expect(sorted(leftOf('a', 'word', 'risky a')).left).toEqual([]);
    expect(countToFix(sorted(leftOf('a', 'word', 'risky a')))).toBe(2);
    expect(countToFix(sorted(leftOf('a', 'word', 'breaks a')))).toBe(1);
  });
});

describe('findings are grouped', () => {
  const lines = (filter = NO_FILTER, closed: string[] = [], findings = sorted(leftOf('c', 'claimed', 'note c'))) =>
    groupFindings(findings, shortcuts, filter, new Set(closed)).map((item) => {
      if (item.type === 'group') return `${item.of}: ${item.count}`;
      return item.type === 'left-group' ? `left: ${item.count}` : item.key;
    });

  test('by type, that with the worst first, what was left last and closed', () => {
    expect(lines()).toEqual(['word: 2', 'word a', 'word b', 'same code: 1', 'same code b', 'left: 1']);
    expect(lines(NO_FILTER, ['word', LEFT_GROUP])).toEqual([
      'word: 2',
      'same code: 1',
      'same code b',
      'left: 1',
      'left left c',
    ]);
  });

  test('by verdict, device and set; what concerns no device concerns all', () => {
    expect(lines({ ...NO_FILTER, severity: 'risky' })).toEqual(['word: 1', 'word b']);
    expect(lines({ ...NO_FILTER, device: 'computer-list' })).toEqual([
      'same code: 1',
      'same code b',
      'word: 1',
      'word b',
      'left: 1',
    ]);
    expect(lines({ ...NO_FILTER, setId: 'visits' })).toEqual(['word: 1', 'word a']);
  });

  test('ten thousand of one type are a group of ten thousand, of which nothing is drawn while it is closed', () => {
    const many = Array.from({ length: 10_000 }, (_, i) => finding('a', 'near miss', 'note', { about: String(i) }));
    const findings = sortFindings(many, { shortcuts, ignored: [] });
    expect(groupFindings(findings, shortcuts, NO_FILTER, new Set())).toHaveLength(10_001);
    expect(groupFindings(findings, shortcuts, NO_FILTER, new Set(['near miss']))).toHaveLength(1);
  });
});
