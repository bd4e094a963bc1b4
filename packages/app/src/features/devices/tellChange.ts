/** What was done to the list, in words. */
import type { RecordType } from '@yellow-latch/core/model';
import type { LoggedChange, ChangeGroup } from '@yellow-latch/core/sync';

import { counted } from '@/answers/audit/sentences/words';
import type { ListView } from '@yellow-latch/replica/storage/view';

import { nameOfField, nameOfThing, tellValue } from './fieldWords';

/** One thing that was done to one record. */
export interface ToldChange {
  /** The code or name of what it was done to, where that is known. */
  name: string | null;
  type: RecordType;
  what: string;
  /** Of each field that words can tell: what it was, and what it became. */
  values: { field: string; before: string | null; after: string }[];
}

/** How a record is called now: by its code, its name or its layout's; null: it is not known here any more. */
export type NameOf = (record: LoggedChange['record']) => string | null;

export function tellChange({ record, fields, before }: LoggedChange, nameOf: NameOf, list: ListView): ToldChange {
  const given = (fields.code ?? before?.code ?? fields.name ?? before?.name) as string | undefined;
  const name = given ?? nameOf(record);
  const { deleted, ...rest } = fields;
  const values = Object.entries(rest).flatMap(([field, value]) => {
    const after = tellValue(field, value, list);
    const was = before !== null && field in before ? tellValue(field, before[field], list) : null;
    return after === '' || (before === null && value === null) || isEmptyRules(field, value, before)
      ? []
      : [{ field, before: was, after }];
  });
  return { name, type: record.type, what: whatOf(deleted, before, Object.keys(rest), record.type), values };
}

/** A record is made with rules that ask for nothing: that is not worth a line. */
function isEmptyRules(field: string, value: unknown, before: unknown): boolean {
  return field === 'rules' && before === null && Object.keys(value as object).length === 0;
}

function whatOf(deleted: unknown, before: LoggedChange['before'], fields: string[], type: RecordType): string {
  if (deleted === 'erased') return 'Kept on one device only';
  if (deleted === true) return 'Deleted';
  if (before === null) return type === 'shortcut' || type === 'set' ? 'Made' : `Set ${nameOfThing(type)}`;
  if (deleted === false && before.deleted !== false) return 'Brought back';
  if (fields.length === 0) return 'Kept as it was';
  const names = fields.map(nameOfField);
  return `Changed ${names.length > 2 ? `${names.slice(0, 2).join(', ')} and more` : names.join(' and ')}`;
}

/** The heading of a group of several changes. */
export function tellSeveral({ changes, size, shortcuts }: ChangeGroup): string {
  const others = size - shortcuts;
  const all = shortcuts > 0 ? changes.filter(({ record }) => record.type === 'shortcut') : changes;
  const parts = [
    shortcuts > 0 ? counted(shortcuts, 'shortcut') : null,
    others > 0 ? counted(others, 'other entry', 'other entries') : null,
  ];
  return `${parts.filter((part) => part !== null).join(' and ')} ${whatOfAll(all)} together`;
}

function whatOfAll(changes: readonly LoggedChange[]): string {
  if (changes.every(({ before }) => before === null)) return 'made';
  if (changes.every(({ fields }) => fields.deleted === true)) return 'deleted';
  return changes.every(({ fields }) => fields.deleted === false) ? 'brought back' : 'changed';
}
