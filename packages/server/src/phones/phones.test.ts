/** Phones let in: over https at this machine's addresses of now, with a page over http for those that do not trust it yet. */
import { mkdtempSync, rmSync } from 'node:fs';
import { request as plain } from 'node:http';
import { request as secure } from 'node:https';
import { createServer } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

import multicastDns from 'multicast-dns';

import { startServer } from '../server';
import { listenToLog } from '../testing';
import { announce } from './announce';
import { LEAF_LASTS } from './authority';
import { isNear, privateAddresses } from './network';
import { Phones, type PhonesOptions } from './phones';

let folder: string;
let phones: Phones;
const now = { at: Date.now() };
const addresses = { are: ['192.168.7.4'] };
const options = (): PhonesOptions => ({
  data: folder,
  name: 'workshop-latch.local',
  isNewAuthority: false,
  app: (_request, response) => void response.end('the app'),
  port: 0,
  now: () => now.at,
  addresses: () => addresses.are,
  isAnnounced: false,
});

beforeEach(async () => {
  folder = mkdtempSync(join(tmpdir(), 'yellow-latch-phones-'));
  now.at = Date.now();
  addresses.are = ['192.168.7.4'];
  phones = await Phones.open(options());
});
afterEach(async () => {
  await phones.close(0);
  rmSync(folder, { recursive: true, force: true });
});

/** Asks this machine, whatever the address says: only the certificate tells them apart here. */
function ask(
  address: string,
  path = '/',
  name?: string,
): Promise<{ status: number; headers: Record<string, unknown>; body: string; names: string; serial: string }> {
  const { port, protocol } = new URL(address);
  return new Promise((resolve, reject) => {
    const send = protocol === 'https:' ? secure : plain;
    const headers = name === undefined ? {} : { Host: `${name}:${port}` };
    const options = { host: '127.0.0.1', port, path, headers, rejectUnauthorized: false, agent: false };
    const asked = send(options, (response) => {
      const { socket } = response as never as {
        socket: { getPeerCertificate?: () => { subjectaltname: string; serialNumber: string } };
      };
      const shown = socket.getPeerCertificate?.();
      let body = '';
      response.on('data', (chunk) => (body += String(chunk)));
      response.on('end', () =>
        resolve({
          status: response.statusCode!,
          headers: response.headers,
          body,
          names: shown?.subjectaltname ?? '',
          serial: shown?.serialNumber ?? '',
        }),
      );
    });
    asked.on('error', reject).end();
  });
}

test('the app is served under a certificate for the name and the addresses of now', async () => {
  const { address } = phones.wayIn!;
  expect(address).toMatch(/^https:\/\/192\.168\.7\.4:\d+$/u);
  const answer = await ask(address);
  expect([answer.body, answer.names]).toEqual(['the app', 'DNS:workshop-latch.local, IP Address:192.168.7.4']);
  expect(phones.hosts).toEqual(['workshop-latch.local', '192.168.7.4']);
});

test('the name is told as the address from when a device has found it', async () => {
  const { address, trust } = phones.wayIn!;
  expect(trust.byNumber).toBe(address);
  await ask(address, '/', 'workshop-latch.local');
  expect(phones.wayIn!.address).toBe(`https://workshop-latch.local:${new URL(address).port}`);
  expect(phones.wayIn!.trust).toEqual(trust);
});

test('another address gets another certificate, without a restart', async () => {
  const log = listenToLog();
  const before = await ask(phones.wayIn!.address);
  await phones.follow();
  expect((await ask(phones.wayIn!.address)).serial).toBe(before.serial);
  addresses.are = ['10.0.0.8', 'fd00::8'];
  await phones.follow();
  expect((await ask(phones.wayIn!.address)).names).toContain('IP Address:10.0.0.8, IP Address:FD00:0:0:0:0:0:0:8');
  expect(phones.hosts).toEqual(['workshop-latch.local', '10.0.0.8', '[fd00::8]']);
  addresses.are = [];
  await phones.follow();
  expect(phones.wayIn).toBeNull();
  expect(log.lines.join()).toMatch(/another address.*no network now/su);
  log.end();
});

test('a certificate is renewed before it ends', async () => {
  const before = await ask(phones.wayIn!.address);
  now.at += LEAF_LASTS / 2 + 1;
  await phones.follow();
  expect((await ask(phones.wayIn!.address)).serial).not.toBe(before.serial);
});

test('a name that phones do not know is refused, with what to do', async () => {
  await phones.close(0);
  await expect(Phones.open({ ...options(), name: 'renamed-latch.local' })).rejects.toThrow(
    'phones trust this computer as workshop-latch.local, not as renamed-latch.local. Leave out --name, or start once with --new-authority',
  );
  phones = await Phones.open({ ...options(), name: 'renamed-latch.local', isNewAuthority: true });
  expect(phones.name).toBe('renamed-latch.local');
});

test('a taken port is told, and the other is let go of', async () => {
  const taken = createServer();
  await new Promise<void>((resolve) => taken.listen(0, '::', resolve));
  const { port } = taken.address() as { port: number };
  await expect(Phones.open({ ...options(), port: port - 1 })).rejects.toMatchObject({ code: 'EADDRINUSE', port });
  const free = createServer();
  await new Promise<void>((resolve) => free.listen(port - 1, '::', resolve));
  free.close();
  taken.close();
});

test('the server answers to its name and its addresses alone, over https, and sends no HSTS', async () => {
  await phones.close(0);
  const { addresses: are, isAnnounced, name, isNewAuthority } = options();
  const server = await startServer({
    data: folder,
    host: '127.0.0.1',
    port: 0,
    phones: { addresses: are, isAnnounced, name, isNewAuthority },
  });
  const { address } = server.wayIn()!;
  for (const [host, status] of [
    ['192.168.7.4', 200],
    ['workshop-latch.local', 200],
    ['192.168.7.5', 421],
    ['list.example', 421],
  ] as const) {
    const answer = await ask(address, '/api/health', host);
    expect([host, answer.status]).toEqual([host, status]);
    expect(answer.headers).not.toHaveProperty('strict-transport-security');
    if (status === 200) expect(answer.headers).toHaveProperty('permissions-policy');
  }
  // This computer goes on at the address it had.
  expect((await ask(server.address, '/api/health')).status).toBe(200);
  await server.close();
});

describe('the page about trust', () => {
  test('tells the steps, the same fingerprint, and both ways to the app; nothing but its own script runs', async () => {
    const { trust, address } = phones.wayIn!;
    const { status, body, headers } = await ask(trust.address);
    expect(status).toBe(200);
    for (const group of trust.fingerprint.split(' ')) expect(body).toContain(`<span>${group}</span>`);
    const { port } = new URL(address);
    expect(body).toContain(JSON.stringify([`https://workshop-latch.local:${port}`, address]));
    const policy = String(headers['content-security-policy']);
    const nonce = /script-src 'nonce-([^']+)'/u.exec(policy)![1]!;
    expect(body.match(/nonce="([^"]+)"/gu)).toEqual([`nonce="${nonce}"`, `nonce="${nonce}"`]);
    expect(policy).toContain("default-src 'none'");
    // It would close this very page.
    expect(headers).not.toHaveProperty('strict-transport-security');
  });

  test('hands out the certificate as phones install it; any other path leads back', async () => {
    const { trust } = phones.wayIn!;
    expect((await ask(trust.address, '/yellow-latch.crt')).headers['content-type']).toBe('application/x-x509-ca-cert');
    expect((await ask(trust.address, '/api/door')).headers.location).toBe('/');
  });
});

test('only private addresses are this machine’s for phones, in a steady order', () => {
  const of = (address: string, family: 'IPv4' | 'IPv6', internal = false) => ({ address, family, internal }) as never;
  expect(
    privateAddresses({
      lo: [of('127.0.0.1', 'IPv4', true)],
      eth0: [of('fd00::2', 'IPv6'), of('169.254.3.4', 'IPv4'), of('203.0.113.9', 'IPv4'), of('fe80::1', 'IPv6')],
      wlan0: [of('192.168.1.20', 'IPv4'), of('2001:db8::5', 'IPv6')],
    }),
  ).toEqual(['192.168.1.20', 'fd00::2', '169.254.3.4']);
});

test.each([
  ['::ffff:192.168.1.9', true],
  ['fe80::1%eth0', true],
  ['::1', true],
  ['203.0.113.9', false],
  ['::ffff:203.0.113.9', false],
  ['2001:db8::5', false],
  [undefined, false],
])('a connection from %s is near: %s', (address, near) => {
  expect(isNear(address)).toBe(near);
});

test('the name is answered for on the network, with the addresses of now (RFC 6762)', async () => {
  // A port of its own, so that no other responder is disturbed.
  const port = 20_000 + (process.pid % 20_000);
  const asking = multicastDns({ port, loopback: true });
  const asked = () =>
    new Promise<string[]>((resolve) => {
      asking.once('response', ({ answers }) =>
        resolve(answers.map((answer) => `${answer.type} ${String((answer as { data: unknown }).data)}`)),
      );
      asking.query('workshop-latch.local', 'A');
    });
  await new Promise<void>((resolve) => asking.once('ready', () => resolve()));
  const announced = announce('workshop-latch.local', () => addresses.are, { port, loopback: true });
  expect(await asked()).toEqual(['A 192.168.7.4']);
  addresses.are = ['10.0.0.8', 'fd00::8'];
  expect(await asked()).toEqual(['A 10.0.0.8', 'AAAA fd00::8']);
  await announced.close();
  await new Promise<void>((resolve) => asking.destroy(() => resolve()));
});
