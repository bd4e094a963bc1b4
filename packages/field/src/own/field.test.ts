import { makeShortcut } from '@yellow-latch/core/model/testing';
import { DeviceList, MissedChances, type Refused } from '@yellow-latch/core/compose';
import { compile, settleRules, type Explanation } from '@yellow-latch/core/fire';
import { DEVICE_PROFILES, THIS_APP } from '@yellow-latch/core/profile';

import { attach, type FieldContent, type FieldEvent, type FieldState } from '.';

const shortcut = (code: string, expansion: string, index: number) =>
  makeShortcut(code, expansion, { id: String(index + 1) });
const shortcuts = [
  [';ten', 'I am ten minutes away.'],
  ['fam', '👩‍👩‍👧'],
  ['gaps', 'Dear ____, on ____.'],
].map(([code, expansion], index) => shortcut(code!, expansion!, index));
const entries = settleRules({ shortcuts, sets: [] });
const device = DeviceList.whole(compile({ shortcuts, sets: [] }, THIS_APP));

/** A text area in which a browser types: it changes the value, then tells what it did. */
function field(text = '', on = device, start?: FieldContent) {
  document.body.replaceChildren();
  const area = document.createElement('textarea');
  area.value = text;
  document.body.append(area);
  area.focus();
  area.setSelectionRange(text.length, text.length);
  const events: FieldEvent[] = [];
  const hesitations: (number | null)[] = [];
  const missed: string[] = [];
  let state!: FieldState;
  let told: readonly Explanation[] = [];
  let refused: Refused | null = null;
  const attached = attach(area, {
    device: on,
    chances: new MissedChances(shortcuts),
    start,
    onState: (next) => {
      state = next;
    },
    onFiring: (event, hesitation) => {
      events.push(event);
      hesitations.push(hesitation);
    },
    onExplained: (now, why) => {
      told = now;
      refused = why;
    },
    onMissed: ({ id }) => missed.push(id),
  });
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
    attached,
    events,
    hesitations,
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
  const { area, attached, type, key } = field();
  type('fam and more');
  attached.clear();
  expect(area.value).toBe('');
  key('z');
  expect(area.value).toBe('👩‍👩‍👧 and more');
});

test('a field that was detached leaves the field alone', () => {
  const { area, attached, type } = field();
  attached.detach();
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
    const { area, attached, type, state, backspace, key } = field();
    type('so ;t');
    attached.take(state().offers[0]!);
    expect(area.value).toBe('so I am ten minutes away.');
    backspace();
    expect(area.value).toBe('so ;t');
    key('z');
    expect(area.value).toBe('so I am ten minutes away.');
  });

  test('rejected, what was typed stays and does not fire', () => {
    const { area, attached, type, state } = field();
    type(';ten');
    attached.keep(state().offers);
    expect(state().offers).toEqual([]);
    type(' ');
    expect(area.value).toBe(';ten ');
  });
});

describe('keys and shortcuts of the page', () => {
  test('a key pressed there is typed: it fires, and deletes whole signs', () => {
    const { area, attached } = field();
    for (const text of ['f', 'a', 'm', ' ']) attached.press(text);
    expect(area.value).toBe('👩‍👩‍👧 ');
    attached.press('x');
    attached.backspace();
    attached.backspace();
    attached.backspace();
    expect(area.value).toBe('');
  });

  test('a shortcut put in by a tap, with a space before it, is one step; Backspace takes it out', () => {
    const { area, attached, type, backspace, key } = field();
    type('Hello,');
    attached.put(entries[0]!, ' ');
    expect(area.value).toBe('Hello, I am ten minutes away.');
    key('z');
    expect(area.value).toBe('Hello,');
    key('y');
    expect(area.value).toBe('Hello, I am ten minutes away.');
    key('z');
    attached.put(entries[0]!, ' ');
    backspace();
    expect(area.value).toBe('Hello, ');
  });

  test('one that asks says so, with the space that goes before it', () => {
    const { area, attached, events } = field('Hi');
    attached.put({ ...entries[0]!, asks: true }, ' ');
    const asked = events[0];
    expect(asked).toMatchObject({ type: 'asked', typed: '', joiner: ' ' });
    if (asked?.type === 'asked') attached.fill(asked, { plain: '(there)', caret: 1, html: null });
    expect(area.value).toBe('Hi (there)');
    expect(area.selectionStart).toBe('Hi ('.length);
  });
});

test('gaps are walked, and typed over', () => {
  const { area, attached, type } = field('Dear ____, on ____');
  area.setSelectionRange(0, 0);
  document.dispatchEvent(new Event('selectionchange'));
  expect(attached.walkGap('forward')).toBe(true);
  type('R');
  expect(area.value).toBe('Dear R, on ____');
  expect(attached.walkGap('forward')).toBe(true);
  expect(attached.walkGap('forward')).toBe(false);
  expect(attached.walkGap('forward', true)).toBe(true);
  expect(area.value.slice(area.selectionStart, area.selectionEnd)).toBe('____');
});

test('after a text with gaps has come, one goes on at its first gap, and from there', () => {
  const { area, attached, type } = field('Before ____. ');
  type('gaps ');
  expect(area.value).toBe('Before ____. Dear ____, on ____. ');
  expect(area.selectionStart).toBe(area.value.length);
  expect(attached.walkGap('forward')).toBe(true);
  expect(area.selectionStart).toBe('Before ____. Dear '.length);
  type('R');
  expect(attached.walkGap('forward')).toBe(true);
  type('Monday');
  expect(area.value).toBe('Before ____. Dear R, on Monday. ');
  expect(attached.walkGap('forward')).toBe(false);
});

test('who types on after a text with gaps goes on from there', () => {
  const { area, attached, type } = field();
  type('gaps and more');
  expect(attached.walkGap('forward')).toBe(false);
  expect(attached.walkGap('back')).toBe(true);
  expect(area.selectionStart).toBe('Dear ____, on '.length);
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
    first.attached.fill(
      { ...asked, typed: '' },
      { plain: 'Best wishes', caret: null, html: '<p>Best <em>wishes</em></p>' },
    ),
  ).toBe(true);
  const { content } = first.attached;
  expect(content.formatted).toEqual([{ start: 0, end: 11, html: '<p>Best <em>wishes</em></p>' }]);
  const second = field(content.text, device, JSON.parse(JSON.stringify(content)) as FieldContent);
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

test('a word that the keyboard would correct is told, corrected as it ends, and kept where it is turned down', () => {
  const corrected = device.correctedBy((word) => (word === 'teh' ? 'the' : null));
  const { area, attached, type, state, backspace } = field('', corrected);
  type('so teh');
  expect(state().correction).toMatchObject({ typed: 'teh', text: 'the' });
  type(' ');
  expect(area.value).toBe('so the ');
  expect(state().correction).toBeNull();
  backspace();
  expect(area.value).toBe('so teh ');
  type('teh');
  attached.keep([state().correction!]);
  expect(state().correction).toBeNull();
  type(' ');
  expect(area.value).toBe('so teh teh ');
});

test('keys of the page around go first; what they leave, and undo, stays with the field', () => {
  const area = document.createElement('textarea');
  document.body.replaceChildren(area);
  const asked: string[] = [];
  const onKey = ({ key }: KeyboardEvent) => asked.push(key) > 0 && key === 'Tab';
  attach(area, { device, onKey });
  const press = (init: KeyboardEventInit) => {
    const event = new KeyboardEvent('keydown', { cancelable: true, ...init });
    area.dispatchEvent(event);
    return event.defaultPrevented;
  };
  expect([press({ key: 'Tab' }), press({ key: 'x' }), press({ key: 'z', ctrlKey: true })]).toEqual([true, false, true]);
  expect(press({ key: 'Tab', isComposing: true })).toBe(false);
  expect(asked).toEqual(['Tab', 'x', 'z']);
});

test('what is formatted moves with the text and is plain once it is cut into', () => {
  const { area, attached, type } = field('Hi ');
  const asked = { type: 'asked', id: '9', typed: '', range: { start: 3, end: 3 } } as const;
  attached.fill(asked, { plain: 'Best', caret: null, html: '<b>Best</b>' });
  area.setSelectionRange(0, 0);
  document.dispatchEvent(new Event('selectionchange'));
  type('fam ');
  const at = '👩‍👩‍👧 Hi '.length;
  expect(attached.content.formatted).toEqual([{ start: at, end: at + 4, html: '<b>Best</b>' }]);
  attached.change({ start: at + 1, end: at + 2 }, 'o');
  expect(attached.content.formatted).toEqual([]);
});

test('a line of text and an element that is no field', () => {
  const line = document.createElement('input');
  document.body.replaceChildren(line);
  attach(line, { device });
  for (const key of 'see ;ten ') {
    line.value += key;
    line.setSelectionRange(line.value.length, line.value.length);
    line.dispatchEvent(new InputEvent('input', { inputType: 'insertText', bubbles: true }));
  }
  expect(line.value).toBe('see I am ten minutes away. ');
  for (const other of [Object.assign(document.createElement('input'), { type: 'checkbox' }), document.body])
    expect(() => attach(other, { device })).toThrow(TypeError);
});

describe('how long one hesitates over a code', () => {
  afterEach(() => jest.restoreAllMocks());

  /** Types a text, each key so many ms after the one before. */
  const typeAt = (keys: string, intervalOf: (at: number) => number) => {
    let now = 0;
    jest.spyOn(performance, 'now').mockImplementation(() => now);
    const typing = field();
    [...keys].forEach((key, at) => {
      now += intervalOf(at);
      typing.type(key);
    });
    return typing.hesitations;
  };

  test('is told with the firing: the pause before it, less what a key takes', () => {
    expect(typeAt('so I wrote to her ;ten ', (at) => (at === 18 ? 1_700 : 200))).toEqual([expect.closeTo(1.5, 6)]);
  });

  test('is not known at the beginning of a text', () => {
    expect(typeAt(';ten ', () => 200)).toEqual([null]);
  });

  test('is known of a second code right behind the first', () => {
    const [, second] = typeAt('so I wrote to her ;ten ;ten ', (at) => (at === 23 ? 1_200 : 200));
    expect(second).toBeCloseTo(1, 6);
  });
});
