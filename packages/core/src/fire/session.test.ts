import fc from 'fast-check';

import { THIS_APP } from '../profile';
import {
  applyEdit,
  applyInput,
  CompiledList,
  difference,
  joinEdits,
  startSession,
  UndoHistory,
  type FiringEntry,
  type FiringEvent,
  type Input,
  type TypingSession,
} from '.';

const entryOf = (id: string, code: string, expansion: string, more: Partial<FiringEntry> = {}) => ({
  id,
  code,
  expansion,
  fires: 'delimiter' as const,
  edge: 'word' as const,
  capitals: 'ignore' as const,
  delimiter: 'keep' as const,
  uses: 0,
  language: 'und',
  ...more,
});

function listOf(codes: Record<string, string>, anywhere: string[] = []): CompiledList {
  const entries = Object.entries(codes).map(([code, expansion], index) =>
    entryOf(String(index), code, expansion, { edge: anywhere.includes(code) ? 'anywhere' : 'word' }),
  );
  return CompiledList.compile(entries, THIS_APP);
}

/** A field under test: it shows inputs as a browser would, then applies the edits it is told. */
class Field {
  text = '';
  session: TypingSession = startSession();
  events: FiringEvent[] = [];

  constructor(private readonly list: CompiledList) {}

  do(input: Input): this {
    if (input.type === 'edit') {
      this.text = applyEdit(this.text, { range: input.range, replacement: input.text });
    }
    const outcome = applyInput(this.session, input, this.list);
    if (outcome.edit) {
      this.text = applyEdit(this.text, outcome.edit);
      expect(outcome.session.caret.start).toBe(outcome.edit.caret);
    }
    this.session = outcome.session;
    this.events.push(...outcome.events);
    expect(this.text).toBe(this.session.text);
    return this;
  }

  /** Types as on a keyboard: one code point at a time; `⌫` is Backspace. */
  type(keys: string): this {
    for (const key of keys) {
      if (key === '⌫') this.backspace();
      else this.do({ type: 'edit', range: this.session.caret, text: key, how: 'typing' });
    }
    return this;
  }

  backspace(): this {
    const end = this.session.caret.end;
    const length = /[\u{10000}-\u{10ffff}]$/u.test(this.text.slice(0, end)) ? 2 : 1;
    const range = { start: Math.max(0, end - length), end };
    return this.do({ type: 'edit', range, text: '', how: 'backspace' });
  }

  paste(text: string): this {
    return this.do({ type: 'edit', range: this.session.caret, text, how: 'paste' });
  }

  moveTo(offset: number): this {
    return this.do({ type: 'caret', caret: { start: offset, end: offset } });
  }

  compose(...states: string[]): this {
    let { start, end } = this.session.caret;
    for (const text of states) {
      this.do({ type: 'edit', range: { start, end }, text, how: 'composing' });
      end = start + text.length;
      start = this.session.composition!.replaced.start;
    }
    return this.do({ type: 'composition-end' });
  }
}

const codes = { hrp: 'Heather Road parking', ';w': 'Workshop', loc: 'Location', 'loc:': 'We are here' };
const typed = (keys: string, list = listOf(codes)) => new Field(list).type(keys).text;

describe('a code fires', () => {
  test.each([
    ['a space', 'hrp ', 'Heather Road parking '],
    ['a return', 'hrp\n', 'Heather Road parking\n'],
    ['a full stop', 'hrp.', 'Heather Road parking.'],
    ['a closing bracket', '(hrp)', '(Heather Road parking)'],
    ['a danda', 'hrp।', 'Heather Road parking।'],
    ['capitals', 'HRP ', 'Heather Road parking '],
    ['a mark', 'see ;w ', 'see Workshop '],
    ['a new line before', 'a\n;w ', 'a\nWorkshop '],
  ])('after or with %s', (_name, keys, text) => expect(typed(keys)).toBe(text));

  test.each([
    ['without a delimiter', 'hrp', 'hrp'],
    ['inside a word', 'xhrp ', 'xhrp '],
    ['as the beginning of a word', 'hrps ', 'hrps '],
    ['before an apostrophe', "hrp's ", "hrp's "],
    ['in an address', 'hrp@vale.example', 'hrp@vale.example'],
    ['when its mark stands in a word', 'a;w ', 'a;w '],
  ])('not %s', (_name, keys, text) => expect(typed(keys)).toBe(text));

  test('anywhere when it may: 21 and a degree sign', () => {
    expect(typed('21dg ', listOf({ dg: '°' }, ['dg']))).toBe('21° ');
    expect(typed('21dg ', listOf({ dg: '°' }))).toBe('21dg ');
  });

  test('beside a script without spaces', () => {
    expect(typed('京都hrp ')).toBe('京都Heather Road parking ');
  });

  test('and tells what fired', () => {
    const field = new Field(listOf(codes)).type('Hrp ');
    expect(field.events).toEqual([
      { type: 'fired', by: 'delimiter', id: '0', typed: 'Hrp', expansion: 'Heather Road parking' },
    ]);
  });

  test('a line of thirty for five of one key (common practice, no source)', () => {
    expect(typed('-----\n', listOf({ '-----': '-'.repeat(30) }))).toBe(`${'-'.repeat(30)}\n`);
  });
});

describe('of several codes', () => {
  test('the longest wins', () => {
    const list = listOf({ oar: 'short', 'big oar': 'long' });
    expect(typed('big oar ', list)).toBe('long ');
    expect(typed('a oar ', list)).toBe('a short ');
  });

  test('a delimiter that goes on with a longer code is waited for', () => {
    expect(typed('loc:')).toBe('loc:');
    expect(typed('loc: ')).toBe('We are here ');
    expect(typed('loc:x')).toBe('Location:x');
    expect(typed('loc, ')).toBe('Location, ');
  });

  test('what waited fires in place and keeps what came after', () => {
    const list = listOf({ big: 'Huge', 'big oar': 'long' });
    expect(typed('big o', list)).toBe('big o');
    expect(typed('big of', list)).toBe('Huge of');
    expect(typed('big of⌫', list)).toBe('big of');
  });

  test('of two with one match key the older fires', () => {
    expect(typed('W ', CompiledList.compile([entryOf('b', 'w', 'newer'), entryOf('a', 'W', 'older')], THIS_APP))).toBe(
      'older ',
    );
  });
});

describe('Backspace straight after', () => {
  test('gives back exactly what was typed, and that stays', () => {
    const field = new Field(listOf(codes)).type('so HrP ⌫');
    expect(field.text).toBe('so HrP ');
    expect(field.session.caret.start).toBe(7);
    expect(field.events.at(-1)).toEqual({ type: 'taken-back', id: '0', typed: 'HrP' });
    expect(field.type('and ').text).toBe('so HrP and ');
    expect(field.moveTo(6).type(' ').text).toBe('so HrP  and ');
  });

  test('once: the next one only deletes', () => {
    expect(typed('hrp ⌫⌫')).toBe('hrp');
    expect(typed('hrp ⌫⌫ ')).toBe('hrp ');
  });

  test('lets it fire again when one of its characters was changed', () => {
    expect(typed('hrp ⌫⌫⌫p ')).toBe('Heather Road parking ');
  });

  test('but not after the caret has moved', () => {
    const field = new Field(listOf(codes)).type('hrp ').moveTo(3).moveTo(21).backspace();
    expect(field.text).toBe('Heather Road parking');
  });

  test('deletes as usual when nothing fired', () => expect(typed('abc⌫')).toBe('ab'));
});

describe('what was not typed does not fire', () => {
  test('a pasted code', () => {
    expect(new Field(listOf(codes)).paste('hrp').type(' ').text).toBe('hrp ');
    expect(new Field(listOf(codes)).paste('hrp ').text).toBe('hrp ');
  });

  test('but one that was pasted in part does', () => {
    expect(new Field(listOf(codes)).paste('hr').type('p ').text).toBe('Heather Road parking ');
  });

  test('an expansion that ends in a code', () => {
    expect(typed('a b ', listOf({ a: 'b' }))).toBe('b b ');
    expect(typed('a⌫', listOf({ a: 'b', b: 'c' }))).toBe('');
    const field = new Field(listOf({ a: 'see hrp', hrp: 'x' })).type('a ').moveTo(7).type(' ');
    expect(field.text).toBe('see hrp  ');
  });

  test('a code equal to its expansion leaves a word alone (common practice, no source)', () => {
    expect(typed('corrie ', listOf({ corrie: 'corrie' }))).toBe('corrie ');
  });
});

describe('clusters are never split', () => {
  const FAMILY = '👩‍👩‍👧';
  const list = listOf({ [FAMILY]: 'family', e: 'letter', क्षि: 'kshi', '🇸🇪': 'Sweden', fam: FAMILY });

  test.each([
    [`${FAMILY} `, 'family '],
    ['👩 ', '👩 '],
    [`👩\u200d${FAMILY} `, `👩\u200d${FAMILY} `],
    ['e\u0301 ', 'e\u0301 '],
    ['e ', 'letter '],
    ['क्षि ', 'kshi '],
    ['क्ष ', 'क्ष '],
    ['🇸🇪 ', 'Sweden '],
    ['🇳🇸🇪 ', '🇳🇸🇪 '],
    ['fam ', `${FAMILY} `],
    ['fam ⌫', 'fam '],
    ['क्षि ⌫', 'क्षि '],
  ])('%j gives %j', (keys, text) => expect(typed(keys, list)).toBe(text));

  test('a decomposed accent fires a composed code, and comes back decomposed', () => {
    const accents = listOf({ café: 'Kaffeehaus' });
    expect(typed('cafe\u0301 ', accents)).toBe('Kaffeehaus ');
    expect(typed('cafe\u0301 ⌫', accents)).toBe('cafe\u0301 ');
  });
});

describe('letters that arrive as a composition', () => {
  test('fire at the delimiter that ends it', () => {
    const field = new Field(listOf(codes)).compose('h', 'hr', 'hrp', 'hrp ');
    expect(field.text).toBe('Heather Road parking ');
    expect(field.backspace().text).toBe('hrp ');
  });

  test('fire at a delimiter typed after it', () => {
    expect(new Field(listOf(codes)).compose('h', 'hrp').type(' ').text).toBe('Heather Road parking ');
  });

  test('do not fire inside it', () => {
    const field = new Field(listOf(codes)).type('x ');
    field.do({ type: 'edit', range: { start: 2, end: 2 }, text: 'hrp ni', how: 'composing' });
    expect(field.text).toBe('x hrp ni');
    field.do({ type: 'edit', range: { start: 2, end: 8 }, text: '哈你', how: 'composing' });
    expect(field.do({ type: 'composition-end' }).text).toBe('x 哈你');
  });

  test('may take in a word that stood there before', () => {
    const field = new Field(listOf(codes)).type('see hr').moveTo(6);
    field.do({ type: 'edit', range: { start: 4, end: 6 }, text: 'hrp', how: 'composing' });
    expect(field.do({ type: 'composition-end' }).type(' ').text).toBe('see Heather Road parking ');
  });
});

test('text that arrives at once fires as if typed, with one edit', () => {
  const field = new Field(listOf(codes)).type('a ');
  field.do({ type: 'edit', range: field.session.caret, text: 'hrp and ;w now', how: 'typing' });
  expect(field.text).toBe('a Heather Road parking and Workshop now');
  expect(field.events).toHaveLength(2);
});

test('typing over a selection replaces it first', () => {
  const field = new Field(listOf(codes)).type('xhrp');
  field.do({ type: 'edit', range: { start: 0, end: 1 }, text: '(', how: 'typing' });
  expect(field.moveTo(4).type(')').text).toBe('(Heather Road parking)');
});

test('Backspace after any firing restores text and caret exactly', () => {
  const word = fc.constantFrom('hrp', 'HRP', ';w', 'loc:', 'plain', 'e\u0301', '👩‍👩‍👧');
  fc.assert(
    fc.property(fc.array(word, { maxLength: 6 }), fc.constantFrom(' ', '.', '\n'), (words, end) => {
      const field = new Field(listOf(codes)).type(words.map((item) => `${item} `).join(''));
      const before = field.text;
      field.type(`hrp${end}⌫`);
      expect(field.text).toBe(`${before}hrp${end}`);
      expect(field.session.caret.start).toBe(field.text.length);
    }),
  );
});

test('two edits one after the other are one edit', () => {
  const edits = (text: string) =>
    fc.tuple(fc.nat(text.length), fc.nat(text.length), fc.string({ maxLength: 4 })).map(([a, b, replacement]) => {
      const range = { start: Math.min(a, b), end: Math.max(a, b) };
      return { range, replacement, caret: range.start + replacement.length };
    });
  const pairs = fc.string({ maxLength: 12 }).chain((before) =>
    edits(before).chain((first) => {
      const between = applyEdit(before, first);
      return edits(between).map((second) => ({ before, first, second, after: applyEdit(between, second) }));
    }),
  );
  fc.assert(
    fc.property(pairs, ({ before, first, second, after }) => {
      const joined = joinEdits(first, second, before, after);
      expect(applyEdit(before, joined)).toBe(after);
      expect(joined.caret).toBe(second.caret);
    }),
  );
});

describe('undo history', () => {
  const at = (text: string, caret = text.length) => ({ text, caret: { start: caret, end: caret } });

  test('takes back words, firings and pastes one by one, and makes them again', () => {
    const states = ['', 'a', 'ab', 'ab ', 'ab c', 'ab Location'];
    let history = UndoHistory.empty;
    states.forEach((state, index) => {
      const next = states[index + 1];
      if (next !== undefined) history = history.record(at(state), difference(state, next), next.length < 6);
    });
    const undone: string[] = [];
    let text = states.at(-1)!;
    for (let step = history.undo(); step; step = history.undo()) {
      text = applyEdit(text, step.edit);
      undone.push(text);
      history = step.history;
    }
    expect(undone).toEqual(['ab c', 'ab ', '']);
    for (let step = history.redo(); step; step = history.redo()) {
      text = applyEdit(text, step.edit);
      history = step.history;
    }
    expect(text).toBe('ab Location');
    expect(history.canRedo).toBe(false);
  });

  test('a new change forgets what was undone; no change is no step', () => {
    const history = UndoHistory.empty.record(at(''), difference('', 'a'), true).undo()!.history;
    expect(history.canRedo).toBe(true);
    const after = history.record(at(''), difference('', 'b'), true);
    expect(after.canRedo).toBe(false);
    expect(after.record(at('b'), difference('b', 'b'), true)).toBe(after);
  });
});

describe('a code whose text is asked for', () => {
  const asking = (more: Partial<FiringEntry> = {}) =>
    CompiledList.compile([entryOf('1', ';rep', '', { asks: true, ...more })], THIS_APP);
  const asked = (field: Field) => field.events.find((event) => event.type === 'asked')!;

  test('stays as typed until it is filled in; then one Backspace takes it back', () => {
    const field = new Field(asking()).type('so ;rep ');
    expect(field.text).toBe('so ;rep ');
    expect(asked(field)).toEqual({ type: 'asked', id: '1', typed: ';rep', range: { start: 3, end: 7 } });
    field.do({ type: 'fill', id: '1', range: { start: 3, end: 7 }, text: 'Report: fine', caret: null });
    expect(field.text).toBe('so Report: fine ');
    expect(field.session.caret.start).toBe(field.text.length);
    expect(field.events.at(-1)).toMatchObject({ type: 'fired', by: 'filled', typed: ';rep' });
    expect(field.type('⌫').text).toBe('so ;rep ');
    // It stays as typed now.
    expect(field.type(' ').text).toBe('so ;rep  ');
  });

  test('puts the caret where the text says', () => {
    const field = new Field(asking())
      .type(';rep ')
      .do({ type: 'fill', id: '1', range: { start: 0, end: 4 }, text: '[MV: ]', caret: 5 });
    expect(field.session.caret.start).toBe(5);
    expect(field.type('x').text).toBe('[MV: x] ');
  });

  test('that drops its delimiter has it in its range; left as it is it does not ask again', () => {
    const field = new Field(asking({ delimiter: 'drop' })).type(';rep ');
    expect(asked(field)).toMatchObject({ range: { start: 0, end: 5 } });
    field.type('and so ');
    expect(field.events.filter((event) => event.type === 'asked')).toHaveLength(1);
    expect(field.text).toBe(';rep and so ');
  });

  test('is asked for by an offer too', () => {
    const list = asking({ fires: 'offer' });
    const field = new Field(list).type(';re');
    field.do({ type: 'take', offer: list.at(';re', 3).offers()[0]! });
    expect(asked(field)).toMatchObject({ range: { start: 0, end: 3 } });
    expect(field.text).toBe(';re');
  });
});
