/** The authority of one computer, judged by OpenSSL (through Node's TLS): what it may vouch for, and for how long. */
import { mkdtempSync, readdirSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { createServer } from 'node:https';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { connect } from 'node:tls';

import { NOW } from '../testing';
import { LEAF_LASTS, makeLeaf, openAuthority, type Authority } from './authority';

const DAY = 24 * 60 * 60_000;
const NAME = 'workshop-latch.local';
let folder: string;
beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), 'yellow-latch-authority-'));
});
afterEach(() => rmSync(folder, { recursive: true, force: true }));

/** What a client that trusts `authority` makes of its certificate for some addresses, when it asks for `host`. */
async function verdict(authority: Authority, addresses: readonly string[], host: string): Promise<string> {
  const leaf = await makeLeaf(authority, addresses, Date.now());
  const server = createServer(leaf);
  await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve));
  const { port } = server.address() as AddressInfo;
  try {
    return await new Promise((resolve) => {
      const socket = connect({
        port,
        host: '127.0.0.1',
        servername: host.endsWith('.local') ? host : '',
        ca: authority.certificate,
        checkServerIdentity: (_asked, certificate) =>
          certificate.subjectaltname?.includes(host) ? undefined : new Error('other name'),
      });
      const told = (what: string) => {
        socket.destroy();
        resolve(what);
      };
      socket.once('secureConnect', () => told('trusted')).once('error', ({ message }: Error) => told(message));
    });
  } finally {
    server.close();
    server.closeAllConnections();
  }
}

test('it vouches for its own name and for private addresses, and for nothing else', async () => {
  const authority = await openAuthority(folder, NAME, Date.now());
  for (const address of ['10.1.2.3', '172.31.255.254', '192.168.0.9', '169.254.7.7', 'fd00::2'])
    expect([address, await verdict(authority, [address], NAME)]).toEqual([address, 'trusted']);
  for (const address of ['192.0.2.7', '172.32.0.1', '8.8.8.8', '2001:db8::1'])
    expect([address, await verdict(authority, [address], NAME)]).toEqual([address, 'permitted subtree violation']);
  expect(await verdict({ ...authority, name: 'bank.example' }, [], 'bank.example')).toBe('permitted subtree violation');
  expect(await verdict({ ...authority, name: 'other.local' }, [], 'other.local')).toBe('permitted subtree violation');
});

test('it is made once, and its key is for its owner alone', async () => {
  const made = await openAuthority(folder, NAME, NOW);
  const again = await openAuthority(folder, 'renamed-latch.local', NOW + DAY);
  // The computer was called something else meanwhile: phones know it by the name they trust.
  expect([again.fingerprint, again.name]).toEqual([made.fingerprint, NAME]);
  expect(made.fingerprint).toMatch(/^([0-9A-F]{8} ){7}[0-9A-F]{8}$/u);
  expect(statSync(join(folder, 'authority-key.pem')).mode & 0o777).toBe(0o600);
});

test('a new one is made when that is asked for, and the one before is kept beside it', async () => {
  const before = await openAuthority(folder, NAME, NOW);
  const after = await openAuthority(folder, 'renamed-latch.local', NOW, true);
  expect(after.fingerprint).not.toBe(before.fingerprint);
  expect(after.name).toBe('renamed-latch.local');
  expect(readdirSync(folder)).toHaveLength(4);
});

test('expired, from a clock that is wrong, or damaged: it is said what to do', async () => {
  await openAuthority(folder, NAME, NOW);
  await expect(openAuthority(folder, NAME, NOW - 2 * DAY)).rejects.toThrow(
    /clock says 2026-11-22, .* counts from 2026-11-23. Set the clock/u,
  );
  await expect(openAuthority(folder, NAME, NOW + 3_651 * DAY)).rejects.toThrow(
    /expired on 2036-11-21. Start once with --new-authority/u,
  );
  writeFileSync(join(folder, 'authority-key.pem'), 'gone');
  await expect(openAuthority(folder, NAME, NOW)).rejects.toThrow(/authority.pem can’t be read .* --new-authority/u);
});

test('no certificate outlives the authority, and none begins before it', async () => {
  const authority = await openAuthority(folder, NAME, NOW);
  const end = authority.until.getTime();
  expect((await makeLeaf(authority, [], end - DAY)).until).toBe(end);
  expect((await makeLeaf(authority, [], NOW)).until).toBe(NOW + LEAF_LASTS);
});
