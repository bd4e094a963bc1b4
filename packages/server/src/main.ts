/** The program: serves until it is told to stop; or makes a backup, or puts one back. */
import { parseArgs } from 'node:util';

import { toString as qrCode } from 'qrcode';

import { restoreBackup, takeBackup, type Contents } from './backup/backup';
import { seedDemo } from './demo/seed';
import { openLog } from './log';
import type { WayIn } from './phones/phones';
import { startServer } from './server';
import { readSettings, settingsHelp, type Settings } from './settings';

const [command, ...rest] = process.argv.slice(2);
try {
  if (command === 'backup' || command === 'restore') await moveData(command, rest);
  else {
    const settings = readSettings(process.env, process.argv.slice(2));
    if (settings === null) console.log(settingsHelp());
    else await serve(settings);
  }
} catch (error) {
  const what = command === 'backup' || command === 'restore' ? `The ${command} failed` : 'Yellow Latch could not start';
  console.error(`${what}: ${tellWhy(error as NodeJS.ErrnoException)}`);
  process.exit(1);
}

async function serve({ isDemo, isOpen, log, ...settings }: Settings): Promise<void> {
  openLog(log, process.stderr.isTTY);
  const name = isDemo ? 'Corrie & Vale' : 'My list';
  const server = await startServer({
    ...settings,
    openList: isOpen ? name : undefined,
    prepare: isDemo ? seedDemo : undefined,
  });
  if (server.readOnly)
    console.error(`Nothing can be saved: ${server.readOnly}. The list can be read. Make room, then start again.`);
  console.log(`Yellow Latch is at ${server.address}`);
  if (isDemo) console.log(`Try its list on a stand-in phone: ${server.address}/stand-in/phone`);
  if (settings.publicUrl) console.log(`Other devices reach it at ${settings.publicUrl}`);
  if (settings.phones) await tellWayIn(server.wayIn());
  let isStopping = false;
  const stop = () => {
    // Told twice, it waits for nobody.
    if (isStopping) process.exit(1);
    isStopping = true;
    void server.close().then(() => process.exit(0));
  };
  process.on('SIGINT', stop);
  process.on('SIGTERM', stop);
}

async function tellWayIn(way: WayIn | null): Promise<void> {
  if (way === null) {
    console.log('This computer is on no Wi-Fi or cable network. Phones can join when it is.');
    return;
  }
  console.log(`\nOn your phone, in the same Wi-Fi, open ${way.trust.address}`);
  if (process.stdout.isTTY) console.log(await qrCode(way.trust.address, { type: 'terminal', small: true }));
  console.log(`It shows how to trust this computer. Compare these digits there:\n  ${way.trust.fingerprint}`);
  console.log(`Then the app is at ${way.address}. To join your list, take a code from Devices.`);
}

/** `backup FILE` or `restore FILE`, with `--data FOLDER`. */
async function moveData(command: 'backup' | 'restore', args: readonly string[]): Promise<void> {
  const { values, positionals } = parseArgs({
    args: [...args],
    options: { data: { type: 'string' } },
    allowPositionals: true,
  });
  const [file, more] = positionals;
  if (file === undefined || more !== undefined) throw new Error(`say which file: npm run ${command} -- FILE`);
  const data = values.data ?? readSettings({ YELLOW_LATCH_DATA: process.env.YELLOW_LATCH_DATA })!.data;
  const told = ({ lists, devices, changes, records }: Contents) =>
    `${lists} lists, ${devices} devices, ${records} records, ${changes} changes`;
  if (command === 'backup') console.log(`Backed up to ${file}: ${told(await takeBackup(data, file))}. Checked.`);
  else {
    const { contents, before } = await restoreBackup(data, file, Date.now());
    console.log(`Restored ${told(contents)}. Start the server.`);
    if (before) console.log(`What was there before is in ${before}.`);
  }
}

function tellWhy({ code, message, path, ...error }: NodeJS.ErrnoException): string {
  const { port } = error as { port?: number };
  if (code === 'EADDRINUSE') return `port ${port} is in use; choose another with --port`;
  if (code === 'EACCES' && path === undefined) return `port ${port} can’t be used; choose one above 1023 with --port`;
  if (code === 'ENOSPC' || code === 'SQLITE_FULL') return 'the disk is full';
  if (code?.startsWith('SQLITE_READONLY') || code === 'SQLITE_CANTOPEN')
    return `its folder can’t be written (${message}); --data chooses another`;
  if (code?.startsWith('SQLITE_BUSY')) return 'its data is locked by another program; is it running already?';
  return message;
}
