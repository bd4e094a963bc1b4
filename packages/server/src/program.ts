/** For tests: the server as a process of its own, bundled as it is for running. */
import { spawn, type ChildProcess } from 'node:child_process';
import { readFileSync, rmSync } from 'node:fs';
import { createServer, type AddressInfo } from 'node:net';
import { join } from 'node:path';

import { build } from 'esbuild';

const ROOT = join(__dirname, '..');

export interface Started {
  child: ChildProcess;
  /** Null: it has ended by itself. */
  address: string | null;
  /** All that it has written so far. */
  said: () => string;
}

export class Program {
  /** Beside the migrations, where the program looks for them. */
  private readonly file = join(ROOT, `dist/test-${process.pid}.mjs`);
  private readonly running = new Set<Started>();

  async build(): Promise<void> {
    const banner = {
      js: "import { createRequire } from 'node:module'; const require = createRequire(import.meta.url);",
    };
    await build({
      absWorkingDir: ROOT,
      entryPoints: ['src/main.ts'],
      outfile: this.file,
      bundle: true,
      platform: 'node',
      format: 'esm',
      external: ['better-sqlite3'],
      banner,
      logLevel: 'error',
    });
  }

  remove(): void {
    rmSync(this.file, { force: true });
  }

  /** Starts it on a free port; resolves when it says where it is, or has ended. `before`: run in the same shell, to set its bounds. */
  async start(data: string, settings: Record<string, string> = {}, before = ''): Promise<Started> {
    const env = {
      ...own(process.env),
      YELLOW_LATCH_DATA: data,
      YELLOW_LATCH_PORT: '0',
      YELLOW_LATCH_LOG_LEVEL: 'error',
      ...settings,
    };
    const child = spawn('bash', ['-c', `${before} exec "${process.execPath}" "${this.file}"`], {
      env,
      stdio: ['ignore', 'pipe', 'pipe'],
    });
    let said = '';
    const address = await new Promise<string | null>((resolve) => {
      const hear = (chunk: Buffer) => {
        said += String(chunk);
        const at = /is at (https?:\S+)/u.exec(said)?.[1];
        if (at) resolve(at);
      };
      child.stdout.on('data', hear);
      child.stderr.on('data', hear);
      child.on('close', () => resolve(null));
    });
    const started = { child, address, said: () => said };
    this.running.add(started);
    return started;
  }

  /** Runs a command of it to its end; resolves with what it said, rejects where it failed. */
  async run(args: readonly string[], before = ''): Promise<string> {
    const quoted = args.map((arg) => `'${arg}'`).join(' ');
    const child = spawn('bash', ['-c', `${before} exec "${process.execPath}" "${this.file}" ${quoted}`], {
      env: own(process.env),
      stdio: ['ignore', 'pipe', 'pipe'],
    });
    let said = '';
    for (const stream of [child.stdout, child.stderr]) stream.on('data', (chunk) => (said += String(chunk)));
    const code = await new Promise((resolve) => child.once('close', resolve));
    if (code !== 0) throw new Error(said);
    return said;
  }

  async end(started: Started, signal: 'SIGTERM' | 'SIGKILL' = 'SIGTERM'): Promise<void> {
    const { child } = started;
    this.running.delete(started);
    if (child.exitCode !== null || child.signalCode !== null) return;
    const ended = new Promise((resolve) => child.once('exit', resolve));
    child.kill(signal);
    await ended;
  }

  /** Ends what was started and is still running. */
  async endAll(): Promise<void> {
    for (const started of this.running) await this.end(started, 'SIGKILL');
  }
}

/** An environment without what tests set for themselves: the program refuses settings that it does not know. */
function own(env: NodeJS.ProcessEnv): NodeJS.ProcessEnv {
  return Object.fromEntries(Object.entries(env).filter(([name]) => !name.startsWith('YELLOW_LATCH_')));
}

/** A port that nobody has at this moment. */
export function freePort(): Promise<number> {
  return new Promise((resolve) => {
    const probe = createServer();
    probe.listen(0, '127.0.0.1', () => {
      const { port } = probe.address() as AddressInfo;
      probe.close(() => resolve(port));
    });
  });
}

/** The memory that a process has, in bytes (proc(5), statm). */
export function memoryOf({ child }: Started): number {
  return Number(readFileSync(`/proc/${child.pid}/statm`, 'utf8').split(' ')[1]) * 4_096;
}
