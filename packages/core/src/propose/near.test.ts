import { matchKey } from '../model';
import { mainMark, nearCodes } from '.';

const list = [';ws', ';mail', ';tel', 'book*', 'so', '/due'];

test('the marker is the one that most codes carry; where none does there is none', () => {
  expect(mainMark(list)).toEqual({ place: 'before', marker: ';' });
  expect(mainMark(['a*', 'b*', ';c'])).toEqual({ place: 'after', marker: '*' });
  expect(mainMark(['oar', 'hrp'])).toBeNull();
});

test('near a bare word: marked, doubled, longer', () => {
  expect(nearCodes('them', 'Somebody will be there to let you in.', list)).toEqual([
    { code: ';them', how: 'marked' },
    { code: 'tthem', how: 'doubled' },
    { code: ';thm', how: 'consonants' },
    { code: ';swbt', how: 'longer' },
    { code: ';some', how: 'longer' },
    { code: ';someb', how: 'longer' },
    { code: ';thems', how: 'longer' },
  ]);
});

test('with the marker of a convention that was chosen, where that is told', () => {
  const [first] = nearCodes('them', 'x', list, '', { place: 'after', marker: '#' });
  expect(first).toEqual({ code: 'them#', how: 'marked' });
  expect(nearCodes('them', 'x', list, '', { place: 'doubled', marker: '' })[0]).toEqual({
    code: 'tthem',
    how: 'doubled',
  });
});

test('a code that is marked keeps its marker; a word that begins so is followed', () => {
  expect(
    nearCodes(';ten', 'I am about tenderly tuned minutes away', list)
      .map(({ code }) => code)
      .slice(0, 3),
  ).toEqual([';tten', ';tn', ';tend']);
});

test('a code with blanks is joined, one with a marker of its own is offered the list’s last', () => {
  expect(nearCodes('big oar', 'Oar', list)[1]).toEqual({ code: ';bigoar', how: 'joined' });
  const near = nearCodes('#res', 'Restored in our workshop', list);
  expect(near[0]).toEqual({ code: '#rres', how: 'doubled' });
  expect(near.filter(({ how }) => how === 'marked').map(({ code }) => code)).toContain(';res');
});

test('where there are no words, the kind gives some', () => {
  expect(nearCodes('-----', '--------', list).map(({ code }) => code)).not.toContain(';symb');
  expect(nearCodes('-----', '--------', list, 'symbol').map(({ code }) => code)).toContain(';symb');
});

test('what is taken, equal or not allowed is never proposed', () => {
  for (const [typed, expansion] of [
    ['so', 'x'],
    ['MAIL', 'Mail'],
    ['x'.repeat(40), 'a long word'],
    ['->', '→'],
    ['क्षि', 'क्षि क्षि क्षि'],
    ['7', '½'],
  ] as const) {
    const keys = nearCodes(typed, expansion, list).map(({ code }) => matchKey(code));
    expect(new Set(keys).size).toBe(keys.length);
    for (const key of keys) expect([...list, typed].map(matchKey)).not.toContain(key);
    for (const key of keys) expect(Array.from(new Intl.Segmenter().segment(key)).length).toBeLessThanOrEqual(40);
  }
});
