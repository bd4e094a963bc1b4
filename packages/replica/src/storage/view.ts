import {
  devicesOf,
  keyboardsInUse,
  KIND_NAMES,
  placesOf,
  profilesOf,
  type Hand,
  type PlaceOfDevice,
} from '@yellow-latch/core/devices';
import { sketchOf } from '@yellow-latch/core/expansion/sketch';
import {
  compareUnits,
  type Carried,
  type ChosenConvention,
  type Device,
  type KeyboardUse,
  type Learner,
  type Learning,
  type IgnoredFinding,
  type LeftOut,
  type ListFields,
  type OwnKeyboard,
  type RecordType,
  type Shortcut,
  type ShortcutSet,
} from '@yellow-latch/core/model';
import {
  asLearning,
  asRead,
  asShortcut,
  currentFields,
  isDeleted,
  unsettledFields,
  type StoredRecord,
} from '@yellow-latch/core/sync';

/** The list as screens read it: what is not deleted, sets in their order. */
export interface ListView {
  shortcuts: Shortcut[];
  sets: ShortcutSet[];
  /** Findings left as they are. */
  ignored: IgnoredFinding[];
  /** The languages its owner writes in; BCP 47. */
  languages: readonly string[];
  /** What its owner types on: one device at least. */
  devices: readonly Device[];
  /** Every place of every device. */
  places: readonly PlaceOfDevice[];
  /** The places it is checked for, each once; keys of profiles. */
  profiles: readonly string[];
  /** The keyboards it is priced on, one at least: what is typed on each, and in which of the places. */
  keyboards: readonly KeyboardUse[];
  /** What devices are to do without. */
  leftOut: readonly LeftOut[];
  /** What places that the app cannot write to hold, as far as one has said. */
  carried: readonly Carried[];
  /** Who learns the codes of the list. */
  learners: readonly Learner[];
  /** What they know of them. */
  learning: readonly Learning[];
  /** What was chosen for the whole list. */
  chosen: ListFields;
  /** Keyboards of the owner's own, beside those that are there from the start. */
  ownKeyboards: OwnKeyboard[];
  /** Conventions that were chosen for the list or a part of it. */
  conventions: ChosenConvention[];
  /** Records of which devices wrote different things without knowing of each other, and nobody has chosen yet. */
  unsettled: { type: RecordType; id: string }[];
}

/** What holds for a list until its owner chooses. */
const UNTIL_CHOSEN: ListFields = { languages: ['en'], devices: ['app'], keyboards: [], hasDevices: true };

const SOMEBODY: Hand = { id: '', name: KIND_NAMES.computer, kind: 'computer' };

/**
 * What screens read of a device's records and its private shortcuts. What is as it was in `before` is the same object,
 * so that screens see at a glance what has changed. Linear, but for the sorting.
 */
export function viewOf(
  records: Iterable<StoredRecord>,
  own: Iterable<Shortcut>,
  before: ListView | null = null,
  hand: Hand = SOMEBODY,
): ListView {
  const shortcuts = [...own];
  const sets: ShortcutSet[] = [];
  const ignored: IgnoredFinding[] = [];
  const ownKeyboards: OwnKeyboard[] = [];
  const conventions: ChosenConvention[] = [];
  const unsettled: ListView['unsettled'] = [];
  const deviceRecords: Device[] = [];
  const known = new Set<string>();
  const leftOut: LeftOut[] = [];
  const carried: Carried[] = [];
  const learners: Learner[] = [];
  const learning: Learning[] = [];
  let list: ListFields | null = null;
  for (const record of records) {
    if (record.type === 'device') known.add(record.id);
    if (isDeleted(record)) continue;
    if (unsettledFields(record).length > 0) unsettled.push({ type: record.type, id: record.id });
    if (record.type === 'shortcut') shortcuts.push(readOnce(record, asShortcut));
    else if (record.type === 'set') sets.push(asRead<'set'>(record));
    else if (record.type === 'leftFinding') ignored.push(asRead<'leftFinding'>(record));
    else if (record.type === 'keyboard') ownKeyboards.push(asRead<'keyboard'>(record));
    else if (record.type === 'convention') conventions.push(asRead<'convention'>(record));
    else if (record.type === 'device') deviceRecords.push(asRead<'device'>(record));
    else if (record.type === 'leftOut') leftOut.push(readOnce(record, asRead<'leftOut'>));
    else if (record.type === 'carried') carried.push(readOnce(record, asRead<'carried'>));
    else if (record.type === 'learner') learners.push(asRead<'learner'>(record));
    else if (record.type === 'learning') learning.push(readOnce(record, asLearning));
    else list = currentFields(record as StoredRecord & { type: 'list' });
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
  const chosen = list ?? UNTIL_CHOSEN;
  const { languages } = chosen;
  const devices = devicesOf({ records: deviceRecords, known, list, hand });
  const places = placesOf(devices, languages, ownKeyboards);
  const view: ListView = {
    shortcuts,
    sets,
    ignored,
    languages,
    devices,
    places,
    profiles: profilesOf(places),
    keyboards: keyboardsInUse(devices, languages, places),
    ownKeyboards,
    conventions,
    leftOut,
    carried,
    learners,
    learning,
    chosen,
    unsettled,
  };
  return before ? sharing(before, view) : view;
}

/** Records never change, they are replaced: each is read once. */
const read = new WeakMap<StoredRecord, unknown>();
const sketched = new WeakMap<Shortcut, Shortcut>();

/** Reads a record ahead, where there is time: what shows it finds it read. */
export function readAhead(record: StoredRecord): void {
  if (record.type === 'shortcut' && !isDeleted(record)) readOnce(record, asShortcut);
}

function readOnce<Shown>(record: StoredRecord, readAs: (record: StoredRecord) => Shown): Shown {
  const known = read.get(record) as Shown | undefined;
  if (known) return known;
  const shown = readAs(record);
  read.set(record, shown);
  return shown;
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
  const shared: Record<string, unknown> = { ...view };
  for (const name of Object.keys(view) as (keyof ListView)[])
    if (isEqual(name, before[name], view[name])) shared[name] = before[name];
  return shared as unknown as ListView;
}

/** The parts of which there may be very many: what is in them is read once, so that equal ones are the same. */
const LARGE: readonly string[] = ['shortcuts', 'leftOut', 'carried', 'learning'] satisfies (keyof ListView)[];

function isEqual(name: string, a: unknown, b: unknown): boolean {
  if (!LARGE.includes(name)) return JSON.stringify(a) === JSON.stringify(b);
  const [was, is] = [a, b] as [readonly unknown[], readonly unknown[]];
  return is.length === was.length && is.every((one, at) => one === was[at]);
}

const byCode = new Intl.Collator('en', { numeric: true, sensitivity: 'base' });
