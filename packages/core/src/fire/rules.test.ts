import { DEVICE_PROFILES, DeviceProfileSchema, type DeviceProfile } from '../profile';
import { compile } from './list';
import type { FiringEntry } from './rules';
import { applyInput, offersOf } from './session';
import { startSession } from './typingSession';
import { keysOf, simulate, type Keystroke } from './simulate';
import { device, entry, listOf } from './testing';

/** Types keys on a device: `⌫` is Backspace. */
function typed(keys: string, entries: FiringEntry[], profile: Partial<DeviceProfile> = {}): string {
  return run(keys, entries, profile).text;
}

function run(keys: string, entries: FiringEntry[], profile: Partial<DeviceProfile> = {}) {
  const strokes = keysOf(keys).map((key): Keystroke =>
    key.type === 'key' && key.text === '⌫' ? { type: 'backspace' } : key,
  );
  return simulate(strokes, listOf(entries, profile), device(profile));
}

const rulesOf = (keys: string, entries: FiringEntry[], profile: Partial<DeviceProfile> = {}) =>
  run(keys, entries, profile).trace.map(({ rule }) => rule);

const oar = entry('oar', 'Rowing club');
const instant = { fires: 'instant' } as const;

describe('1 ways to fire', () => {
  test('1.1 at a delimiter, which stays or goes', () => {
    expect(typed('oar ', [oar])).toBe('Rowing club ');
    expect(typed('oar ', [{ ...oar, delimiter: 'drop' }])).toBe('Rowing club');
  });
  test('1.2 instantly', () => expect(typed('oar', [{ ...oar, ...instant }])).toBe('Rowing club'));
  test('1.3 an offer never by itself', () => {
    expect(typed('oar ', [{ ...oar, fires: 'offer' }])).toBe('oar ');
    expect(rulesOf('oar ', [{ ...oar, fires: 'offer' }])).toContain('offer-only');
  });
  test('1.4 the nearest that asks decides', () => {
    const shortcut = (id: string, setId: string | null, kind: 'message' | 'symbol', rules = {}) => ({
      id,
      code: id,
      content: { expansion: id.toUpperCase(), template: false, format: 'plain' as const },
      kind,
      setId,
      rules,
    });
    const list = compile(
      {
        rules: { fires: 'offer' },
        sets: [{ id: 'set', rules: { fires: 'instant', capitals: 'match' } }],
        shortcuts: [
          shortcut('own', 'set', 'message', { fires: 'delimiter' }),
          shortcut('sets', 'set', 'message'),
          shortcut('lists', null, 'symbol'),
        ],
      },
      device(),
    );
    const settled = Object.fromEntries(
      ['own', 'sets', 'lists'].map((code) => [code, list.at(code, code.length).matches()[0]!.entry]),
    );
    expect(settled).toMatchObject({
      own: { fires: 'delimiter', capitals: 'match', edge: 'word' },
      sets: { fires: 'instant', capitals: 'match', delimiter: 'keep' },
      lists: { fires: 'offer', capitals: 'ignore', edge: 'anywhere' },
    });
  });
  test('1.5 a device goes its own way where it lacks the one asked for', () => {
    const profile = { ways: ['instant'], otherwise: 'instant' } as const;
    expect(typed('oar', [oar], { ...profile, ways: [...profile.ways] })).toBe('Rowing club');
    expect(typed('oar ', [oar], { keepsDelimiter: 'drop' })).toBe('Rowing club');
  });
  test('1.6 a device’s own delimiters, or none at all', () => {
    expect(typed('oar_', [oar], { delimiters: ['_'] })).toBe('Rowing club_');
    expect(typed('oar ', [oar], { delimiters: ['_'] })).toBe('oar ');
    expect(typed('oar .\n', [oar], { delimiters: [] })).toBe('oar .\n');
  });
});

describe('2 edges', () => {
  test.each([
    ['2.1 not in a word', 'xoar ', 'xoar '],
    ['2.1 not after a joining sign', "it's oar", "it's oar"],
    ['2.1 behind other signs', '(oar ', '(Rowing club '],
    ['2.3 beside a script without spaces', '京oar ', '京Rowing club '],
  ])('%s', (_name, keys, text) => expect(typed(keys, [oar])).toBe(text));

  test('2.1 signs that join: letters in it’s and www.name, digits in 3,50', () => {
    expect(typed("it's www.oar ", [entry('s', 'S'), oar])).toBe("it's www.oar ");
    expect(typed('3,50 ', [entry('50', 'fifty')])).toBe('3,50 ');
    expect(typed('a,50 ', [entry('50', 'fifty')])).toBe('a,fifty ');
  });
  test('2.2 a mark needs white space, a start or an opening', () => {
    const ws = entry(';w', 'Workshop');
    expect(typed('a;w (;w ', [ws])).toBe('a;w (Workshop ');
    expect(rulesOf('a;w ', [ws])).toContain('no-edge');
  });
  test('2.4 anywhere', () => expect(typed('21dg ', [entry('dg', '°', { edge: 'anywhere' })])).toBe('21° '));
  test('2.5 clusters stay whole', () => {
    expect(typed('e\u0301 ', [entry('e', 'E!')])).toBe('e\u0301 ');
    expect(typed('👩‍👩‍👧 ', [entry('👧', 'girl', { edge: 'anywhere' })])).toBe('👩‍👩‍👧 ');
  });
});

describe('3 which code', () => {
  test('3.1 the one that begins first', () => {
    expect(typed('big oar ', [oar, entry('big oar', 'Eight')])).toBe('Eight ');
  });
  test('3.2 of one key the oldest whose capitals fit', () => {
    const twins = [
      entry('oar', 'older', { id: '1', capitals: 'match' }),
      entry('Oar', 'newer', { id: '2', capitals: 'match' }),
    ];
    expect(typed('oar Oar OAR ', twins)).toBe('older newer OAR ');
  });
  test('3.2 a device’s own entries come last', () => {
    const builtIn = [{ code: 'oar', expansion: 'built in' }];
    expect(typed('oar ', [oar], { builtIn })).toBe('Rowing club ');
    expect(typed('oar ', [], { builtIn })).toBe('built in ');
  });
});

describe('4 codes that begin others', () => {
  const pair = [entry('oar', 'short', instant), entry('oar!', 'long', instant)];
  test('4.1 now: the longer cannot be reached', () => {
    expect(typed('oar!', pair, { prefix: 'now' })).toBe('short!');
  });
  test('4.2, 4.3 wait: the longer is reached, else the shorter fires in place', () => {
    expect(typed('oar!', pair)).toBe('long');
    expect(typed('oar', pair)).toBe('oar');
    expect(typed('oar.', pair)).toBe('short.');
    expect(rulesOf('oar.', pair)).toEqual(['waits', 'fired-by-waiting']);
  });
  test('4.4 a delimiter that continues a code is part of it first', () => {
    const both = [oar, entry('oar!', 'Shout')];
    expect(typed('oar! ', both)).toBe('Shout ');
    expect(typed('oar!x', both)).toBe('Rowing club!x');
    expect(typed('oar! ', both, { prefix: 'now' })).toBe('Rowing club! ');
  });
  test('4.5 moving the caret ends the waiting', () => {
    const keys: Keystroke[] = [...keysOf('oar'), { type: 'caret', to: 0 }, { type: 'caret', to: 3 }, ...keysOf('.')];
    expect(simulate(keys, listOf(pair), device()).text).toBe('oar.');
  });
});

describe('5 capitals', () => {
  const follow = (code: string, expansion: string, language = 'und') =>
    entry(code, expansion, { capitals: 'follow', language });
  test('5.1 ignored', () => expect(typed('OAR ', [oar])).toBe('Rowing club '));
  test('5.2 matched', () => {
    const match = [{ ...oar, capitals: 'match' as const }];
    expect(typed('oar Oar ', match)).toBe('Rowing club Oar ');
    expect(rulesOf('Oar ', match)).toContain('other-capitals');
  });
  test.each([
    ['as written', 'bye ', follow('bye', 'until soon'), 'until soon '],
    ['first raised', 'Bye ', follow('bye', 'until soon'), 'Until soon '],
    ['all raised', 'BYE ', follow('bye', 'until soon'), 'UNTIL SOON '],
    ['one letter is first, not all', 'B ', follow('b', 'until soon'), 'Until soon '],
    ['behind a mark', ';Bye ', follow(';bye', '“until soon”'), '“Until soon” '],
    ['Turkish i', 'Bye ', follow('bye', 'istasyon', 'tr'), 'İstasyon '],
    ['Turkish i, all', 'BYE ', follow('bye', 'istasyon', 'tr'), 'İSTASYON '],
    ['sharp s, all', 'ST ', follow('st', 'straße'), 'STRASSE '],
    ['sharp s first', 'Sz ', follow('sz', 'ßa'), 'Ssa '],
    ['a digraph first', 'Dz ', follow('dz', 'ǆep'), 'ǅep '],
    ['final sigma', 'ΟΔΟΣ ', follow('οδος', 'δρόμος'), 'ΔΡΌΜΟΣ '],
  ])('5.3 followed: %s', (_name, keys, code, text) => expect(typed(keys, [code])).toBe(text));
});

describe('6 offers', () => {
  const many = [
    entry('par', 'exact', { uses: 0 }),
    entry('parking', 'used', { uses: 9 }),
    entry('park', 'short', { uses: 1 }),
    entry('parcel', 'long', { uses: 1 }),
  ];
  const offersAt = (text: string, limit?: number) =>
    offersOf(startSession(text), listOf(many), limit).map(({ entry: { code } }) => code);

  test('6.1, 6.2 whole codes first, then by use, then the shortest', () => {
    expect(offersAt('see PAR')).toEqual(['par', 'parking', 'park', 'parcel']);
    expect(offersAt('see pa', 2)).toEqual(['parking', 'park']);
    expect(offersAt('spa')).toEqual([]);
    expect(offersAt('par ')).toEqual([]);
    expect(offersOf(startSession('par'), listOf(many, { ways: ['delimiter'] }))).toEqual([]);
  });
  test('6.3 taken, taken back, kept', () => {
    const list = listOf(many);
    const press = (keys: Keystroke[]) => simulate(keys, list, device()).text;
    expect(press([...keysOf('see pa'), { type: 'take', nth: 0 }])).toBe('see used');
    expect(press([...keysOf('see pa'), { type: 'take', nth: 0 }, { type: 'backspace' }])).toBe('see pa');
    expect(press([...keysOf('pa'), { type: 'take', nth: 9 }])).toBe('pa');
    const kept: Keystroke[] = [...keysOf('par'), { type: 'keep' }];
    expect(press([...kept, ...keysOf(' ')])).toBe('par ');
    expect(press([...kept, { type: 'take', nth: 0 }])).toBe('par');
    expect(press([...kept, { type: 'backspace' }, ...keysOf('r ')])).toBe('exact ');
  });
});

describe('7 taking back', () => {
  test('7.1, 7.2 exactly, and quiet until changed', () => {
    expect(typed('Oar ⌫', [oar])).toBe('Oar ');
    expect(typed('oar ⌫⌫ ', [oar])).toBe('oar ');
    expect(typed('oar ⌫⌫⌫r ', [oar])).toBe('Rowing club ');
    expect(typed('oar ⌫', [{ ...oar, delimiter: 'drop' }])).toBe('oar ');
    expect(typed('oar⌫', [{ ...oar, ...instant }])).toBe('oar');
  });
  test('7.3 only straight after', () => expect(typed('oar x⌫⌫', [oar])).toBe('Rowing club'));
});

describe('8 never', () => {
  test('8.1 in a password field', () => {
    const secret = startSession('', true);
    const list = listOf([oar]);
    let session = secret;
    for (const text of 'oar ') {
      session = applyInput(session, { type: 'edit', range: session.caret, text, how: 'typing' }, list).session;
      expect(offersOf(session, list)).toEqual([]);
    }
    expect(session.text).toBe('oar ');
  });
  test('8.2 pasted, or put in, unless the device rescans', () => {
    const loop = [entry('a', 'b'), entry('b', 'a')];
    const keys: Keystroke[] = [{ type: 'paste', text: 'oar' }, ...keysOf(' ')];
    expect(simulate(keys, listOf([oar]), device())).toMatchObject({
      text: 'oar ',
      trace: [{ at: 1, rule: 'quiet', id: 'oar', typed: 'oar' }],
    });
    expect(typed('a ', loop)).toBe('b ');
    expect(rulesOf('a ', loop, { rescans: true })).toEqual([
      'fired-by-delimiter',
      ...Array.from({ length: 7 }, () => 'fired-by-rescan'),
    ]);
    expect(typed('a ⌫', loop, { rescans: true })).toBe('a ');
  });
  test('8.4 what arrives at once and is too long to be typed', () => {
    const arrives = (text: string) =>
      applyInput(startSession(), { type: 'edit', range: { start: 0, end: 0 }, text, how: 'typing' }, listOf([oar]))
        .session;
    expect(arrives(`${'x '.repeat(990)}oar `).text).toMatch(/ Rowing club $/);
    const pasted = arrives(`${'x '.repeat(1_000)}oar`);
    const after = applyInput(
      pasted,
      { type: 'edit', range: pasted.caret, text: ' ', how: 'typing' },
      listOf([oar]),
    ).session;
    expect(after.text).toMatch(/ oar $/);
  });
  test('8.5 in a page of somebody else, what was not typed by hand', () => {
    const list = listOf([oar]);
    const typing = (text: string, written: string) => {
      let session = startSession(written, false, written.length);
      for (const character of text) {
        const input = { type: 'edit', range: session.caret, text: character, how: 'typing' } as const;
        ({ session } = applyInput(session, input, list));
      }
      return session;
    };
    expect(typing('oar ', 'the ').text).toBe('the Rowing club ');
    expect(typing(' ', 'the oar').text).toBe('the oar ');
    expect(typing('r ', 'the oa').text).toBe('the oar ');
    expect(offersOf(typing('oa', 'the '), list)).toHaveLength(1);
    expect(offersOf(typing('a', 'the o'), list)).toEqual([]);
    // What the page wrote stays its own when what stands before it goes.
    const session = startSession('oar', false, 3);
    const shorter = applyInput(session, { type: 'edit', range: { start: 0, end: 2 }, text: '', how: 'other' }, list);
    expect(shorter.session.handFrom).toBe(1);
  });
});

describe('9 what a device changes first', () => {
  const phone = DEVICE_PROFILES['phone-list'];
  test.each([
    ['9.1 a sentence’s first letter', 'so. go', 'So. Go'],
    ['9.2 quotes', `so "it's"`, 'So “it’s”'],
    ['9.3 dashes and dots', 'so -- yes...', 'So — yes…'],
    ['9.4 two spaces make a full stop and a space (common practice, no source)', 'yes  no', 'Yes. No'],
  ])('%s', (_name, keys, text) => expect(typed(keys, [], phone)).toBe(text));

  test('9.1 a code that must match exactly fails at the start of a sentence', () => {
    const match = { ...phone, capitals: 'match' as const };
    expect(typed('oar oar ', [oar], match)).toBe('Oar Rowing club ');
    expect(rulesOf('oar ', [oar], match)).toEqual(['device-capital', 'other-capitals']);
  });
  test('9.3 a code of hyphens is changed before it is complete', () => {
    expect(typed('--- ', [entry('---', 'rule')], phone)).toBe('—- ');
  });
});

describe('common practice, no source', () => {
  test('five of one character for a ruled line of thirty', () => {
    expect(typed('-----\n', [entry('-----', '-'.repeat(30))])).toBe(`${'-'.repeat(30)}\n`);
  });
  test('an entry whose expansion equals its code leaves the word alone', () => {
    expect(typed('corrie ', [entry('corrie', 'corrie')])).toBe('corrie ');
  });
});

describe('device profiles', () => {
  test.each(Object.entries(DEVICE_PROFILES))('%s is sound', (id, profile) => {
    expect(DeviceProfileSchema.parse(profile)).toEqual(profile);
    expect(profile.id).toBe(id);
  });

  test.each<[Partial<DeviceProfile>, [string, string]]>([
    [{ ways: ['offer'], otherwise: 'instant' }, ['ways', 'otherwise']],
    [{ ways: ['instant'], otherwise: 'instant', keepsDelimiter: 'drop' }, ['ways', 'keepsDelimiter']],
    [{ formatting: true, lines: 'joined' }, ['formatting', 'lines']],
    [{ spacesInCodes: false, builtIn: [{ code: 'a b', expansion: 'c' }] }, ['spacesInCodes', 'builtIn']],
  ])('%j contradicts itself, and both fields are named', (more, fields) => {
    const result = DeviceProfileSchema.safeParse(device(more));
    expect(result.error?.issues.map(({ path }) => path[0])).toEqual(fields);
    expect(result.error?.issues[0]?.message).toContain(fields.join(' and '));
  });
});

describe('whatever comes', () => {
  test('codes made of delimiters alone', () => {
    expect(typed('... ', [entry('...', '…')])).toBe('… ');
    expect(typed(' !! ', [entry('!!', '‼')])).toBe(' ‼ ');
  });
  test('fifty thousand equal codes', () => {
    const equal = Array.from({ length: 50_000 }, (_, index) =>
      entry('oar', `${index}`, { id: String(index).padStart(6, '0'), uses: index === 777 ? 1 : 0 }),
    );
    const list = listOf(equal);
    expect(list.at('oar', 3).matches()[0]!.entry.expansion).toBe('0');
    expect(
      list
        .at('oa', 2)
        .offers(2)
        .map(({ entry: { expansion } }) => expansion),
    ).toEqual(['777', '0']);
    expect(list.scan('oar oar')).toHaveLength(2);
  });
  test('a line of a million characters', () => {
    const line = `${'word '.repeat(200_000)}oar`;
    const session = startSession(line);
    const { session: next } = applyInput(
      session,
      { type: 'edit', range: session.caret, text: ' ', how: 'typing' },
      listOf([oar]),
    );
    expect(next.text.endsWith('word Rowing club ')).toBe(true);
  });
  test('right-to-left and mixed text', () => {
    expect(typed('שלום oar שלום', [oar])).toBe('שלום Rowing club שלום');
    expect(typed('זמ ', [entry('זמ', 'זמן רב')])).toBe('זמן רב ');
  });
  test('a surrogate pair that arrives in halves', () => {
    const list = listOf([entry('😀', 'smile')]);
    let session = startSession();
    for (const text of ['\ud83d', '\ude00', ' ']) {
      session = applyInput(session, { type: 'edit', range: session.caret, text, how: 'typing' }, list).session;
    }
    expect(session.text).toBe('smile ');
  });
});

describe('changes over a base', () => {
  const base = listOf([oar, entry('oak', 'tree')]);
  test('put, changed and removed ones count at once; the base is as it was', () => {
    const next = base.with({ put: [entry('oat', 'grain'), { ...oar, expansion: 'Boat club' }], remove: ['oak'] });
    expect(
      next
        .at('oa', 2)
        .offers()
        .map(({ entry: { code } }) => code),
    ).toEqual(['oar', 'oat']);
    expect(
      next
        .at('oar', 3)
        .matches()
        .map(({ entry: { expansion } }) => expansion),
    ).toEqual(['Boat club']);
    expect(next.at('oak', 3).matches()).toEqual([]);
    expect(next.scan('oak oat')).toHaveLength(1);
    expect(next.overlaySize).toBe(3);
    expect(base.at('oak', 3).matches()).toHaveLength(1);
  });
  test('a list that was changed step by step equals one compiled at once', () => {
    const words = ['a', 'ab', 'abc', 'b c', 'bé', 'A', 'ac', 'bc', 'cab', 'ß'];
    const all = words.map((code, index) => entry(code, `<${code}>`, { id: String(index), uses: index % 3 }));
    let stepped = listOf(all.slice(0, 4));
    for (const item of all.slice(4)) stepped = stepped.with({ put: [item] });
    stepped = stepped.with({ remove: ['1', '7'] });
    const whole = listOf(all.filter(({ id }) => id !== '1' && id !== '7'));
    for (const text of ['a', 'ab', 'x ab', 'b', 'b c', 'cab', 'be\u0301', 'SS', 'A', '']) {
      expect(stepped.at(text, text.length).matches()).toEqual(whole.at(text, text.length).matches());
      expect(stepped.at(text, text.length).offers()).toEqual(whole.at(text, text.length).offers());
      expect(stepped.at(text, text.length).liveStart()).toBe(whole.at(text, text.length).liveStart());
      expect(stepped.scan(text)).toEqual(whole.scan(text));
    }
  });
});
