import { makeShortcut } from '../model/testing';
import type { ChosenConvention, Kind, Mark } from '../model';
import { conventionFor, markCode, partsOf, recogniseConventions } from '.';

const one = (code: string, kind: Kind = 'message', setId: string | null = null) =>
  makeShortcut(code, `text of ${code}`, { kind, setId });

describe('a code taken apart', () => {
  test.each<[string, Mark | null, string]>([
    [';addr', { place: 'before', marker: ';' }, 'addr'],
    ['//m', { place: 'before', marker: '//' }, 'm'],
    ['glazier*', { place: 'after', marker: '*' }, 'glazier'],
    ['!deg!', { place: 'both', marker: '!' }, 'deg'],
    ['!!deg!', { place: 'bare', marker: '' }, '!!deg!'],
    ['---x', { place: 'bare', marker: '' }, '---x'],
    ['ttune', { place: 'doubled', marker: '' }, 'tune'],
    ['Ttune', { place: 'doubled', marker: '' }, 'tune'],
    ['jjj', { place: 'bare', marker: '' }, 'jjj'],
    ['hrp', { place: 'bare', marker: '' }, 'hrp'],
    ['11am', { place: 'bare', marker: '' }, '11am'],
    ['->', null, ''],
  ])('%s', (code, mark, mnemonic) => {
    expect(partsOf(code)).toEqual(mark && { mark, mnemonic });
  });

  test.each([';addr', 'glazier*', '!deg!', 'ttune', 'hrp', ',क्षि', 'ééclair'])(
    '%s put together again is itself',
    (code) => {
      const { mark, mnemonic } = partsOf(code)!;
      expect(markCode(mnemonic, mark)).toBe(code);
    },
  );

  test('capitals may be set small', () => {
    expect(markCode('PK', { place: 'before', marker: ',' }, 'small')).toBe(',pk');
  });
});

describe('conventions of a list', () => {
  const list = [
    one(';a1'),
    one(';b1'),
    one(';c1'),
    one('#t'),
    one('#u', 'tags'),
    one('so'),
    one('->', 'symbol'),
    one('teh', 'correction'),
  ];

  test('are read off it, with strays and what none marks', () => {
    const { of, marks, main, strays, exempt } = recogniseConventions(list);
    expect(of).toBe(6);
    expect(marks.map(({ mark, ids }) => [mark.marker, ids.length])).toEqual([
      [';', 3],
      ['#', 2],
      ['', 1],
    ]);
    expect(main!.mark.marker).toBe(';');
    expect(strays).toEqual(['#t', '#u', 'so']);
    expect(exempt).toEqual(['->', 'teh']);
  });

  test('are none where codes have nothing in common', () => {
    expect(recogniseConventions([one(';a'), one('so'), one('ham')])).toMatchObject({ main: null, strays: [] });
    expect(recogniseConventions([])).toMatchObject({ of: 0, marks: [], main: null });
  });

  test('that were chosen decide who strays: a set’s before a kind’s before the list’s', () => {
    const chosen = (scope: ChosenConvention['scope'], marker: string): ChosenConvention => ({
      id: marker,
      changed: 0,
      scope,
      mark: { place: 'before', marker },
      capitals: 'as they are',
    });
    const all = [
      chosen({ of: 'list' }, ';'),
      chosen({ of: 'kind', kind: 'tags' }, '#'),
      chosen({ of: 'set', setId: 's' }, ','),
    ];
    expect(recogniseConventions(list, all).strays).toEqual(['#t', 'so']);
    expect(conventionFor(one('x', 'tags', 's'), all)!.mark.marker).toBe(',');
    expect(conventionFor(one('x', 'tags'), all)!.mark.marker).toBe('#');
    expect(conventionFor(one('x'), all)!.mark.marker).toBe(';');
    expect(conventionFor(one('x'), [])).toBeNull();
  });
});
