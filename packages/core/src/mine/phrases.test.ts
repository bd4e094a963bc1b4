import { chooseCovering, edgesOf, joinMessages, phrasesOf, repeatedPhrases, sentencesOf, wordRowOf } from '.';

/** Messages are cut at blank lines here. */
const find = (text: string, least = 3) => {
  const row = wordRowOf(joinMessages(text.split('\n\n')));
  const edges = edgesOf(row, sentencesOf(row));
  const candidates = repeatedPhrases(row, edges, least);
  return phrasesOf(row, edges, chooseCovering(row, candidates, new Uint8Array(row.words.length), least));
};
const told = (text: string, least?: number) => find(text, least).map((phrase) => [phrase.text, phrase.count]);
const times = (count: number, line: (at: number) => string) =>
  Array.from({ length: count }, (_, at) => line(at)).join('\n\n');

test('a sentence typed again and again, as it is written most often', () => {
  const text = times(
    5,
    (at) =>
      `${at} visit${at}. ${at === 2 ? 'thank you for booking a tuning!' : 'Thank you for booking a tuning.'} Bye${at}`,
  );
  expect(told(text)).toEqual([['Thank you for booking a tuning.', 5]]);
});

test('what is part of a longer phrase counts only where the longer is not', () => {
  const long = 'Please leave the piano lid open and the window shut.';
  const text = `${times(4, (at) => `${at}a ${long} z${at}`)}\n\n${times(3, (at) => `${at}b leave the piano lid open y${at}`)}`;
  expect(told(text)).toEqual([
    [long, 4],
    ['leave the piano lid open', 3],
  ]);
  expect(told(times(4, (at) => `${at}a ${long} z${at}`))).toEqual([[long, 4]]);
});

test('places are told, and can be shown', () => {
  const text = times(3, (at) => `${at}x Best wishes, Ansel y${at}`);
  const [phrase] = find(text);
  expect(phrase!.places.map(({ start, end }) => text.replaceAll('\n\n', '\n').slice(start, end))).toEqual(
    Array(3).fill('Best wishes, Ansel'),
  );
});

test('what overlaps itself is counted as often as it was typed whole', () => {
  expect(told('again and again and again and again and again and again', 2)).toEqual([
    ['again and again and again', 2],
  ]);
});

test('one long word is a phrase, a short one is none; a mail address is one', () => {
  expect(told(times(4, (at) => `${at}q humidifier w${at}`))).toEqual([['humidifier', 4]]);
  expect(told(times(4, (at) => `${at}q piano w${at}`))).toEqual([]);
  expect(told(times(4, (at) => `${at}q ansel@corrieandvale.example w${at}`))).toEqual([
    ['ansel@corrieandvale.example', 4],
  ]);
});

test('nothing goes across messages, and twice is not often', () => {
  expect(told('Good morning\n\nRowena\n\nGood evening\n\nRowena')).toEqual([]);
});

test('right to left, and scripts without capitals', () => {
  expect(told(times(3, (at) => `${at}a תודה רבה לך b${at}`))).toEqual([['תודה רבה לך', 3]]);
});
