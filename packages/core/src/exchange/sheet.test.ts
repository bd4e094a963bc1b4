import { PAPERS, SHEET_LAYOUTS, writeSheet, type SheetOptions } from './sheet';
import { setOf, shortcutOf } from './testing';

const OPTIONS: SheetOptions = {
  title: 'Corrie & Vale',
  about: '26 November 2026',
  layout: 'one',
  paper: 'A4',
  faces: null,
  inNoSet: 'In no set',
};
const visits = setOf('Visits', 1);
const list = {
  sets: [visits, setOf('Empty', 2)],
  shortcuts: [
    shortcutOf(';ten', 'I am about ten minutes away.\nSee you soon.', { setId: visits.id }),
    shortcutOf('loc:', '<b>Mill</b> & "Lane"'),
    shortcutOf(';pin', 'very secret', { private: true, setId: visits.id }),
    shortcutOf(';long', 'word '.repeat(100)),
  ],
};

test('the marker of a code is told apart, texts are on one line and shortened, private ones masked', () => {
  const html = writeSheet(list, OPTIONS);
  expect(html).toContain('<code><b>;</b><span>ten</span></code>');
  expect(html).toContain('<code><span>loc</span><b>:</b></code>');
  expect(html).toContain('I am about ten minutes away. ↵ See you soon.');
  expect(html).toContain('&lt;b&gt;Mill&lt;/b&gt; &amp; &quot;Lane&quot;');
  expect(html).not.toContain('very secret');
  expect(html).toMatch(/(word )+word…/);
  expect(html).not.toContain('>Empty<');
  expect(html).toContain('<h2>In no set</h2>');
});

test('it needs nothing but itself, and runs nothing', () => {
  for (const layout of SHEET_LAYOUTS) {
    const html = writeSheet(list, {
      ...OPTIONS,
      layout,
      faces: { text: 'data:font/woff2;base64,AA', code: 'data:font/woff2;base64,AA' },
    });
    expect(html).not.toMatch(/<script|<link|https?:|@import/);
    expect([...html.matchAll(/url\(([^)]*)/g)].every(([, address]) => address!.startsWith('data:'))).toBe(true);
  }
});

test.each(PAPERS)('%s is asked of the printer', (paper) =>
  expect(writeSheet(list, { ...OPTIONS, paper })).toContain(`size:${paper === 'A4' ? 'A4' : 'letter'}`),
);

test('a set of more than a card holds goes on on the next', () => {
  const many = Array.from({ length: 23 }, (_, index) => shortcutOf(`;c${index}`, 'x', { setId: visits.id }));
  const html = writeSheet({ sets: [visits], shortcuts: many }, { ...OPTIONS, layout: 'wallet' });
  expect([...html.matchAll(/<h2>([^<]*)/g)].map(([, name]) => name)).toEqual([
    'Visits 1/3',
    'Visits 2/3',
    'Visits 3/3',
  ]);
  expect([...html.matchAll(/<dt>/g)]).toHaveLength(23);
});
