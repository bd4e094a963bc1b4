import type { Shortcut } from '@yellow-latch/core/model';

import { sortFindings } from '@yellow-latch/core/clash/sorted';
import { makeBrief as finding } from '@/answers/audit/testing';

import { checkRows, IGNORED, mostMisfiring, NO_FILTER } from './rows';

const shortcuts = ['a', 'b', 'c', 'd'].map((id) => ({ id, setId: id === 'a' ? 'visits' : null }) as Shortcut);

const FOUND = [
  finding('a', 'word', 'breaks', { devices: ['phone-list'] }),
  finding('b', 'same code', 'breaks'),
  finding('b', 'word', 'risky', { devices: ['expander'] }),
  finding('d', 'context', 'risky', { devices: ['expander'] }),
  finding('a', 'near miss', 'note'),
  finding('c', 'claimed', 'note'),
];

const IGNORED_ONE = {
  id: 'one',
  shortcutId: 'd',
  finding: 'context',
  about: 'risky d',
  reason: 'I can live with it',
  changed: 0,
};

function rowsOf(filter: Partial<typeof NO_FILTER> = {}, toggled: string[] = [], ignored = [IGNORED_ONE].slice(1)) {
  const findings = sortFindings(FOUND, { shortcuts, ignored });
  return checkRows(findings, shortcuts, { ...NO_FILTER, ...filter }, new Set(toggled));
}

const lines = (...of: Parameters<typeof rowsOf>) =>
  rowsOf(...of).items.map((item) => {
    if (item.type === 'heading') return `${item.key}: ${item.count}`;
    return item.type === 'shortcut' ? `${item.key} ${item.row.findings.length}` : item.key;
  });

describe('what was found is shown', () => {
  test('a row for each shortcut, worst first; notes and what is ignored are closed', () => {
    expect(lines()).toEqual(['breaks: 2', 'a 2', 'b 2', 'risky: 1', 'd 1', 'note: 1']);
    expect(lines({}, ['breaks', 'note'])).toEqual(['breaks: 2', 'risky: 1', 'd 1', 'note: 1', 'c 1']);
    expect(lines({}, [IGNORED], [IGNORED_ONE])).toEqual([
      'breaks: 2',
      'a 2',
      'b 2',
      'note: 1',
      'ignored: 1',
      'ignored one',
    ]);
  });

  test('by verdict: that of its worst; notes that were asked for are open', () => {
    expect(lines({ severity: 'breaks' })).toEqual(['breaks: 2', 'a 2', 'b 2']);
    expect(lines({ severity: 'note' })).toEqual(['note: 1', 'c 1']);
    expect(rowsOf({ severity: 'note' }).counts).toEqual({ breaks: 2, risky: 1, note: 1 });
  });

  test('by device: its verdict there alone; what concerns no device concerns all', () => {
    expect(lines({ device: 'expander' })).toEqual(['breaks: 1', 'b 2', 'risky: 1', 'd 1', 'note: 2']);
  });

  test('by set and by type; the types stay to choose from', () => {
    expect(lines({ setId: 'visits' })).toEqual(['breaks: 1', 'a 2']);
    expect(lines({ type: 'word' })).toEqual(['breaks: 1', 'a 1', 'risky: 1', 'b 1']);
    expect(lines({ type: 'claimed' })).toEqual(['note: 1', 'c 1']);
    expect(rowsOf({ type: 'word' }).types).toEqual(['word', 'same code', 'context', 'near miss', 'claimed']);
  });

  test('ten thousand notes are one heading while they are closed', () => {
    const many = Array.from({ length: 10_000 }, (_, i) => ({ id: String(i), setId: null }) as Shortcut);
    const findings = sortFindings(
      many.map(({ id }) => finding(id, 'near miss', 'note')),
      { shortcuts: many, ignored: [] },
    );
    expect(checkRows(findings, many, NO_FILTER, new Set()).items).toHaveLength(1);
    expect(checkRows(findings, many, NO_FILTER, new Set(['note'])).items).toHaveLength(10_001);
  });
});

describe('the code that misfires most', () => {
  const misfires = (id: string, type: 'word' | 'inside words', byDevice: Record<string, number>) =>
    finding(id, type, 'risky', { evidence: { byDevice } } as never);

  test('is named with its part of all, of whole words and of parts of words together', () => {
    const found = [
      misfires('a', 'word', { phone: 1 }),
      misfires('a', 'inside words', { phone: 5, computer: 1 }),
      misfires('b', 'word', { phone: 2, computer: 3 }),
    ];
    expect(mostMisfiring(found, 'phone')).toEqual({ id: 'a', share: 0.75 });
    expect(mostMisfiring(found, 'computer')).toEqual({ id: 'b', share: 0.75 });
  });

  test('is none where nothing misfires', () => {
    expect(mostMisfiring([misfires('a', 'word', { phone: 1 })], 'tablet')).toBeNull();
    expect(mostMisfiring([finding('a', 'same code', 'breaks')], 'phone')).toBeNull();
  });
});
