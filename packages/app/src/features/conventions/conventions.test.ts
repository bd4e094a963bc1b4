import { makeShortcut } from '@yellow-latch/core/model/testing';
import type { Comparison, MarkCost } from '@yellow-latch/core/convention';
import { recogniseConventions } from '@yellow-latch/core/convention/recognise';
import type { Mark } from '@yellow-latch/core/model';

import { scopeName, scopeOf, tellScope } from './scope';
import { tellAgainst, tellRecognised, tellFirstStep, tellRecommendation, tellRow } from './words';

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
  expect(tellScope({ of: 'set', setId: 'gone' }, [])).toBe('the set that is gone');
});

test('conventions are told in a sentence', () => {
  expect(tellRecognised(recogniseConventions([';a1', ';b1', '#c', 'so'].map(one)))).toBe(
    '2 of 4 codes begin with “;”; the others in 2 other ways.',
  );
  expect(tellRecognised(recogniseConventions([';a1', 'so'].map(one)))).toBe(
    '2 codes, and no marker that two of them share.',
  );
  expect(tellRecognised(recogniseConventions([]))).toBe('No code here could carry a marker.');
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
    'It saves 3 min a week: 60 s in typing, 1.5 taps fewer each time; 2 min in misfires, 22 fewer a week. 3 codes would change.',
  );
  const hash: Mark = { place: 'before', marker: '#' };
  const own = { ...row(hash), effort: { taps: 6, seconds: 2 }, misfires: { ...row(hash).misfires, aWeek: 1 } };
  const firstStep = { mark: hash, changes: 2, gain: 90 };
  expect(tellFirstStep(firstStep)).toBe('It saves 90 s a week.');
  expect(tellRecommendation({ ...comparison, rows: [row(comma), own], firstStep })).toMatch(
    /^It saves another 3 min a week: 60 s in typing, 1 tap fewer each time; 2 min in misfires, 1 fewer a week\./,
  );
  const beaten = { ...comparison.recommendation!, beatenBy: { mark: hash, why: 'claimed' } } as const;
  expect(tellRecommendation({ ...comparison, recommendation: beaten })).toMatch(
    /3 codes would change\. .*“#”.* would be quicker and safer, but programs use it\.$/,
  );
  expect(tellRecommendation({ ...comparison, recommendation: null })).toMatch(/^Nothing is better\./);
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
    'The phone and this app: its quotes are changed before it is complete.',
    '1 code more would be the same as another, and go to one near by.',
    'A letter or a digit: nobody could see where it ends and the code begins.',
    'Its codes would expand by mistake 1.8 times a week, and each new one once in 10 weeks.',
  ]);
  expect(tellAgainst(row({ place: 'before', marker: ',' }, { collisions: 1 }), 1)).toEqual([]);
  expect(tellRow(row({ place: 'before', marker: ',' }))).toBe(
    '“,” before: 5 taps, 1.7 s each time; misfires practically never; 3 codes would change; 2 min a week',
  );
});
