import { say } from './say';

const getMessage = jest.fn((_name: string, _values: string[]) => '');
Object.assign(globalThis, { chrome: { i18n: { getMessage } } });

test('a sentence is the browser’s; in English where that has none yet', () => {
  expect(say('synced', 'Corrie & Vale', '64')).toBe('Synced · Corrie & Vale · 64 shortcuts');
  expect(say('cancel')).toBe('Cancel');
  getMessage.mockReturnValueOnce('Abbrechen');
  expect(say('cancel')).toBe('Abbrechen');
  expect(getMessage).toHaveBeenLastCalledWith('cancel', []);
  expect(() => say('nothing-of-the-kind')).toThrow('no sentence is called nothing-of-the-kind');
});
