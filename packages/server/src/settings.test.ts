import { readFileSync } from 'node:fs';
import { join } from 'node:path';

import { readSettings, settingsHelp, settingsTable } from './settings';

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
  ['a certificate without its key', { YELLOW_LATCH_CERT: 'c.pem' }, '--cert and --key go together'],
  ['a key without its certificate', { YELLOW_LATCH_KEY: 'k.pem' }, '--cert and --key go together'],
  [
    'a public address without https',
    { YELLOW_LATCH_PUBLIC_URL: 'http://list.example' },
    'such as https://list.example',
  ],
  ['lists forgotten within the year', { YELLOW_LATCH_FORGET_DAYS: '399' }, 'from 400 to'],
  ['a setting that nobody knows', { YELLOW_LATCH_PROT: '4170' }, 'YELLOW_LATCH_PROT is no setting'],
  ['backups often, but nowhere', { YELLOW_LATCH_BACKUP_EVERY: '1' }, '--backup-every needs --backup-dir'],
  ['a name for phones, but no phones', { YELLOW_LATCH_NAME: 'x.local' }, '--name needs --phones'],
  [
    'a name that is not of this network',
    { YELLOW_LATCH_PHONES: '1', YELLOW_LATCH_NAME: 'list.example' },
    'YELLOW_LATCH_NAME must be a name such as workshop-latch.local',
  ],
  [
    'phones beside an address of one’s own',
    { YELLOW_LATCH_PHONES: '1', YELLOW_LATCH_PUBLIC_URL: 'https://list.example' },
    'leave out --public-url',
  ],
  ['a log level that is none', { YELLOW_LATCH_LOG_LEVEL: 'loud' }, 'must be one of debug, info, warn, error, silent'],
  ['something other than yes or no', { YELLOW_LATCH_INVITE_ONLY: 'yes' }, 'YELLOW_LATCH_INVITE_ONLY must be 1 or 0'],
])('%s is refused, and it is said what is expected', (_name, set, said) => {
  expect(() => readSettings(set)).toThrow(said);
});

test('a flag goes before the environment, and what is wrong is told by the name it was given under', () => {
  const env = { YELLOW_LATCH_PORT: '4000', YELLOW_LATCH_LIST_MB: 'x' };
  expect(() => readSettings(env, ['--port', 'y'])).toThrow(/^--port must be .*\. YELLOW_LATCH_LIST_MB must be/u);
  expect(readSettings({ YELLOW_LATCH_PORT: '4000' }, ['--port', '5000', '--phones'])).toMatchObject({
    port: 5000,
    phones: { name: undefined, isNewAuthority: false },
  });
  expect(() => readSettings({}, ['--colour'])).toThrow('--colour');
});

test('help and the README tell every setting, as it is', () => {
  expect(readSettings({}, ['--help'])).toBeNull();
  for (const [flag] of settingsTable().matchAll(/--[a-z][a-z-]+/gu)) expect(settingsHelp()).toContain(flag);
  expect(readFileSync(join(__dirname, '../../../README.md'), 'utf8')).toContain(settingsTable());
});
