import { DeviceList, MissedChances, type Refused } from '@yellow-latch/core/compose';
import { compile, settleRules, type Explanation } from '@yellow-latch/core/fire';
import { DEVICE_PROFILES, THIS_APP } from '@yellow-latch/core/fit';

import type { DraftContent } from '@yellow-latch/replica/storage/draft';

import { Pad, type PadEvent, type PadState } from './pad';

const shortcut = (code: string, expansion: string, index: number) => ({
  id: String(index + 1),
  code,
  content: { expansion, template: false, format: 'plain' as const },
  kind: 'message' as const,
  setId: null,
});
const shortcuts = [
  [';ten', 'I am ten minutes away.'],
  ['fam', '👩‍👩‍👧'],
].map(([code, expansion], index) => shortcut(code!, expansion!, index));
const entries = settleRules({ shortcuts, sets: [] });
const device = DeviceList.whole(compile({ shortcuts, sets: [] }, THIS_APP));

/** A text area in which a browser types: it changes the value, then tells what it did. */
function field(text = '', on = device, start?: DraftContent) {
  document.body.replaceChildren();
  const area = document.createElement('textarea');
  area.value = text;
  document.body.append(area);
  area.focus();
  area.setSelectionRange(text.length, text.length);
  const events: PadEvent[] = [];
  const missed: string[] = [];
  let state!: PadState;
  let told: readonly Explanation[] = [];
  let refused: Refused | null = null;
  const listener = {
    onState: (next: PadState) => {
      state = next;
    },
    onFiring: (event: PadEvent) => events.push(event),
    onTold: (now: readonly Explanation[], why: Refused | null) => {
      told = now;
      refused = why;
    },
    onMissed: ({ id }: { id: string }) => missed.push(id),
  };
  const pad = new Pad(area, on, listener, start, new MissedChances(shortcuts));
  const tell = (inputType: string, isComposing = false) =>
    area.dispatchEvent(new InputEvent('input', { inputType, isComposing, bubbles: true }));
  const replace = (start: number, end: number, text: string) => {
    area.value = area.value.slice(0, start) + text + area.value.slice(end);
    area.setSelectionRange(start + text.length, start + text.length);
  };
  const put = (text: string, inputType: string) => {
    replace(area.selectionStart, area.selectionEnd, text);
    tell(inputType);
  };
  return {
    area,
    pad,
    events,
    state: () => state,
    told: () => told,
    refused: () => refused,
    missed,
    can: () => ({ undo: state.canUndo, redo: state.canRedo }),
    type: (text: string) =>
      Array.from(text).forEach((key) => put(key, key === '\n' ? 'insertLineBreak' : 'insertText')),
    paste: (text: string) => put(text, 'insertFromPaste'),
    backspace: () => {
      replace(area.selectionStart - 1, area.selectionEnd, '');
      tell('deleteContentBackward');
    },
    compose: (...states: string[]) => {
      const start = area.selectionStart;
      for (const state of states) {
        replace(start, area.selectionEnd, state);
        tell('insertCompositionText', true);
      }
      area.dispatchEvent(new CompositionEvent('compositionend'));
    },
    key: (key: string, shiftKey = false) =>
      area.dispatchEvent(new KeyboardEvent('keydown', { key, shiftKey, ctrlKey: true, cancelable: true })),
  };
}

test('fires in place and puts the caret after the delimiter', () => {
  const { area, type, events } = field();
  type('so ;ten.');
  expect(area.value).toBe('so I am ten minutes away..');
  expect(area.selectionStart).toBe(area.value.length);
  expect(events).toEqual([
    { type: 'fired', by: 'delimiter', id: '1', typed: ';ten', expansion: 'I am ten minutes away.' },
  ]);
});

test('fires in the middle of a text, beside equal characters', () => {
  const { area, type } = field('a  b');
  area.setSelectionRange(2, 2);
  type(';ten ');
  expect(area.value).toBe('a I am ten minutes away.  b');
  expect(area.selectionStart).toBe('a I am ten minutes away. '.length);
});

test('Backspace after a firing gives back what was typed', () => {
  const { area, type, backspace, events } = field();
  type('FAM\n');
  backspace();
  expect(area.value).toBe('FAM\n');
  expect(events.at(-1)).toMatchObject({ type: 'taken-back', typed: 'FAM' });
});

test('pasted text does not fire, composed text does when it ends', () => {
  const { area, paste, type, compose } = field();
  paste(';ten');
  type(' ');
  expect(area.value).toBe(';ten ');
  compose('f', 'fa', 'fam', 'fam ');
  expect(area.value).toBe(';ten 👩‍👩‍👧 ');
});

test('undo goes back over the firing, then over the words; redo goes forward', () => {
  const { area, type, key, can } = field();
  type('one ;ten ');
  expect(can()).toEqual({ undo: true, redo: false });
  key('z');
  expect(area.value).toBe('one ;ten ');
  key('z');
  expect(area.value).toBe('one ');
  key('z');
  expect(area.value).toBe('');
  expect(can()).toEqual({ undo: false, redo: true });
  key('z', true);
  key('y');
  key('y');
  expect(area.value).toBe('one I am ten minutes away. ');
});

test('what undo brings back does not fire by itself', () => {
  const { area, type, key } = field();
  type('fam ');
  key('z');
  type(' ');
  expect(area.value).toBe('fam  ');
});

test('clearing is one step that can be undone', () => {
  const { area, pad, type, key } = field();
  type('fam and more');
  pad.clear();
  expect(area.value).toBe('');
  key('z');
  expect(area.value).toBe('👩‍👩‍👧 and more');
});

test('a pad that was detached leaves the field alone', () => {
  const { area, pad, type } = field();
  pad.detach();
  type(';ten ');
  expect(area.value).toBe(';ten ');
});

describe('offers', () => {
  test('are shown while one types, and gone when the caret is moved', () => {
    const { area, type, state } = field();
    type('see ;t');
    expect(state().offers.map(({ entry }) => entry.code)).toEqual([';ten']);
    area.setSelectionRange(0, 0);
    document.dispatchEvent(new Event('selectionchange'));
    expect(state().offers).toEqual([]);
  });

  test('taken, the expansion stands in the place of what was typed; Backspace gives that back', () => {
    const { area, pad, type, state, backspace, key } = field();
    type('so ;t');
    pad.take(state().offers[0]!);
    expect(area.value).toBe('so I am ten minutes away.');
    backspace();
    expect(area.value).toBe('so ;t');
    key('z');
    expect(area.value).toBe('so I am ten minutes away.');
  });

  test('rejected, what was typed stays and does not fire', () => {
    const { area, pad, type, state } = field();
    type(';ten');
    pad.keep(state().offers);
    expect(state().offers).toEqual([]);
    type(' ');
    expect(area.value).toBe(';ten ');
  });
});

describe('keys and shortcuts of the page', () => {
  test('a key pressed there is typed: it fires, and deletes whole signs', () => {
    const { area, pad } = field();
    for (const text of ['f', 'a', 'm', ' ']) pad.press(text);
    expect(area.value).toBe('👩‍👩‍👧 ');
    pad.press('x');
    pad.backspace();
    pad.backspace();
    pad.backspace();
    expect(area.value).toBe('');
  });

  test('a shortcut put in by a tap, with a space before it, is one step; Backspace takes it out', () => {
    const { area, pad, type, backspace, key } = field();
    type('Hello,');
    pad.put(entries[0]!, ' ');
    expect(area.value).toBe('Hello, I am ten minutes away.');
    key('z');
    expect(area.value).toBe('Hello,');
    key('y');
    expect(area.value).toBe('Hello, I am ten minutes away.');
    key('z');
    pad.put(entries[0]!, ' ');
    backspace();
    expect(area.value).toBe('Hello, ');
  });

  test('one that asks says so, with the space that goes before it', () => {
    const { area, pad, events } = field('Hi');
    pad.put({ ...entries[0]!, asks: true }, ' ');
    const asked = events[0];
    expect(asked).toMatchObject({ type: 'asked', typed: '', joiner: ' ' });
    if (asked?.type === 'asked') pad.fill(asked, { plain: '(there)', caret: 1, html: null });
    expect(area.value).toBe('Hi (there)');
    expect(area.selectionStart).toBe('Hi ('.length);
  });
});

test('gaps are walked, and typed over', () => {
  const { area, pad, type } = field('Dear ____, on ____');
  area.setSelectionRange(0, 0);
  document.dispatchEvent(new Event('selectionchange'));
  expect(pad.walkGap('forward')).toBe(true);
  type('R');
  expect(area.value).toBe('Dear R, on ____');
  expect(pad.walkGap('forward')).toBe(true);
  expect(pad.walkGap('forward')).toBe(false);
  expect(pad.walkGap('forward', true)).toBe(true);
  expect(area.value.slice(area.selectionStart, area.selectionEnd)).toBe('____');
});

test('a text typed out that a code gives is told of, one put in is not', () => {
  const { type, missed } = field();
  type(';ten and more ');
  expect(missed).toEqual([]);
  type('i am ten minutes away, ');
  expect(missed).toEqual(['1']);
});

test('what is kept can be begun with again: its history, and what is formatted', () => {
  const first = field();
  first.type('fam ');
  const asked = { type: 'asked', id: '9', typed: 'fam', range: { start: 0, end: 0 } } as const;
  expect(
    first.pad.fill({ ...asked, typed: '' }, { plain: 'Best wishes', caret: null, html: '<p>Best <em>wishes</em></p>' }),
  ).toBe(true);
  const { content } = first.pad;
  expect(content.formatted).toEqual([{ start: 0, end: 11, html: '<p>Best <em>wishes</em></p>' }]);
  const second = field(content.text, device, structuredClone(content));
  second.key('z');
  second.key('z');
  expect(second.area.value).toBe('fam ');
  second.key('y');
  expect(second.area.value).toBe('👩‍👩‍👧 ');
});

test('as on a device: what it makes of keys, what it does not hold', () => {
  const long = [shortcut('longer', 'word '.repeat(60), 0)];
  const phone = DeviceList.of(
    settleRules({ shortcuts: [...shortcuts.map((one, index) => ({ ...one, id: `s${index}` })), ...long], sets: [] }),
    {
      ...DEVICE_PROFILES['phone-list'],
      longestExpansion: 200,
    },
  );
  const { area, type, told, refused, key } = field('', phone);
  type('so ;ten  yes -- no');
  expect(area.value).toBe('So I am ten minutes away.  Yes — no');
  type(' longer ');
  expect(refused()).toEqual({ id: '1', typed: 'longer', why: 'too long' });
  expect(told()).toEqual([]);
  key('z');
  expect(area.value).toBe('So I am ten minutes away.  Yes — no ');
});
