import { DEVICE_PROFILES } from '../profile';
import { expand, expandFor, type Expandable } from '.';
import { contextOf, NOW, shortcut, told } from './testing';

const given = (source: string, values: Record<string, string> = {}, others: readonly Expandable[] = []) =>
  told(expand(shortcut(';x', source), contextOf(values, others)));

describe('an expansion', () => {
  test('that is plain is as it is, braces and all', () => {
    const plain = shortcut(';x', 'a {b} \\ {$c}', 'plain', false);
    expect(expand(plain, contextOf())).toEqual({
      type: 'expanded',
      plain: 'a {b} \\ {$c}',
      html: null,
      caret: null,
      openBlanks: [],
    });
  });

  test('asks for each blank once, in order, and takes what it is given', () => {
    const source =
      'Dear {$name :text label=|Name|}, {$part :choice options=|morning,afternoon|}? Yours, {$name :upper} {$n :number default=|2|}';
    const open = expand(shortcut(';x', source), contextOf());
    expect(open).toMatchObject({ plain: 'Dear , ? Yours,  2' });
    expect(open.type === 'expanded' && open.openBlanks.map(({ name, kind, label }) => [name, kind, label])).toEqual([
      ['name', 'text', 'Name'],
      ['part', 'choice', ''],
      ['n', 'number', ''],
    ]);
    expect(given(source, { name: 'Rowena', part: 'morning', n: '' })).toBe('Dear Rowena, morning? Yours, ROWENA ');
    expect(expand(shortcut(';x', source), contextOf({ name: '', part: '', n: '' }))).toMatchObject({ openBlanks: [] });
  });

  test('sets a day that is given in its pattern, and leaves what is none', () => {
    expect(given('{$when :date pattern=|EEEE d MMMM|}', { when: '2026-12-01' })).toBe('Tuesday 1 December');
    expect(given('{$when :date}', { when: 'as soon as you can' })).toBe('as soon as you can');
    expect(given('{$when :date pattern=|nn|}')).toMatchObject([{ problem: { type: 'unknown-letters' } }]);
  });

  test('knows dates, moved and in a pattern', () => {
    expect(given('{:today}')).toBe('25 November 2026');
    expect(given('{:now}')).toBe('16:50');
    expect(given('{:today pattern=|EEEE d MMMM| plus=|P6M|}')).toBe('Tuesday 25 May');
    expect(given('{:today pattern=|EEE d| next=|wednesday|}, {:today pattern=|EEE d| next=|thursday|}')).toBe(
      'Wed 2, Thu 26',
    );
    expect(given('{:today pattern=|EEEE| case=upper}')).toBe('WEDNESDAY');
    expect(given('{:today plus=|P9000Y|}')).toEqual([{ type: 'date-out-of-range', path: [';x'], pattern: 'd MMMM y' }]);
    expect(given('{:today plus=|-P99999Y|}')).toMatchObject([{ type: 'date-out-of-range' }]);
  });

  // Common practice, no source: initials in small letters give “[XY: ]” with the caret before the bracket.
  test('leaves the caret in its place', () => {
    expect(expand(shortcut('mv', '[{$initials :upper}: {#caret /}]'), contextOf({ initials: 'mv' }))).toMatchObject({
      plain: '[MV: ]',
      caret: 5,
    });
    expect(
      expand(shortcut(';b', '**{:selection}**{#caret /}'), { ...contextOf({ ' selection': 'so' }) }),
    ).toMatchObject({ plain: '**so**', caret: 6 });
  });

  test('offers what is on the clipboard or selected, and asks where it may not be read', () => {
    const wrap = shortcut(';l', '[{:selection}]({:clipboard})');
    const known = expand(wrap, { ...contextOf(), clipboard: 'https://corrieandvale.example', selection: 'here' });
    expect(known).toMatchObject({
      plain: '[here](https://corrieandvale.example)',
      openBlanks: [{ name: ' selection', default: 'here' }, { name: ' clipboard' }],
    });
    expect(expand(wrap, contextOf())).toMatchObject({ plain: '[]()', openBlanks: [{ default: '' }, { default: '' }] });
  });

  test('has other shortcuts inside, by their ids, with their blanks', () => {
    const hall = shortcut(';hall', 'Hall at {$time :text label=|Time|}');
    const plain = shortcut(';plain', 'as {it} is', 'plain', false);
    const first = 'First: {:shortcut id=|id-;hall|}; {:shortcut id=|id-;plain| case=upper}';
    expect(given(first, { time: 'ten' }, [hall, plain])).toBe('First: Hall at ten; AS {IT} IS');
    expect(given(first, { time: 'ten' }, [{ ...hall, code: ';renamed' }, plain])).toBe(
      'First: Hall at ten; AS {IT} IS',
    );
    // Only one caret: that which comes first.
    expect(
      expand(shortcut(';x', '{#caret /}{:shortcut id=|id-;c|}'), contextOf({}, [shortcut(';c', 'c{#caret /}c')])),
    ).toMatchObject({ plain: 'cc', caret: 0 });
  });

  test('in a circle, with a missing one, or too deep is an error that names the path', () => {
    const circle = [
      shortcut(';a', '{:shortcut id=|id-;b|}'),
      shortcut(';b', '{:shortcut id=|id-;c|}'),
      shortcut(';c', '{:shortcut id=|id-;a|}'),
    ];
    expect(told(expand(circle[0]!, contextOf({}, circle)))).toEqual([
      { type: 'circle', path: [';a', ';b', ';c', ';a'] },
    ]);
    expect(given('{:shortcut id=|gone|}')).toEqual([{ type: 'missing', path: [';x'], id: 'gone' }]);
    const deep = Array.from({ length: 20 }, (_, i) => shortcut(`;${i}`, `{:shortcut id=|id-;${i + 1}|}`));
    expect(told(expand(deep[0]!, contextOf({}, deep)))).toMatchObject([{ type: 'too-deep' }]);
    const twice = shortcut(';big', 'x'.repeat(20_000), 'plain', false);
    expect(given('{:shortcut id=|id-;big|}'.repeat(11), {}, [twice])).toMatchObject([{ type: 'too-long' }]);
  });

  test('of an inner template that does not parse gives nothing, and says where', () => {
    const broken = shortcut(';broken', 'so { it');
    expect(given('Dear {:shortcut id=|id-;broken|}', {}, [broken])).toMatchObject([
      { type: 'template', path: [';x', ';broken'], problem: { type: 'syntax' } },
    ]);
  });

  test('of twenty thousand characters and of five hundred blanks', () => {
    expect(given('x'.repeat(20_000))).toHaveLength(20_000);
    const many = Array.from({ length: 500 }, (_, i) => `{$b${i}}`).join('');
    expect(given(many)).toMatchObject([{ problem: { type: 'too-many-blanks', what: '500' } }]);
  });
});

describe('formatted', () => {
  const signed = shortcut(
    ';sign',
    '**Corrie & Vale**\n\n- [Book a visit](https://corrieandvale.example/book)\n- {#caret /}',
    'markdown',
  );

  test('gives HTML, and text that reads well, with the caret in it', () => {
    const expanded = expand(signed, contextOf());
    const plain = 'Corrie & Vale\n\n- Book a visit (https://corrieandvale.example/book)\n- ';
    expect(expanded).toMatchObject({ plain, caret: plain.length });
    expect(expanded.type === 'expanded' && expanded.html).toContain('<strong>Corrie &amp; Vale</strong>');
  });
});

describe('for a device that knows less', () => {
  const { 'phone-list': phone, app, expander: computer } = DEVICE_PROFILES;
  const context = { now: NOW, locale: 'en-GB', zone: 'UTC', shortcutOf: () => undefined };

  test('blanks become gaps, lines are joined, formatting goes', () => {
    const report = shortcut(
      ';rep',
      '**Report**\n\nPitch: {$pitch :number label=|Pitch|} for {$who :text default=|you|}',
      'markdown',
    );
    expect(expandFor(report, phone, context)).toEqual({
      type: 'text',
      text: 'Report Pitch: ____ for you',
      lost: ['formatting', 'lines', 'blanks'],
    });
    expect(expandFor(report, app, context)).toMatchObject({ text: 'Report\n\nPitch: ____ for you', lost: [] });
    expect(expandFor(shortcut(';c', '({#caret /}{:clipboard})'), computer, context)).toEqual({
      type: 'text',
      text: '(____)',
      lost: ['caret', 'given'],
    });
  });

  test('a date is refused: it would stay what it is today', () => {
    const inner = shortcut(';d', '{:today}');
    const outer = shortcut(';o', 'on {:shortcut id=|id-;d|}');
    expect(expandFor(outer, phone, { ...context, shortcutOf: () => inner })).toEqual({ type: 'refused', why: 'date' });
    expect(expandFor(inner, app, context)).toMatchObject({ text: '25 November 2026' });
  });

  test('what cannot be made says why', () => {
    expect(expandFor(shortcut(';x', '{'), phone, context)).toMatchObject({ type: 'errors' });
  });
});
