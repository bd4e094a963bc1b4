import type { Layout, LearningState, RecordType } from '../model';
import type { Change } from './change';
import type { StoredRecord, Version } from './record';

const ROWS = ['x', 'x', 'x', 'x'] as const;
const ERASED_LAYOUT: Layout = {
  type: 'hardware',
  name: 'erased',
  language: 'und',
  form: 'ISO',
  base: ROWS,
  shift: ROWS,
  altGr: {},
  dead: '',
};

const UNKNOWN_LEARNING: LearningState = {
  digest: '0000000000000000',
  chosenAt: null,
  before: null,
  reviews: [],
  memory: null,
  knownAt: null,
  isDropped: false,
};

/** What stands where something written was erased: values that every rule of the model allows. */
const PLACEHOLDERS: Readonly<Record<RecordType, Readonly<Record<string, unknown>>>> = {
  shortcut: {
    code: 'erased',
    content: { expansion: 'erased', template: false, format: 'plain' },
    former: null,
    note: '',
  },
  set: { name: 'erased' },
  leftFinding: { about: 'erased', reason: 'erased' },
  list: {},
  convention: {},
  keyboard: { layout: ERASED_LAYOUT },
  device: { name: 'erased' },
  leftOut: {},
  carried: { code: 'erased', digest: '0000000000000000' },
  learner: { name: 'erased' },
  learning: { state: UNKNOWN_LEARNING },
};

function placeholder(type: RecordType, field: string, value: unknown): unknown {
  const placeholders = PLACEHOLDERS[type];
  return field in placeholders ? placeholders[field] : value;
}

/** Values of an erased record's fields as they may be kept: without what a person wrote. */
export function eraseFields(type: RecordType, fields: Readonly<Record<string, unknown>>): Record<string, unknown> {
  return Object.fromEntries(Object.entries(fields).map(([field, value]) => [field, placeholder(type, field, value)]));
}

/** A change of an erased record as a log may keep it. */
export function eraseChange(change: Change): Change {
  return { ...change, fields: eraseFields(change.record.type, change.fields) };
}

/** An erased record as it may be kept and sent: every version of what a person wrote is gone. */
export function eraseRecord(record: StoredRecord): StoredRecord {
  const erase = (field: string) => (version: Version) => ({
    ...version,
    value: placeholder(record.type, field, version.value),
  });
  const fields = Object.entries(record.fields).map(([field, versions]) => [field, versions.map(erase(field))]);
  return { ...record, fields: Object.fromEntries(fields) as StoredRecord['fields'] };
}
