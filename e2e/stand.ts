/** The server under test, on a free port with a fresh database; it can be stopped and started. */
import { spawn, type ChildProcess } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { createServer } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

const ROOT = join(__dirname, '..');

/** The demo list or an empty one, which whoever comes is in; or a server where lists are begun and joined. */
export type StandList = 'demo' | 'empty' | 'closed';

export class Stand {
  private process: ChildProcess | null = null;

  private constructor(
    /** The folder of its database. */
    readonly data: string,
    private readonly port: number,
    private readonly list: StandList,
    private readonly site: string,
    private readonly settings: Readonly<Record<string, string>>,
  ) {}

  /** `site`: the folder of the app it serves; the one that was built unless given. `settings`: more of the server’s, as environment variables. */
  static async start(
    list: StandList,
    site = join(ROOT, 'packages/app/dist'),
    settings: Readonly<Record<string, string>> = {},
  ): Promise<Stand> {
    const data = mkdtempSync(join(tmpdir(), 'yellow-latch-server-'));
    for (let tries = 3; ; tries -= 1) {
      const stand = new Stand(data, await freePort(), list, site, settings);
      try {
        await stand.start();
        return stand;
      } catch (error) {
        // Between being found free and being taken, another may have taken it.
        if (tries === 0 || !String(error).includes('is in use')) throw error;
      }
    }
  }

  get address(): string {
    return `http://127.0.0.1:${this.port}`;
  }

  /** Starts the server; resolves when it says where it listens. */
  start(): Promise<void> {
    const server = spawn(process.execPath, [join(ROOT, 'packages/server/dist/server.mjs')], {
      env: {
        ...withoutOurs(process.env),
        YELLOW_LATCH_LOG_LEVEL: 'error',
        YELLOW_LATCH_SITE: this.site,
        YELLOW_LATCH_DATA: this.data,
        YELLOW_LATCH_PORT: String(this.port),
        YELLOW_LATCH_DEMO: this.list === 'demo' ? '1' : '0',
        YELLOW_LATCH_OPEN: this.list === 'empty' ? '1' : '0',
        ...this.settings,
      },
      stdio: ['ignore', 'pipe', 'pipe'],
    });
    this.process = server;
    return new Promise((resolve, reject) => {
      let said = '';
      const listen = (chunk: Buffer) => {
        said += String(chunk);
        if (said.includes(this.address)) resolve();
      };
      server.stdout.on('data', listen);
      server.stderr.on('data', listen);
      server.once('exit', () => reject(new Error(`the server ended: ${said}`)));
    });
  }

  /** What the server has used of a processor since it started, in ms (proc(5): utime and stime, in ticks of 10 ms), and its memory, in bytes. */
  get used(): { cpu: number; memory: number } {
    const of = `/proc/${this.process!.pid}`;
    const [, fields] = readFileSync(`${of}/stat`, 'utf8').split(') ');
    const [utime, stime] = fields!.split(' ').slice(11, 13).map(Number);
    const pages = Number(readFileSync(`${of}/statm`, 'utf8').split(' ')[1]);
    return { cpu: (utime! + stime!) * 10, memory: pages * 4_096 };
  }

  /** Stops the server and waits until it is gone. */
  stop(signal: 'SIGTERM' | 'SIGKILL' = 'SIGTERM'): Promise<void> {
    const server = this.process;
    this.process = null;
    if (!server || server.exitCode !== null) return Promise.resolve();
    return new Promise((resolve) => {
      server.once('exit', () => resolve());
      server.kill(signal);
    });
  }

  /** Ends the server as a loss of power does, and waits until it is gone. */
  kill(): Promise<void> {
    return this.stop('SIGKILL');
  }

  /** Stops the server, empties its folder and starts it again: a server that knows nobody. */
  async startAfresh(): Promise<void> {
    await this.stop();
    rmSync(this.data, { recursive: true, force: true });
    await this.start();
  }

  async end(): Promise<void> {
    await this.stop();
    rmSync(this.data, { recursive: true, force: true });
  }
}

/** An environment without what tests set for themselves: the server refuses settings that it does not know. */
function withoutOurs(env: NodeJS.ProcessEnv): NodeJS.ProcessEnv {
  const entries = Object.entries(env).filter(([name]) => !name.startsWith('YELLOW_LATCH_'));
  return Object.fromEntries(entries) as NodeJS.ProcessEnv;
}

function freePort(): Promise<number> {
  return new Promise((resolve, reject) => {
    const probe = createServer();
    probe.once('error', reject);
    probe.listen(0, '127.0.0.1', () => {
      const { port } = probe.address() as { port: number };
      probe.close(() => resolve(port));
    });
  });
}
