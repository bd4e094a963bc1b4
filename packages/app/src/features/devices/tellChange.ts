/** What was done to the list, in words. */
import { plural, t } from '@lingui/core/macro';
import type { RecordType } from '@yellow-latch/core/model';
import type { LoggedChange, ChangeGroup } from '@yellow-latch/core/sync';

import { tellList } from '@/wording/format';
import type { ListView } from '@yellow-latch/replica/storage/view';

import { nameOfField } from '@/parts/fieldNames';

import { nameOfThing, tellValue } from './fieldWords';

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
  if (deleted === 'erased') return t`Made private`;
  if (deleted === true) return t`Deleted`;
  if (before === null)
    return type === 'shortcut' || type === 'set' ? t`Added` : t`Added ${{ thing: nameOfThing(type) }}`;
  if (deleted === false && before.deleted !== false) return t`Restored`;
  if (fields.length === 0) return t`Saved without changes`;
  const names = fields.map(nameOfField);
  const some = names.length > 2 ? [...names.slice(0, 2), t`more`] : names;
  return t`Changed ${{ fields: tellList(some) }}`;
}

/** The heading of a group of several changes. */
export function tellSeveral({ changes, size, shortcuts }: ChangeGroup): string {
  const others = size - shortcuts;
  const all = shortcuts > 0 ? changes.filter(({ record }) => record.type === 'shortcut') : changes;
  const what = tellList([
    ...(shortcuts > 0 ? [plural(shortcuts, { one: '# shortcut', other: '# shortcuts' })] : []),
    ...(others > 0 ? [plural(others, { one: '# other thing', other: '# other things' })] : []),
  ]);
  if (all.every(({ before }) => before === null)) return t`Added ${what}`;
  if (all.every(({ fields }) => fields.deleted === true)) return t`Deleted ${what}`;
  return all.every(({ fields }) => fields.deleted === false) ? t`Restored ${what}` : t`Changed ${what}`;
}
