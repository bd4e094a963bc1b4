import { audit, vocabularyOf } from '../clash/testing';
import { keysOf, simulate } from '../fire';
import { DEVICE_PROFILES } from '../profile';
import { oddCapitals, readCorrections } from '.';

describe('lists of words', () => {
  test('names are typed without their capitals; what was meant may stand behind an arrow', () => {
    const lines = readCorrections(
      'Corrie & Vale\n\n HarbourHall \nplain\ncv -> Corrie & Vale\nHARBOURHALL',
      'capitals',
    );
    expect(lines.map(({ line, code, text, problem }) => [line, code, text, problem?.type ?? null])).toEqual([
      [1, 'corrie & vale', 'Corrie & Vale', null],
      [3, 'harbourhall', 'HarbourHall', null],
      [4, 'plain', 'plain', 'no-capitals'],
      [5, 'cv', 'Corrie & Vale', null],
      [6, 'harbourhall', 'HARBOURHALL', 'twice'],
    ]);
  });

  test('words to be left alone are their own text', () => {
    expect(readCorrections('hrp\nCorrie->Vale', 'alone').map(({ code, text }) => [code, text])).toEqual([
      ['hrp', 'hrp'],
      ['Corrie->Vale', 'Corrie->Vale'],
    ]);
  });

  test('slips by arrow or tab; without what was meant, or in use, they are told', () => {
    const lines = readCorrections('recieve -> receive\nteh\tthe\nwierd\nhrp → harp', 'slips', (key) => key === 'hrp');
    expect(lines.map(({ code, text, problem }) => [code, text, problem?.type ?? null])).toEqual([
      ['recieve', 'receive', null],
      ['teh', 'the', null],
      ['wierd', 'wierd', 'no-meaning'],
      ['hrp', 'harp', 'in-use'],
    ]);
  });

  test('a code that cannot be is told with why', () => {
    const [long] = readCorrections('A'.repeat(41), 'capitals');
    expect(long!.problem).toMatchObject({ type: 'code', problem: { type: 'too-many-clusters' } });
  });
});

const correction = (id: string, code: string, expansion: string) => ({
  id,
  code,
  content: { expansion, template: false, format: 'plain' as const },
  kind: 'correction' as const,
  setId: null,
  rules: { fires: 'delimiter' as const },
  language: null,
});

test('typed in small letters, names come out as they should look, and words alone stay as they are', () => {
  const list = {
    sets: [],
    shortcuts: [correction('1', 'corrie & vale', 'Corrie & Vale'), correction('2', 'hrp', 'hrp')],
  };
  const { text } = simulate(keysOf('from corrie & vale, hrp '), list, DEVICE_PROFILES.app);
  expect(text).toBe('from Corrie & Vale, hrp ');
});

test('Check never calls one an everyday word', () => {
  const words = {
    languages: [{ vocabulary: vocabularyOf(['so', 'us', 'sound']) }],
    // Where codes expand at once a slip that begins a word is in its way, and that is told.
    profiles: [DEVICE_PROFILES['phone-list'], DEVICE_PROFILES.app],
  };
  const kept = [correction('1', 'us', 'US'), correction('2', 'so', 'sew')];
  expect(audit(kept, words).findings.filter(({ severity }) => severity !== 'note')).toEqual([]);
  // As messages both would be found.
  const messages = kept.map((one) => ({
    ...one,
    content: { ...one.content, expansion: 'x' },
    kind: 'message' as const,
  }));
  expect(audit(messages, words).findings.filter(({ severity }) => severity !== 'note')).not.toEqual([]);
});

test('words with unusual capitals are found in a text, those written mostly otherwise and what shouts are not', () => {
  const text = [
    'Lunch at HarbourHall? The hrp is HRP again, GmbH and HarbourHall.',
    'HRP was late. GmbH, GmbH. hrp hrp hrp',
    'THIS LINE SHOUTS HRP AND USB',
    'Once only: MacVale. See https://aB.example',
  ].join('\n');
  expect(oddCapitals(text)).toEqual([
    { text: 'GmbH', count: 3 },
    { text: 'HarbourHall', count: 2 },
  ]);
});
