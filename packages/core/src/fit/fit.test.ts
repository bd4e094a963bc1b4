import fc from 'fast-check';
import { v7 as uuid } from 'uuid';

import { CompiledList, heldBy, keysOf, settleRules, simulate } from '../fire';
import { KINDS } from '../model';
import { DEVICE_PROFILES, profileOf } from '../profile';
import { compileFor, ListFit, type FitShortcut } from '.';

const CONTEXT = { now: Date.UTC(2026, 10, 29, 12), locale: 'en-GB', zone: 'Europe/London' };

function shortcut(code: string, expansion: string, more: Partial<FitShortcut> = {}): FitShortcut {
  return {
    id: uuid(),
    code,
    content: { expansion, template: false, format: 'plain' },
    kind: 'message',
    setId: null,
    ...more,
  };
}

const listOf = (...shortcuts: FitShortcut[]) => ({ sets: [], shortcuts });
const named = (key: string) => ({ id: key, key });
const fitIn = (place: string, one: FitShortcut, ...others: FitShortcut[]) =>
  new ListFit(listOf(one, ...others), [named(place)], CONTEXT).fitOf(place, one.id);

const works = { verdict: 'works' };
const no = (why: string, by: string | null = null) => ({ verdict: 'no', why, by });

describe('what becomes of a shortcut in a place', () => {
  // Common practice, no source.
  test.each([
    ['a quick reply stops at 200 characters', 'keyboard-with-offers', shortcut(';d', 'x'.repeat(201)), no('too long')],
    ['and holds 200', 'keyboard-with-offers', shortcut(';d', 'x'.repeat(200)), works],
    [
      'a built-in list of a phone takes one line',
      'phone-list',
      shortcut(';a', '12 Mill Lane\nHebden'),
      { verdict: 'changed', how: ['lines'] },
    ],
    [
      'some refuse a second line',
      'phone-list~lines.refused',
      shortcut(';a', '12 Mill Lane\nHebden'),
      no('several lines'),
    ],
    ['a code with a space', 'tablet-list', shortcut('see you', 'See you soon'), no('space in code')],
    [
      'a code in the wrong language’s list never fires',
      'tablet-list~in.de',
      shortcut(';a', 'Good morning', { language: 'en' }),
      no('language'),
    ],
    [
      'in its own language’s it does',
      'tablet-list~in.de',
      shortcut(';a', 'Guten Morgen', { language: 'de-AT' }),
      works,
    ],
    ['a dash that was changed first', 'phone-list', shortcut('--a', 'an arrow'), no('punctuation')],
    ['the same where nothing is changed', 'phone-list~punctuation.kept', shortcut('--a', 'an arrow'), works],
    [
      'an entry equal to its code protects a word',
      'phone-list',
      shortcut('pianoforte', 'pianoforte', { kind: 'correction' }),
      works,
    ],
  ])('%s', (_, place, one, expected) => {
    expect(fitIn(place, one)).toEqual(expected);
  });

  test('two spaces make a full stop, also inside a code', () => {
    // Common practice, no source.
    const { text } = simulate(keysOf('so it is  '), listOf(), profileOf('phone-list'));
    expect(text).toBe('So it is. ');
    expect(fitIn('phone-list', shortcut('a  b', 'a and b'))).toEqual(no('punctuation'));
  });

  test('a template loses its blanks, a date cannot be carried', () => {
    const made = (expansion: string) => shortcut(';x', '', { content: { expansion, template: true, format: 'plain' } });
    expect(fitIn('phone-list', made('Dear {$name :text}'))).toEqual({ verdict: 'changed', how: ['blanks'] });
    expect(fitIn('phone-list', made('{:today}'))).toEqual(no('date'));
    expect(fitIn('app', made('{:today}'))).toEqual(works);
    expect(fitIn('phone-list', made('{$'))).toEqual(no('broken'));
  });

  test('a code that another one is quicker than says which', () => {
    const [short, long] = [shortcut(';ten', 'Ten minutes'), shortcut(';tenp', 'Ten past')];
    expect(fitIn('expander', long, short)).toEqual(no('another code', short.id));
    expect(fitIn('phone-list', long, short)).toEqual(works);
    expect(fitIn('app', long, short)).toEqual(works);
  });

  test('where capitals must match, a sentence’s capital is in the way at its start', () => {
    const place = { ...shortcut('wksp', 'workshop', { rules: { capitals: 'match' } }) };
    // The generic lists ignore capitals: what the shortcut asks for is not done there.
    expect(fitIn('phone-list', place)).toEqual({ verdict: 'changed', how: ['capitals'] });
  });

  test('a space that is to go stays where the place keeps it', () => {
    const mail = shortcut(';m', 'ansel@corrieandvale.example', { rules: { delimiter: 'drop' } });
    expect(fitIn('phone-list', mail)).toEqual({ verdict: 'changed', how: ['space'] });
    expect(fitIn('app', mail)).toEqual(works);
  });

  test('what a device is to do without is left out, and no longer in the way', () => {
    const [short, long] = [shortcut(';ten', 'Ten minutes'), shortcut(';tenp', 'Ten past')];
    const fit = new ListFit(listOf(short, long), [named('expander')], CONTEXT, (_, { id }) => id === short.id);
    expect(fit.fitOf('expander', short.id)).toEqual({ verdict: 'left out' });
    expect(fit.fitOf('expander', long.id)).toEqual(works);
    expect(fit.sumsOf('expander')).toEqual({ works: 1, changed: 0, no: 0, 'left out': 1 });
  });
});

const PLACES = [
  ...Object.keys(DEVICE_PROFILES),
  'phone-list~fires.instant',
  'computer-list~fires.offer~punctuation.changed',
  'expander~lines.refused',
  'tablet-list~in.de',
];
/** Signs that places treat in their own ways, and few others, so that codes meet. */
const code = fc
  .stringMatching(/^[ab;'.\-A ]{1,5}$/u)
  .map((text) => text.trim())
  .filter((text) => text !== '');
const rules = fc.record(
  {
    fires: fc.constantFrom('delimiter' as const, 'instant' as const, 'offer' as const),
    edge: fc.constantFrom('word' as const, 'anywhere' as const),
    capitals: fc.constantFrom('ignore' as const, 'match' as const, 'follow' as const),
    delimiter: fc.constantFrom('keep' as const, 'drop' as const),
  },
  { requiredKeys: [] },
);
const some = fc
  .tuple(
    code,
    fc.stringMatching(/^[ab;x\n]{1,8}$/u).filter((text) => text.trim() !== ''),
    fc.constantFrom(...KINDS),
    rules,
    fc.constantFrom(null, 'de', 'en'),
  )
  .map(([typed, text, kind, asked, language]) => shortcut(typed, text, { kind, rules: asked, language }));
const lists = fc.array(some, { minLength: 1, maxLength: 8 });

/** Types a code into a place that holds what `compileFor` gives, key by key, and looks at what stands there. */
function isTypedRight(list: readonly FitShortcut[], one: FitShortcut, place: string): boolean {
  const profile = profileOf(place);
  const { placed } = compileFor(listOf(...list), profile, CONTEXT);
  const own = placed.find(({ id }) => id === one.id);
  if (!own) return false;
  const texts = new Map(placed.map(({ id, text }) => [id, text]));
  const entries = settleRules(listOf(...list))
    .filter(({ id }) => texts.has(id))
    .map((entry) => ({ ...entry, expansion: texts.get(entry.id)! }));
  const compiled = CompiledList.compile(entries, profile);
  const after = '— ';
  const typed = (keys: Parameters<typeof simulate>[0]) => simulate(keys, compiled, profile, { after }).text;
  // A suggestion is taken, all else expands by itself.
  const held = heldBy(
    entries.find(({ id }) => id === one.id)!,
    profile,
  );
  if (held?.fires === 'offer') {
    return [0, 1, 2].some((nth) => typed([...keysOf(one.code), { type: 'take', nth }]) === after + own.text);
  }
  const stays = held?.fires === 'delimiter' && held.delimiter === 'drop' ? '' : '\n';
  return typed(keysOf(`${one.code}\n`)) === after + own.text + stays;
}

test('whatever works, works typed key by key; whatever does not, does not', () => {
  const seen = { works: 0, changed: 0, no: 0, 'left out': 0 };
  fc.assert(
    fc.property(lists, fc.constantFrom(...PLACES), (list, place) => {
      const fit = new ListFit(listOf(...list), [named(place)], CONTEXT);
      for (const one of list) {
        const { verdict } = fit.fitOf(place, one.id)!;
        seen[verdict] += 1;
        expect([one.code, place, isTypedRight(list, one, place)]).toEqual([one.code, place, verdict !== 'no']);
      }
    }),
    { numRuns: 400, seed: 25 },
  );
  expect(Math.min(seen.works, seen.changed, seen.no)).toBeGreaterThan(100);
});

test('a shortcut inside others is changed: those around them change too', () => {
  const place = named('phone-list~lines.refused');
  const inside = (id: string) => ({ expansion: `{:shortcut id=|${id}|}`, template: true, format: 'plain' as const });
  const inner = shortcut(';in', 'one line');
  const middle = shortcut(';mid', '', { content: inside(inner.id) });
  const outer = shortcut(';out', '', { content: inside(middle.id) });
  const fit = new ListFit(listOf(inner, middle, outer), [place], CONTEXT);
  expect(fit.sumsOf(place.id)).toMatchObject({ works: 3 });
  const content = { ...inner.content, expansion: 'two\nlines' };
  expect(fit.change({ put: [{ ...inner, content }] })).toEqual(new Set([inner.id, middle.id, outer.id]));
  expect(fit.sumsOf(place.id)).toMatchObject({ no: 3 });
});

test('after any edits it says what a fresh look says', () => {
  fc.assert(
    fc.property(
      lists,
      fc.array(fc.tuple(fc.nat(9), some, fc.boolean()), { minLength: 1, maxLength: 6 }),
      (list, edits) => {
        const fit = new ListFit(listOf(...list), PLACES.map(named), CONTEXT);
        let now = [...list];
        for (const [at, next, isRemoved] of edits) {
          const old = now[at];
          if (old && isRemoved) {
            now = now.filter((one) => one !== old);
            fit.change({ remove: [old.id] });
          } else {
            const put = old ? { ...next, id: old.id } : next;
            now = old ? now.map((one) => (one === old ? put : one)) : [...now, put];
            fit.change({ put: [put] });
          }
        }
        const fresh = new ListFit(listOf(...now), PLACES.map(named), CONTEXT);
        for (const place of PLACES) {
          expect([place, Object.fromEntries(fit.fitsOf(place))]).toEqual([
            place,
            Object.fromEntries(fresh.fitsOf(place)),
          ]);
        }
      },
    ),
    { numRuns: 120, seed: 26 },
  );
});
