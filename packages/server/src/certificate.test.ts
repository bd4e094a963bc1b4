import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

import { readCertificate } from './certificate';
import { makeLeaf, openAuthority } from './phones/authority';
import { listenToLog, NOW } from './testing';

const DAY = 24 * 60 * 60_000;
let folder: string;
beforeEach(async () => {
  folder = mkdtempSync(join(tmpdir(), 'yellow-latch-certificate-'));
  const leaf = await makeLeaf(await openAuthority(folder, 'workshop-latch.local', NOW), ['10.0.0.8'], NOW);
  writeFileSync(at('cert.pem'), leaf.cert);
  writeFileSync(at('key.pem'), leaf.key);
});
afterEach(() => rmSync(folder, { recursive: true, force: true }));
const at = (name: string) => join(folder, name);
const read = (cert = 'cert.pem', key = 'key.pem', url?: string, now = NOW) =>
  readCertificate({ cert: at(cert), key: at(key) }, url, now);

test.each([
  ['that is not there', 'none.pem', 'key.pem', 'none.pem is not there'],
  ['that is none', 'key.pem', 'key.pem', 'key.pem holds no certificate in PEM'],
  ['whose key is none', 'cert.pem', 'cert.pem', 'cert.pem holds no private key in PEM'],
  ['whose key is another’s', 'cert.pem', 'authority-key.pem', /authority-key\.pem is not the key of .*cert\.pem/u],
])('a certificate %s is refused, and it is said which file is wrong', (_name, cert, key, said) => {
  expect(() => read(cert, key)).toThrow(said);
});

test.each([
  ['for its name and in its time', 'https://workshop-latch.local', NOW, []],
  ['for its address', 'https://10.0.0.8:8443', NOW, []],
  [
    'for another name',
    'https://list.example',
    NOW,
    ['The certificate is not for list.example. Browsers refuse it there.'],
  ],
  ['expired', undefined, NOW + 31 * DAY, ['The certificate expired on 2026-12-24. Browsers refuse it: renew it.']],
  [
    'too early',
    undefined,
    NOW - 2 * DAY,
    ['The certificate counts from 2026-11-23, and it is 2026-11-22. Is the clock right?'],
  ],
])('one %s is served, and what browsers will say is logged', (_name, url, now, said) => {
  const log = listenToLog();
  expect(read('cert.pem', 'key.pem', url, now).cert).toContain('BEGIN CERTIFICATE');
  expect(log.lines.map((line) => (JSON.parse(line) as { msg: string }).msg)).toEqual(said);
  log.end();
});
