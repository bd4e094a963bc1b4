import type { OpenBlank } from '@yellow-latch/core/expansion';

import { recentOf, withFilled } from '@/parts/typing/recent';
import { tellFiring, tellMissed, tellWhy } from '@/parts/typing/words';

describe('what was filled in lately', () => {
  const blank = (label: string, more: Partial<OpenBlank> = {}): OpenBlank => ({
    name: label,
    kind: 'text',
    label,
    default: '',
    options: [],
    pattern: '',
    ...more,
  });

  test('is remembered by what the blank is called, newest first, five at most', () => {
    const name = blank('Name');
    let recent = {};
    for (const value of ['a', 'b', 'c', 'b', 'd', 'e', 'f', ' f '])
      recent = withFilled(recent, [name], { Name: value });
    expect(recentOf(recent, name)).toEqual(['f', 'e', 'd', 'b', 'c']);
    expect(recentOf(recent, blank('Other'))).toEqual([]);
  });

  test('not what was chosen, given by the device, left as it was, or long', () => {
    const blanks = [
      blank('choice', { kind: 'choice' }),
      blank(' selection'),
      blank('same', { default: 'x' }),
      blank('long'),
    ];
    expect(withFilled({}, blanks, { choice: 'a', ' selection': 'b', same: 'x', long: 'y'.repeat(61) })).toEqual({});
  });
});

describe('words', () => {
  const codeOf = () => ';ten';

  test('tell how a shortcut came in, and how it goes out again', () => {
    const fired = { type: 'fired', id: '1', typed: ';te', expansion: 'text' } as const;
    expect(tellFiring({ ...fired, by: 'offer' }, codeOf)).toBe('“;ten” inserted. Backspace undoes it.');
    expect(tellFiring({ ...fired, by: 'offer', typed: '' }, codeOf)).toBe('“;ten” inserted. Backspace removes it.');
    expect(tellFiring({ ...fired, by: 'delimiter', typed: ';ten' }, codeOf)).toBe(
      '“;ten” expanded. Backspace undoes it.',
    );
    expect(tellFiring({ ...fired, by: 'delimiter', id: '1~former', typed: ';old' }, codeOf)).toBe(
      '“;old” is now “;ten”. The old code still works for a while.',
    );
  });

  test('tell why nothing fired, unless something did', () => {
    expect(tellWhy([{ rule: 'no-edge', id: '1', typed: ';ten' }], codeOf)).toBe('“;ten” is in the middle of a word.');
    expect(tellWhy([{ rule: 'device-capital' }, { rule: 'fired-by-delimiter' }], codeOf)).toBeNull();
    expect(tellWhy([], codeOf)).toBeNull();
  });

  test('tell what a code would have saved, where it saves', () => {
    expect(tellMissed(';ten', { taps: 22.4, seconds: 6.1 })).toBe('“;ten” would type that for you and save 22 taps.');
    expect(tellMissed(';ten', { taps: -1, seconds: 1 })).toBe('“;ten” would type that for you.');
  });
});
