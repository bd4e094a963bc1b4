/**
 * Phones on the same network: the app over https under a certificate of its own, a page over http that walks a phone through
 * trusting it, and the computer's name announced. No HSTS: it would send the phone to https before it can go there.
 */
import { createServer, type RequestListener, type Server } from 'node:http';
import { createServer as createSecureServer } from 'node:https';
import type { AddressInfo, Socket } from 'node:net';
import { hostname } from 'node:os';
import { join } from 'node:path';

import { listen, stopListening } from '../listening';
import { log, logFailure } from '../log';
import { announce, type Announced } from './announce';
import { LEAF_LASTS, makeLeaf, openAuthority, type Authority, type Leaf } from './authority';
import { inUrl, isNear, privateAddresses } from './network';
import { trustListener } from './trustPage';

/** How often it looks whether this machine has other addresses, in ms. */
const LOOKED_EVERY = 15_000;
/** A certificate is renewed when less than this is left of it, in ms. */
const RENEWED_BEFORE = LEAF_LASTS / 2;

export interface PhonesOptions {
  /** The data folder. */
  data: string;
  /** The name asked for; undefined: one made of the host name. */
  name?: string;
  isNewAuthority: boolean;
  app: RequestListener;
  /** Of https; the page that walks through trust has the next one. 0: any two. */
  port: number;
  now: () => number;
  /** For tests: the addresses of this machine, and whether to announce them. */
  addresses?: () => string[];
  isAnnounced?: boolean;
}

/**
 * How phones get in: the address of the app, under the name as soon as a device has found it so, else by number; and that of the page for
 * those that do not trust it yet, with the address by number for those that can't find the name.
 */
export interface WayIn {
  address: string;
  trust: { address: string; fingerprint: string; byNumber: string };
}

export class Phones {
  private announced: Announced | undefined;
  private timer: ReturnType<typeof setInterval> | undefined;
  /** Whether a device has asked for the name, which stays when addresses change. Not every one can find it. */
  private isFoundByName = false;

  private constructor(
    private readonly options: PhonesOptions,
    private readonly authority: Authority,
    private addresses: string[],
    private leaf: Leaf,
    private readonly app: ReturnType<typeof createSecureServer>,
    private readonly page: Server,
  ) {}

  /** Opens both ports. Throws where one is taken, or the authority can't be used, with what to do. */
  static async open(options: PhonesOptions): Promise<Phones> {
    const { data, isNewAuthority, port, now, addresses: read = privateAddresses } = options;
    const name = options.name ?? nameOfHost();
    const authority = await openAuthority(join(data, 'authority'), name, now(), isNewAuthority);
    if (options.name !== undefined && authority.name !== name)
      throw new Error(
        `phones trust this computer as ${authority.name}, not as ${name}. Leave out --name, or start once with --new-authority; each phone must then trust it anew`,
      );
    const addresses = read();
    const leaf = await makeLeaf(authority, addresses, now());
    const app = createSecureServer(leaf);
    const page = createServer();
    const phones = new Phones(options, authority, addresses, leaf, app, page);
    page.on(
      'request',
      trustListener(() => phones.trustPage()),
    );
    app.on('request', (request, response) => {
      phones.isFoundByName ||= request.headers.host?.split(':')[0] === authority.name;
      options.app(request, response);
    });
    for (const server of [app, page]) server.on('connection', refuseStrangers);
    // A phone that does not trust it yet hangs up in the middle of the handshake.
    app.on('tlsClientError', () => {});
    try {
      await listenAnywhere(app, port);
      await listenAnywhere(page, port === 0 ? 0 : port + 1);
    } catch (error) {
      await phones.close(0);
      throw error;
    }
    if (options.isAnnounced !== false) phones.announced = announce(authority.name, () => phones.addresses);
    phones.timer = setInterval(() => void phones.follow(), LOOKED_EVERY).unref();
    return phones;
  }

  /** Host names that mean this computer. */
  get hosts(): string[] {
    return [this.authority.name, ...this.addresses.map(inUrl)];
  }

  /** Null while this machine is on no network of its own. */
  get wayIn(): WayIn | null {
    const [address] = this.addresses;
    if (address === undefined) return null;
    const port = portOf(this.app);
    const byNumber = `https://${inUrl(address)}:${port}`;
    return {
      address: this.isFoundByName ? `https://${this.name}:${port}` : byNumber,
      trust: {
        address: `http://${inUrl(address)}:${portOf(this.page)}`,
        fingerprint: this.authority.fingerprint,
        byNumber,
      },
    };
  }

  get name(): string {
    return this.authority.name;
  }

  /** Looks at the addresses and the time, and makes another certificate where that is needed. */
  async follow(): Promise<void> {
    const { now, addresses: read = privateAddresses } = this.options;
    const addresses = read();
    const isMoved = addresses.join() !== this.addresses.join();
    if (!isMoved && this.leaf.until - now() > RENEWED_BEFORE) return;
    try {
      this.leaf = await makeLeaf(this.authority, addresses, now());
      this.addresses = addresses;
      this.app.setSecureContext(this.leaf);
    } catch (error) {
      logFailure('The certificate could not be renewed', error);
      return;
    }
    if (!isMoved) return;
    log().warn(
      this.wayIn
        ? 'This computer has another address. Phones find it by its name, or at the address under Devices.'
        : 'This computer is on no network now. Phones wait.',
    );
    this.announced?.again();
  }

  /** `grace`: how long running requests are waited for, in ms. */
  async close(grace: number): Promise<void> {
    clearInterval(this.timer);
    await this.announced?.close();
    await Promise.all([stopListening(this.app, grace), stopListening(this.page, 0)]);
  }

  private trustPage() {
    const { authority, addresses } = this;
    const port = portOf(this.app);
    return {
      addresses: [authority.name, ...addresses.map(inUrl)].map((host) => `https://${host}:${port}`),
      fingerprint: authority.fingerprint,
      certificate: authority.bytes,
      now: this.options.now(),
    };
  }
}

/** A name that no other responder on this machine answers for. */
function nameOfHost(): string {
  const label = hostname()
    .split('.')[0]!
    .toLowerCase()
    .replaceAll(/[^a-z0-9-]/gu, '')
    .replaceAll(/^-+|-+$/gu, '');
  return `${label.slice(0, 50) || 'my'}-latch.local`;
}

/** On every address of this machine, IPv6 and IPv4; on IPv4 alone where there is nothing else. */
async function listenAnywhere(server: Server, port: number): Promise<void> {
  try {
    await listen(server, port, '::');
  } catch (error) {
    if (!['EAFNOSUPPORT', 'EADDRNOTAVAIL'].includes((error as NodeJS.ErrnoException).code ?? '')) throw error;
    await listen(server, port, '0.0.0.0');
  }
}

/** Nobody from outside: it listens on all addresses, so that it need not listen anew when they change. */
function refuseStrangers(socket: Socket): void {
  if (!isNear(socket.localAddress) || !isNear(socket.remoteAddress)) socket.destroy();
}

function portOf(server: Server): number {
  return (server.address() as AddressInfo).port;
}
