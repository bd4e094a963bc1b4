import { makeShortcut } from '@yellow-latch/core/model/testing';
import type { Comparison, MarkCost } from '@yellow-latch/core/convention';
import { recogniseConventions } from '@yellow-latch/core/convention/recognise';
import type { Mark } from '@yellow-latch/core/model';

import { scopeName, scopeOf, tellScope } from './scope';
import { tellAgainst, tellRecognised, tellFirstStep, tellRecommendation, tellEach, tellWeek } from './words';

const one = (code: string) => makeShortcut(code, 'a text');
const row = (mark: Mark, more: Partial<MarkCost> = {}): MarkCost => ({
  mark,
  effort: { taps: 5, seconds: 1.7 },
  misfires: { perTenThousand: 0, per100Contexts: 0, inOwnText: null, aWeek: 0 },
  secondsAWeek: 120,
  claims: [],
  traps: [],
  space: { free: 700, of: 756 },
  ofNewCode: 0,
  collisions: 0,
  changes: 3,
  isOnFront: false,
  ...more,
});

test('scopes stand in addresses by their names; what is not known is the whole list', () => {
  for (const scope of [{ of: 'list' }, { of: 'set', setId: 'a b' }, { of: 'kind', kind: 'code block' }] as const) {
    expect(scopeOf(scopeName(scope))).toEqual(scope);
  }
  expect(scopeOf('')).toEqual({ of: 'list' });
  expect(scopeOf('kind nonsense')).toEqual({ of: 'list' });
  expect(tellScope({ of: 'set', setId: 'gone' }, [])).toBe('A set that was deleted');
});

test('conventions are told in a sentence', () => {
  expect(tellRecognised(recogniseConventions([';a1', ';b1', '#c', 'so'].map(one)))).toBe(
    '2 of 4 codes start with “;”. The others do it in 2 other ways.',
  );
  expect(tellRecognised(recogniseConventions([';a1', 'so'].map(one)))).toBe(
    '2 codes, and no two of them share a marker.',
  );
  expect(tellRecognised(recogniseConventions([]))).toBe('None of these codes could have a marker.');
});

test('a recommendation tells what it gains, and where; none says why', () => {
  const comma: Mark = { place: 'before', marker: ',' };
  const comparison: Comparison = {
    codes: 3,
    marks: 100,
    present: {
      ...row(comma),
      effort: { taps: 6.5, seconds: 2.3 },
      misfires: { perTenThousand: 44, per100Contexts: 1, inOwnText: null, aWeek: 22 },
      secondsAWeek: 300,
      fromTable: 0,
      collisions: 0,
    },
    rows: [row(comma)],
    firstStep: null,
    recommendation: { mark: comma, gain: { whole: 180, typing: 60, misfires: 121 }, beatenBy: null },
  };
  expect(tellRecommendation(comparison)).toBe(
    'This saves 3 mins a week. 3 codes change. You save 60 secs on typing and 2 mins on misfires.',
  );
  const hash: Mark = { place: 'before', marker: '#' };
  const own = { ...row(hash), effort: { taps: 6, seconds: 2 }, misfires: { ...row(hash).misfires, aWeek: 1 } };
  const firstStep = { mark: hash, changes: 2, gain: 90 };
  expect(tellFirstStep(firstStep)).toBe('This saves 90 secs a week.');
  expect(tellRecommendation({ ...comparison, rows: [row(comma), own], firstStep })).toMatch(
    /^This saves another 3 mins a week\./,
  );
  const beaten = { ...comparison.recommendation!, beatenBy: { mark: hash, why: 'claimed' } } as const;
  expect(tellRecommendation({ ...comparison, recommendation: beaten })).toMatch(
    /3 codes change\. .*“#” before the code would be quicker and safer, but apps already use it\.$/,
  );
  expect(tellRecommendation({ ...comparison, recommendation: null })).toMatch(
    /^No other marker would be noticeably better\./,
  );
});

test('what speaks against a mark is told, each once', () => {
  const trap = { trap: 'smart quotes', result: 'x', severity: 'breaks' } as const;
  const against = tellAgainst(
    row(
      { place: 'before', marker: 'q' },
      {
        traps: [
          { ...trap, device: 'phone-list' },
          { ...trap, device: 'app' },
        ],
        collisions: 1,
        misfires: { perTenThousand: 3.6, per100Contexts: 0, inOwnText: null, aWeek: 1.8 },
        ofNewCode: 0.1,
      },
    ),
    0,
  );
  expect(against).toEqual([
    'Phone and This app: its quotes get curled before you finish it.',
    '1 code would clash with another and get a similar one.',
    'It’s a letter or digit: you couldn’t see where the marker ends and the code starts.',
    'Its codes would expand by mistake about 2 times a week, and each new one about every 2 months.',
  ]);
  expect(tellAgainst(row({ place: 'before', marker: ',' }, { collisions: 1 }), 1)).toEqual([]);
  const comma = row({ place: 'before', marker: ',' });
  expect([tellWeek(comma), tellEach(comma)]).toEqual([
    '2 mins a week',
    '5 taps, 1.7 secs · misfires practically never',
  ]);
});
