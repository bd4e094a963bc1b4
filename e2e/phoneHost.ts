/**
 * A second machine on this one: a network namespace with an address of its own, joined to this machine by a cable (veth). On it runs a
 * browser with a home and a certificate store of its own, as on a phone in the same Wi-Fi.
 */
import { execFileSync, spawn, type ChildProcess } from 'node:child_process';
import { mkdirSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

import { Browser, programPath } from './browser';

const DRIVER_PORT = 9515;

const ip = (...args: string[]) => execFileSync('ip', args, { stdio: ['ignore', 'ignore', 'pipe'] });

/** Whether this machine lets us make another one on it: as root, with Debian's iproute2. */
export function canHaveHosts(): boolean {
  const name = `yl-try-${process.pid}`;
  try {
    ip('netns', 'add', name);
    ip('netns', 'del', name);
    return true;
  } catch {
    return false;
  }
}

export class PhoneHost {
  private driver: ChildProcess | null = null;
  private readonly home = mkdtempSync(join(tmpdir(), 'yellow-latch-home-'));

  private constructor(
    private readonly name: string,
    /** Its own address, and that of this machine on the cable between them. */
    readonly address: string,
    readonly ours: string,
  ) {}

  static make(): PhoneHost {
    // Two that run side by side have cables of their own.
    const third = process.pid % 250;
    const name = `yl-phone-${third}`;
    const host = new PhoneHost(name, `10.214.${third}.2`, `10.214.${third}.1`);
    ip('netns', 'add', name);
    try {
      ip('link', 'add', `yl${third}a`, 'type', 'veth', 'peer', 'name', `yl${third}b`, 'netns', name);
      ip('addr', 'add', `${host.ours}/30`, 'dev', `yl${third}a`);
      ip('link', 'set', `yl${third}a`, 'up');
      host.run('ip', 'addr', 'add', `${host.address}/30`, 'dev', `yl${third}b`);
      host.run('ip', 'link', 'set', `yl${third}b`, 'up');
      host.run('ip', 'link', 'set', 'lo', 'up');
      host.run('ip', 'route', 'add', 'default', 'via', host.ours);
    } catch (error) {
      host.remove();
      throw error;
    }
    return host;
  }

  /** A browser on it. `known`: the names it finds, with their addresses. */
  async open(known: Readonly<Record<string, string>>): Promise<Browser> {
    if (!this.driver) await this.startDriver();
    const names = [
      ...Object.entries(known).map(([name, address]) => `MAP ${name} ${address}`),
      'MAP * ~NOTFOUND',
      `EXCLUDE ${this.ours}`,
    ].join(', ');
    return Browser.start('phone', { elsewhere: { driver: `http://${this.address}:${DRIVER_PORT}`, names } });
  }

  /** Trusts a certificate authority for websites, as its owner does in the settings of a phone. `file`: PEM. */
  trust(file: string): void {
    const store = join(this.home, '.pki/nssdb');
    mkdirSync(store, { recursive: true });
    const certutil = (...args: string[]) =>
      execFileSync('certutil', ['-d', `sql:${store}`, ...args], { stdio: 'pipe' });
    certutil('-N', '--empty-password');
    certutil('-A', '-t', 'C,,', '-n', 'the computer', '-i', file);
  }

  end(): void {
    this.driver?.kill();
    this.remove();
    rmSync(this.home, { recursive: true, force: true });
  }

  private async startDriver(): Promise<void> {
    const args = [`--port=${DRIVER_PORT}`, `--allowed-ips=${this.ours}`, '--allowed-origins=*'];
    this.driver = spawn('ip', ['netns', 'exec', this.name, programPath('chromedriver'), ...args], {
      env: { ...process.env, HOME: this.home },
      stdio: ['ignore', 'pipe', 'inherit'],
    });
    await new Promise<void>((resolve, reject) => {
      let said = '';
      this.driver!.stdout!.on('data', (chunk) => {
        said += String(chunk);
        if (said.includes('started successfully')) resolve();
      });
      this.driver!.once('exit', () => reject(new Error(`the driver ended: ${said}`)));
    });
  }

  private run(...command: string[]): void {
    ip('netns', 'exec', this.name, ...command);
  }

  private remove(): void {
    ip('netns', 'del', this.name);
  }
}
