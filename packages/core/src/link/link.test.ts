import fc from 'fast-check';

import { findLinks } from './find';
import { TRACKING } from './tracking';

const one = (text: string) => findLinks(text)[0]!;

describe('what a link carries', () => {
  test.each([
    [
      'https://book.corrie.example/visit?utm_source=mail&utm_medium=cpc&slot=2',
      'https://book.corrie.example/visit?slot=2',
      ['utm_source', 'utm_medium'],
    ],
    ['https://book.corrie.example/?fbclid=abc#times', 'https://book.corrie.example/#times', ['fbclid']],
    ['https://book.corrie.example/a?x=%20y&GCLID=1&z', 'https://book.corrie.example/a?x=%20y&z', ['GCLID']],
    ['www.corrie.example/?mc_eid=1', 'www.corrie.example/', ['mc_eid']],
    ['https://corrie.example/?utm=1&usim=2', 'https://corrie.example/?utm=1&usim=2', []],
  ])('%s', (link, cleaned, names) => {
    const found = one(link);
    expect(found).toMatchObject({ cleaned, faults: [] });
    expect(found.tracking.map(({ name }) => name)).toEqual(names);
  });

  test('each name has its reason', () =>
    expect(one('https://a.example/?gclid=1&utm_id=2&mkt_tok=3&igshid=4').tracking.map(({ reason }) => reason)).toEqual([
      'click',
      'campaign',
      'mail',
      'share',
    ]));
  test('no name is listed twice', () => expect(new Set(TRACKING.map(({ name }) => name)).size).toBe(TRACKING.length));
});

describe('what makes it lead elsewhere', () => {
  test.each([
    ['https://corrie.example/ book', ['space'], 'https://corrie.example/book'],
    ['https://corrie.example/book.', ['trailing'], 'https://corrie.example/book'],
    ['https://corrie', ['no-page'], 'https://corrie'],
    ['https://соrrie.example', ['other-letters'], 'https://соrrie.example'],
    ['https://[2001:db8::1]/x', [], 'https://[2001:db8::1]/x'],
    ['http://localhost:4170/join', [], 'http://localhost:4170/join'],
  ])('%s', (link, faults, cleaned) => expect(one(link)).toMatchObject({ faults, cleaned }));

  test('in a sentence the marks around it are the sentence’s', () => {
    const text = 'See (https://a.example/x_(y)) or https://b.example/z?utm_id=1. Thanks!';
    expect(findLinks(text).map(({ link, cleaned, faults }) => [link, cleaned, faults])).toEqual([
      ['https://a.example/x_(y)', 'https://a.example/x_(y)', []],
      ['https://b.example/z?utm_id=1.', 'https://b.example/z.', []],
    ]);
  });
});

test('a link is where it says, and to clean twice changes nothing more', () => {
  const signs = fc.string({
    unit: fc.constantFrom(...'ab/?&=#.()[]% _1'.split(''), 'utm_id=', 'https://a.example/'),
    maxLength: 20,
  });
  fc.assert(
    fc.property(signs, (text) => {
      for (const { start, end, link, cleaned, tracking, faults } of findLinks(text)) {
        expect(text.slice(start, end)).toBe(link);
        if (tracking.length === 0 && faults.length === 0) expect(cleaned).toBe(link);
        if (!faults.includes('space'))
          expect(findLinks(cleaned).every((again) => again.tracking.length === 0)).toBe(true);
      }
    }),
    { numRuns: 500 },
  );
});

test('a long text of brackets takes no longer than it is', () => {
  const text = `https://a.example/${')'.repeat(100_000)}`;
  expect(findLinks(text)).toHaveLength(1);
});
