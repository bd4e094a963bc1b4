/** The log of a list, told. */
import type { Change, History, LoggedChange } from '@yellow-latch/core/sync';
import { and, desc, eq, inArray, isNull, lt, lte, ne, or, sql, type SQL } from 'drizzle-orm';

import type { Queries } from './database';
import { takesOf, type Device } from './devices';
import { changes, records } from './schema';

export interface HistoryQuery {
  record?: { type: string; id: string };
  together?: string;
  /** Only what deletes. */
  isDeletedOnly?: boolean;
  /** Only what came before this number of the log. */
  before?: number;
  limit: number;
}

/** So many changes of one doing are told, unless that doing is asked for: one large doing does not hide what came before. */
const MOST_OF_DOING = 8;

/** Changes of the list, latest first; of a device that takes some sets, those of what it takes. Counting is no history. */
export function readHistory(db: Queries, device: Device, { record, together, isDeletedOnly, before, limit }: HistoryQuery): History {
  const of = [
    eq(changes.listId, device.listId),
    eq(changes.counts, false),
    record && and(eq(changes.recordType, record.type), eq(changes.recordId, record.id)),
    together ? eq(changes.together, together) : undefined,
    isDeletedOnly ? sql`json_extract(${changes.body}, '$.fields.deleted') = 1` : undefined,
    isTaken(device),
  ];
  const doing = sql`coalesce(${changes.together}, ${changes.id})`;
  const told = db
    .select({
      number: changes.number,
      body: changes.body,
      before: changes.before,
      device: changes.deviceId,
      together: changes.together,
      rank: sql<number>`row_number() over (partition by ${doing} order by ${changes.number} desc)`.as('rank'),
      size: sql<number>`count(*) over (partition by ${doing})`.as('size'),
      shortcuts: sql<number>`sum(${changes.recordType} = 'shortcut') over (partition by ${doing})`.as('shortcuts'),
    })
    .from(changes)
    .leftJoin(records, and(eq(records.listId, changes.listId), eq(records.type, changes.recordType), eq(records.id, changes.recordId)))
    .where(and(...of))
    .as('told');
  const rows = db
    .select()
    .from(told)
    .where(and(together ? undefined : lte(told.rank, MOST_OF_DOING), before === undefined ? undefined : lt(told.number, before)))
    .orderBy(desc(told.number))
    .limit(limit + 1)
    .all();
  const page = rows.slice(0, limit);
  return { changes: page.map(tell), next: rows.length > limit ? page.at(-1)!.number : null };
}

function isTaken(device: Device): SQL | undefined {
  const takes = takesOf(device);
  if (takes === null) return undefined;
  const sets = takes.filter((id) => id !== null);
  return or(
    ne(changes.recordType, 'shortcut'),
    takes.includes(null) ? isNull(records.setId) : undefined,
    sets.length > 0 ? inArray(records.setId, sets) : undefined,
  );
}

interface Row {
  number: number;
  body: string;
  before: string | null;
  device: string;
  together: string | null;
  size: number;
  shortcuts: number;
}

function tell({ number, body, before, device, together, size, shortcuts }: Row): LoggedChange {
  const { id, record, fields, clock } = JSON.parse(body) as Change;
  return {
    number,
    id,
    record,
    fields,
    before: before === null ? null : (JSON.parse(before) as Record<string, unknown>),
    clock,
    device,
    together: together === null ? null : { id: together, size, shortcuts },
  };
}
