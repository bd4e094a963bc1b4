import type { LearningState } from '../model';
import { answerCard, beginSession, currentCard, keepToList, LONGEST, MOST_CARDS, type Practised } from './session';
import { DAY } from './stage';
import { stateAfter, unknownCode } from './testing';

const NOW = Date.UTC(2026, 10, 30, 9);
const practised = (id: string, state: LearningState, fitsMessage = true): Practised => ({ id, state, fitsMessage });
const drilled = (...daysAgo: number[]) =>
  stateAfter(daysAgo.map((days) => ({ at: NOW - days * DAY, how: 'drill', seconds: 2 })));
const forgotten = (daysAgo: number) =>
  stateAfter([{ at: NOW - daysAgo * DAY, how: 'missed', seconds: null }], drilled(daysAgo + 2));
const told = (practise: readonly Practised[]) =>
  beginSession(practise, NOW).cards.map(({ kind, ids }) => `${kind} ${ids.join(' ')}`);

test('a new code is picked, then typed after what is due', () => {
  const all = [practised('new', unknownCode(NOW)), practised('due', drilled(20, 18))];
  expect(told(all)).toEqual(['pick new', 'situation due', 'type new']);
});

test('what is likeliest forgotten comes first, asked for by its text while it is weak', () => {
  const all = [practised('sure', drilled(30, 25)), practised('lapsed', forgotten(9)), practised('rest', drilled(1, 0))];
  expect(told(all)).toEqual(['type lapsed', 'situation sure']);
});

test('what is not due but not held either is practised; what is held is left alone', () => {
  const all = [practised('weak', drilled(0.1)), practised('held', drilled(9, 0.1))];
  expect(told(all)).toEqual(['situation weak']);
});

test('three that are known well enough end in one message', () => {
  const old = ['a', 'b', 'c', 'd'].map((id) => practised(id, drilled(30, 25)));
  expect(told(old).at(-1)).toBe('message a b c');
  expect(told(old.map((one) => ({ ...one, fitsMessage: false }))).some((card) => card.startsWith('message'))).toBe(
    false,
  );
});

test('it takes two minutes and twenty cards at most, whatever is due; new ones have their place', () => {
  const takes = { pick: 5, type: 6, situation: 7, message: 25 };
  const many = Array.from({ length: 500 }, (_, n) => practised(`old${n}`, forgotten(20)));
  const { cards } = beginSession([...many, practised('new', unknownCode(NOW))], NOW);
  expect(cards.length).toBeLessThanOrEqual(MOST_CARDS);
  expect(cards.reduce((sum, { kind }) => sum + takes[kind], 0)).toBeLessThanOrEqual(LONGEST);
  expect(cards.map(({ ids }) => ids[0])).toContain('new');
});

test('with nothing to practise it is over at once', () => {
  const session = beginSession([practised('held', drilled(9, 0.1))], NOW);
  expect(currentCard(session)).toBeNull();
  expect(answerCard(session, [])).toBe(session);
});

describe('under way', () => {
  const start = beginSession(
    ['a', 'b', 'c', 'd', 'e'].map((id) => practised(id, forgotten(9), false)),
    NOW,
  );
  const ids = ({ cards, at }: typeof start) => cards.slice(at).map((card) => card.ids[0]);

  test('what was not known comes again after three others, twice at most', () => {
    let session = answerCard(start, ['a']);
    expect(ids(session)).toEqual(['b', 'c', 'd', 'a', 'e']);
    for (let n = 0; n < 40 && currentCard(session); n += 1) {
      const [id] = currentCard(session)!.ids;
      session = answerCard(session, id === 'a' ? ['a'] : []);
    }
    expect(session.cards.filter((card) => card.ids[0] === 'a')).toHaveLength(3);
    expect(session.knew).toBe(4);
  });

  test('a shortcut that goes meanwhile is asked for no more', () => {
    const session = keepToList(answerCard(start, ['a']), (id) => id !== 'c' && id !== 'a');
    expect(ids(session)).toEqual(['b', 'd', 'e']);
    expect(keepToList(session, () => true)).toBe(session);
    expect(currentCard(keepToList(session, () => false))).toBeNull();
  });
});
