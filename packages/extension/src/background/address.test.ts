import { readAddress } from './address';

test.each([
  ['127.0.0.1:4170', 'http://127.0.0.1:4170', ''],
  ['localhost:4170/', 'http://localhost:4170', ''],
  ['[::1]:4170', 'http://[::1]:4170', ''],
  ['workshop-latch.local:4171', 'https://workshop-latch.local:4171', ''],
  ['http://list.example/devices', 'http://list.example', ''],
  [' https://list.example ', 'https://list.example', ''],
  ['https://list.example/join#7K4MRX2B', 'https://list.example', '7K4MRX2B'],
])('%s is the server at %s', (typed, address, code) => expect(readAddress(typed)).toEqual({ address, code }));

test.each(['', '   ', 'two words', 'https://', 'https://somebody@list.example', 'ftp://list.example', 'a:b:c'])(
  '“%s” is no address',
  (typed) => expect(readAddress(typed)).toBeNull(),
);
