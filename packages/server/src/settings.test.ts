import { readSettings } from './settings';

test('without anything set, it listens to this machine alone and keeps lists of 64 MB', () => {
  expect(readSettings({})).toMatchObject({
    host: '127.0.0.1',
    port: 4170,
    data: 'data/own',
    isInviteOnly: false,
    isOpen: false,
    certificate: undefined,
    listBytes: undefined,
    forgetAfter: undefined,
  });
});

test('what is set is read', () => {
  const set = {
    YELLOW_LATCH_PORT: '8443',
    YELLOW_LATCH_CERT: 'c.pem',
    YELLOW_LATCH_KEY: 'k.pem',
    YELLOW_LATCH_PUBLIC_URL: 'https://list.example/',
    YELLOW_LATCH_LIST_MB: '10',
    YELLOW_LATCH_FORGET_DAYS: '400',
    YELLOW_LATCH_INVITE_ONLY: '1',
  };
  expect(readSettings(set)).toMatchObject({
    port: 8443,
    certificate: { cert: 'c.pem', key: 'k.pem' },
    publicUrl: 'https://list.example',
    listBytes: 10_000_000,
    forgetAfter: 400 * 24 * 60 * 60_000,
    isInviteOnly: true,
  });
});

test.each([
  ['an empty port', { YELLOW_LATCH_PORT: '' }, 'YELLOW_LATCH_PORT must be a whole number from 0 to 65535'],
  ['a port that is none', { YELLOW_LATCH_PORT: '4170x' }, 'YELLOW_LATCH_PORT must be a whole number'],
  ['a port too high', { YELLOW_LATCH_PORT: '65536' }, 'YELLOW_LATCH_PORT must be a whole number'],
  ['an empty host', { YELLOW_LATCH_HOST: '' }, 'YELLOW_LATCH_HOST is empty'],
  ['an empty folder', { YELLOW_LATCH_DATA: ' ' }, 'YELLOW_LATCH_DATA is empty'],
  ['a certificate without its key', { YELLOW_LATCH_CERT: 'c.pem' }, 'YELLOW_LATCH_KEY go together'],
  ['a key without its certificate', { YELLOW_LATCH_KEY: 'k.pem' }, 'YELLOW_LATCH_KEY go together'],
  [
    'a public address without https',
    { YELLOW_LATCH_PUBLIC_URL: 'http://list.example' },
    'such as https://list.example',
  ],
  ['lists forgotten within the year', { YELLOW_LATCH_FORGET_DAYS: '399' }, 'from 400 to'],
  ['something other than yes or no', { YELLOW_LATCH_INVITE_ONLY: 'yes' }, 'YELLOW_LATCH_INVITE_ONLY must be 1 or 0'],
])('%s is refused, and it is said what is expected', (_name, set, said) => {
  expect(() => readSettings(set)).toThrow(said);
});
