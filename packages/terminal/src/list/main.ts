/** The program: a list exported, imported into and checked from a terminal, by a device of the list or from a file. */
import '../device/browserless';

import { readFileSync, rmSync, writeFileSync } from 'node:fs';

import { writeList } from '@yellow-latch/core/exchange';
import type { ListView } from '@yellow-latch/replica/storage/view';
import type { Introduced } from '@yellow-latch/replica/sync/entering';
import { z } from 'zod';

import { DEVICE_KINDS } from '@yellow-latch/core/model';

import { pageOf } from '../device/browserless';
import { Device } from '../device/device';
import { tellFailure } from '../device/failure';
import { checkList } from './check';
import { planOf, readRows, tellPlan } from './importing';
import { formOf, HELP, readSettings, type Settings } from './settings';

/** What is kept of a device between two runs: by the cookie it is let in. */
const KeptSchema = z.object({
  server: z.string(),
  cookie: z.string(),
  id: z.string(),
  name: z.string(),
  kind: z.enum(DEVICE_KINDS),
});

/** Something needs fixing; and: it could not be done. */
const NEEDS_FIXING = 1;
const FAILED = 2;

try {
  const settings = readSettings(process.argv.slice(2));
  if (settings === null) process.stdout.write(HELP);
  else process.exitCode = await run(settings);
} catch (error) {
  console.error(`That didn’t work: ${tellFailure(error)}`);
  process.exitCode = FAILED;
}

async function run(settings: Settings): Promise<number> {
  const { command, argument, device: file } = settings;
  switch (command) {
    case 'join':
      await joinForGood(settings);
      return 0;
    case 'leave':
      await (await opened(settings)).leave();
      rmSync(file);
      console.error('Signed out.');
      return 0;
    case 'check':
      return argument === undefined
        ? withList(settings, ({ replica }) => tellCheck(replica.read()))
        : checkFile(settings, argument);
    case 'export':
      return withList(settings, ({ replica }) => exportTo(argument!, settings, replica.read()));
    case 'import':
      return withList(settings, (device) => importFrom(argument!, settings, device));
  }
}

async function joinForGood({ server, argument, name, device: file }: Settings): Promise<void> {
  const cookie = pageOf(server);
  const device = await Device.join(asCommandLine(name), argument ?? null);
  const kept = { server, cookie: cookie(), ...device.known } satisfies z.infer<typeof KeptSchema>;
  writeFileSync(file, `${JSON.stringify(kept, null, 2)}\n`, { mode: 0o600 });
  console.error(
    `Joined: ${device.replica.read().shortcuts.length} shortcuts. ${file} lets whoever has it into your list: keep it secret.`,
  );
}

/** Nobody types on it. */
function asCommandLine(name: string): Introduced {
  return { name, kind: 'computer', isTypedOn: false };
}

/** The device that this folder is. */
async function opened({ device: file }: Settings): Promise<Device> {
  let text: string;
  try {
    text = readFileSync(file, 'utf8');
  } catch {
    throw new Error(`${file} is not there. Join first: npm run list -- join CODE`);
  }
  const { success, data } = KeptSchema.safeParse(parsed(text));
  if (!success) throw new Error(`${file} is no device of a list. Join again: npm run list -- join CODE`);
  pageOf(data.server, data.cookie);
  return Device.resume(data);
}

function parsed(text: string): unknown {
  try {
    return JSON.parse(text);
  } catch {
    return null;
  }
}

/** Does something as the device that this folder is, or as one that joins for it and leaves again. */
async function withList(settings: Settings, work: (device: Device) => Promise<number> | number): Promise<number> {
  if (settings.join === undefined) return work(await opened(settings));
  pageOf(settings.server);
  const device = await Device.join(asCommandLine(settings.name), settings.join);
  try {
    return await work(device);
  } finally {
    await device.leave();
  }
}

function exportTo(file: string, { form = formOf(file) }: Settings, list: ListView): number {
  if (form === undefined && file !== '-') throw new Error(`${file} says no form; give --form`);
  const text = writeList(list, form ?? 'json', new Date().toISOString());
  if (file === '-') process.stdout.write(text);
  else writeFileSync(file, text);
  const isPrivate = list.shortcuts.filter((shortcut) => shortcut.private).length;
  console.error(`Exported ${list.shortcuts.length - isPrivate} shortcuts.`);
  return 0;
}

async function importFrom(file: string, settings: Settings, device: Device): Promise<number> {
  const { replica } = device;
  const plan = planOf(
    readRows(readFileSync(file), file),
    replica.read(),
    settings,
    (type, id) => replica.recordOf(type, id) !== undefined,
  );
  process.stdout.write(tellPlan(plan));
  if (!settings.yes) {
    console.error('Nothing was imported. --yes does it.');
    return 0;
  }
  await replica.write(plan.importing.command.writes);
  await device.catchUp();
  console.error(`Imported ${plan.importing.made} new, ${plan.importing.changed} changed. History can undo it.`);
  return 0;
}

async function checkFile({ on, language, ...settings }: Settings, file: string): Promise<number> {
  const device = await Device.alone();
  const { replica } = device;
  const plan = planOf(readRows(readFileSync(file), file), replica.read(), settings, () => false);
  await replica.write(plan.importing.command.writes);
  const refused = plan.rows.filter(({ status }) => status === 'refused' || status === 'in use');
  const list = replica.read();
  if (refused.length > 0) process.stdout.write(tellPlan({ ...plan, rows: refused }));
  const found = tellCheck(list, { kinds: on, languages: language });
  return refused.length > 0 ? NEEDS_FIXING : found;
}

function tellCheck(list: ListView, asked?: Parameters<typeof checkList>[1]): number {
  const { lines, toFix, summary } = checkList(list, asked);
  for (const line of lines) console.log(line);
  console.error(summary);
  return toFix > 0 ? NEEDS_FIXING : 0;
}
