import { sketchOf } from '@yellow-latch/core/expansion/sketch';
import {
  compareUnits,
  type ChosenConvention,
  type KeyboardUse,
  type IgnoredFinding,
  type ListFields,
  type OwnKeyboard,
  type RecordType,
  type Shortcut,
  type ShortcutSet,
} from '@yellow-latch/core/model';
import { asRead, asShortcut, isDeleted, unsettledFields, type StoredRecord } from '@yellow-latch/core/sync';

/** The list as screens read it: what is not deleted, sets in their order. */
export interface ListView {
  shortcuts: Shortcut[];
  sets: ShortcutSet[];
  /** Findings left as they are. */
  ignored: IgnoredFinding[];
  /** The languages its owner writes in; BCP 47. */
  languages: readonly string[];
  /** The devices it fires on; ids of device profiles. */
  devices: readonly string[];
  /** The keyboards in use, one at least. */
  keyboards: readonly KeyboardUse[];
  /** Keyboards of the owner's own, beside those that are there from the start. */
  ownKeyboards: OwnKeyboard[];
  /** Conventions that were chosen for the list or a part of it. */
  conventions: ChosenConvention[];
  /** Records of which devices wrote different things without knowing of each other, and nobody has chosen yet. */
  unsettled: { type: RecordType; id: string }[];
}

/** What holds for a list until its owner chooses. */
const UNTIL_CHOSEN: ListFields = {
  languages: ['en'],
  devices: ['app', 'phone-list', 'tablet-list', 'computer-list'],
  keyboards: [],
};

/** The keyboards that are taken to be in use until the owner says: a phone and a computer in the first language. */
export function usualKeyboards([language = 'en']: readonly string[]): KeyboardUse[] {
  const base = language.split('-')[0]!;
  const known = ['de', 'fr', 'es'].includes(base) ? base : 'en';
  return [
    { keyboard: `phone-${known}`, share: 6, pace: 1, device: 'phone-list' },
    { keyboard: `hardware-${known === 'en' ? 'en-gb' : known}`, share: 4, pace: 1, device: 'computer-list' },
  ];
}

/**
 * What screens read of a device's records and its private shortcuts. What is as it was in `before` is the same object,
 * so that screens see at a glance what has changed. Linear, but for the sorting.
 */
export function viewOf(
  records: Iterable<StoredRecord>,
  own: Iterable<Shortcut>,
  before: ListView | null = null,
): ListView {
  const shortcuts = [...own];
  const sets: ShortcutSet[] = [];
  const ignored: IgnoredFinding[] = [];
  const ownKeyboards: OwnKeyboard[] = [];
  const conventions: ChosenConvention[] = [];
  const unsettled: ListView['unsettled'] = [];
  let chosen = UNTIL_CHOSEN;
  for (const record of records) {
    if (isDeleted(record)) continue;
    if (unsettledFields(record).length > 0) unsettled.push({ type: record.type, id: record.id });
    if (record.type === 'shortcut') shortcuts.push(shortcutOf(record));
    else if (record.type === 'set') sets.push(asRead<'set'>(record));
    else if (record.type === 'leftFinding') ignored.push(asRead<'leftFinding'>(record));
    else if (record.type === 'keyboard') ownKeyboards.push(asRead<'keyboard'>(record));
    else if (record.type === 'convention') conventions.push(asRead<'convention'>(record));
    else chosen = asRead<'list'>(record);
  }
  sets.sort((a, b) => compareUnits(a.order, b.order) || compareUnits(a.id, b.id));
  shortcuts.sort((a, b) => byCode.compare(a.code, b.code) || compareUnits(a.id, b.id));
  const codes = new Map(shortcuts.map(({ id, code }) => [id, code]));
  for (const [index, shortcut] of shortcuts.entries()) {
    if (!shortcut.content.template) continue;
    shortcuts[index] = withSketch(
      shortcut,
      sketchOf(shortcut.content.expansion, (id) => codes.get(id)),
    );
  }
  const { languages, devices } = chosen;
  const keyboards = chosen.keyboards.length > 0 ? chosen.keyboards : usualKeyboards(languages);
  const view = { shortcuts, sets, ignored, languages, devices, keyboards, ownKeyboards, conventions, unsettled };
  return before ? sharing(before, view) : view;
}

/** Records never change, they are replaced: each is read once. */
const read = new WeakMap<StoredRecord, Shortcut>();
const sketched = new WeakMap<Shortcut, Shortcut>();

function shortcutOf(record: StoredRecord): Shortcut {
  const known = read.get(record);
  if (known) return known;
  const shortcut = asShortcut(record);
  read.set(record, shortcut);
  return shortcut;
}

function withSketch(shortcut: Shortcut, sketch: string): Shortcut {
  const known = sketched.get(shortcut);
  if (known?.sketch === sketch) return known;
  const next = { ...shortcut, sketch };
  sketched.set(shortcut, next);
  return next;
}

/** A view with the parts of an earlier one, wherever they are equal. */
function sharing(before: ListView, view: ListView): ListView {
  const { shortcuts, ...rest } = view;
  const isSame =
    shortcuts.length === before.shortcuts.length && shortcuts.every((one, at) => one === before.shortcuts[at]);
  const shared = Object.entries(rest).map(([name, part]) => {
    const was = before[name as keyof typeof rest];
    return [name, JSON.stringify(was) === JSON.stringify(part) ? was : part];
  });
  return { shortcuts: isSame ? before.shortcuts : shortcuts, ...(Object.fromEntries(shared) as typeof rest) };
}

const byCode = new Intl.Collator('en', { numeric: true, sensitivity: 'base' });
