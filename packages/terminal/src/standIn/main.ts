/** The program: joins a list, types a script of keys as on a phone, a tablet or a computer, prints the text and leaves again. */
import '../device/browserless';

import { readFileSync } from 'node:fs';

import { decodeText, pairsOf, readList } from '@yellow-latch/core/exchange';
import {
  entriesForTyping,
  ownListProfile,
  profileOfStandIn,
  usualSwitches,
  withEntries,
  type OwnEntry,
} from '@yellow-latch/core/standIn';
import { parseVocabulary } from '@yellow-latch/language';

import { pageOf } from '../device/browserless';
import { tellFailure } from '../device/failure';
import { languageFile } from '../device/languageFile';
import { Device } from '../device/device';
import { readScript } from './script';
import { HELP, readSettings, type Settings } from './settings';
import { entriesOfApp, typed } from './typed';

try {
  const settings = readSettings(process.argv.slice(2));
  if (settings === null) process.stdout.write(HELP);
  else await run(settings);
} catch (error) {
  console.error(`The stand-in could not type: ${tellFailure(error)}`);
  process.exit(1);
}

async function run({
  kind,
  server,
  join,
  codes,
  carry,
  language,
  type,
  explain,
  ...settings
}: Settings): Promise<void> {
  const switches = { ...usualSwitches(kind), language };
  // What is wrong with what was asked is told before anybody joins.
  const keys = readScript(type ?? readFileSync(0, 'utf8').replace(/\n$/u, ''));
  const own = carry === undefined ? [] : carried(carry, ownListProfile(kind, switches), language);
  const corrects = switches.correctsSpelling && !settings['no-correction'];
  const words = corrects ? parseVocabulary(JSON.parse(readFileSync(languageFile(language), 'utf8'))) : null;
  const profile = profileOfStandIn(kind, codes, switches);
  let entries = entriesForTyping(own);
  if (codes === 'app') {
    pageOf(server);
    const device = await Device.join({ name: `Stand-in ${kind}`, kind, share: 0 }, join ?? null);
    entries = entriesOfApp(device.replica.read(), profile, Date.now());
    await device.leave();
  }
  const { text, trace } = typed(keys, { entries, profile, own, words });
  if (explain)
    for (const { at, rule, typed: what, became } of trace)
      console.error([`key ${at + 1}: ${rule}`, what, became].filter((part) => part !== undefined).join(' '));
  process.stdout.write(`${text}\n`);
}

function carried(file: string, profile: ReturnType<typeof ownListProfile>, language: string): readonly OwnEntry[] {
  const decoded = decodeText(new Uint8Array(readFileSync(file)));
  const read = 'type' in decoded ? decoded : readList(decoded.text);
  if ('type' in read) throw new Error(`${file} holds no list (${read.type})`);
  const given = pairsOf(read.rows).map((pair) => ({ ...pair, language }));
  return withEntries([], given, profile).entries;
}
