import type { LeftFinding, ListFields, Shortcut, ShortcutSet } from '@yellow-latch/core/model';
import { asRead, asShortcut, isDeleted, type StoredRecord } from '@yellow-latch/core/sync';

/** The list as screens read it: what is not deleted, sets in their order. */
export interface ListView {
  shortcuts: Shortcut[];
  sets: ShortcutSet[];
  /** Findings left as they are. */
  left: LeftFinding[];
  /** The languages its owner writes in; BCP 47. */
  languages: readonly string[];
  /** The devices it fires on; ids of device profiles. */
  devices: readonly string[];
}

/** What holds for a list until its owner chooses. */
const UNTIL_CHOSEN: ListFields = { languages: ['en'], devices: ['app', 'phone-list', 'tablet-list', 'computer-list'] };

/** What screens read of a device's records and its private shortcuts. Linear, but for the sorting. */
export function viewOf(records: Iterable<StoredRecord>, own: Iterable<Shortcut>): ListView {
  const shortcuts = [...own];
  const sets: ShortcutSet[] = [];
  const left: LeftFinding[] = [];
  let chosen = UNTIL_CHOSEN;
  for (const record of records) {
    if (isDeleted(record)) continue;
    if (record.type === 'shortcut') shortcuts.push(asShortcut(record));
    else if (record.type === 'set') sets.push(asRead<'set'>(record));
    else if (record.type === 'leftFinding') left.push(asRead<'leftFinding'>(record));
    else chosen = asRead<'list'>(record);
  }
  sets.sort((a, b) => compare(a.order, b.order) || compare(a.id, b.id));
  shortcuts.sort((a, b) => byCode.compare(a.code, b.code) || compare(a.id, b.id));
  return { shortcuts, sets, left, languages: chosen.languages, devices: chosen.devices };
}

const byCode = new Intl.Collator('en', { numeric: true, sensitivity: 'base' });

function compare(a: string, b: string): number {
  return a < b ? -1 : a > b ? 1 : 0;
}
