/** The log of a list, told. */
import { isKnownTo, isOwn, type RecordType } from '@yellow-latch/core/model';
import type { Change, History, LoggedChange, SubscribedSets } from '@yellow-latch/core/sync';
import { and, eq, sql, type SQL } from 'drizzle-orm';

import type { Database } from './database';
import { subscribedSetsOf, type Device } from './devices';
import { changeGroups, changes } from './schema';
import { gets } from './subscribedSets';
import { statementsOf } from './statements';

export interface HistoryQuery {
  record?: { type: string; id: string };
  together?: string;
  /** Only what deletes. */
  isDeletedOnly?: boolean;
  /** Only what came before this number of the log. */
  before?: number;
  limit: number;
  /** The version of the model that the device knows. */
  model: number;
}

/** So many changes of one group are told, unless that group is asked for: one large group does not hide what came before. */
const MOST_OF_GROUP = 8;
/** So many rows are looked at for one answer: it may have fewer changes than asked for, and then says where to go on. */
const MOST_LOOKED_AT = 2_000;
const LOOKED_AT_ONCE = 200;
/** An answer ends when it has this much text, in UTF-16 units. */
const LARGEST_ANSWER = 500_000;

/** Changes of the list, latest first; of a device that gets some sets, those made while it got what they are of. Counting is no history. */
export function readHistory(db: Database, device: Device, query: HistoryQuery): History {
  return new Reader(db, device, query).read();
}

/** A row of the log without its texts, by which it is decided whether it is told. */
type Row = Pick<
  typeof changes.$inferSelect,
  'number' | 'recordType' | 'recordId' | 'counts' | 'together' | 'setBefore' | 'setId'
>;

const ROW = {
  number: changes.number,
  recordType: changes.recordType,
  recordId: changes.recordId,
  counts: changes.counts,
  together: changes.together,
  setBefore: changes.setBefore,
  setId: changes.setId,
};

/** One answer being put together: rows are looked at in portions from the latest, and the texts of those told are read at the end. */
class Reader {
  private readonly subscribedSets: SubscribedSets;
  private readonly asked: SQL[];
  /** How many changes of a group are told by now, those of the answers before this one among them. */
  private readonly toldOf = new Map<string, number>();
  private readonly sizes = new Map<string, { size: number; shortcuts: number }>();

  constructor(
    private readonly db: Database,
    private readonly device: Device,
    private readonly query: HistoryQuery,
  ) {
    const { record, together, isDeletedOnly } = query;
    this.subscribedSets = subscribedSetsOf(device);
    this.asked = [
      eq(changes.listId, device.listId),
      ...(record ? [eq(changes.recordType, record.type), eq(changes.recordId, record.id)] : []),
      ...(together ? [eq(changes.together, together)] : []),
      // As the index of deletions has it, so that it is used.
      ...(isDeletedOnly ? [sql`${changes.deletes} = 1`] : []),
    ];
  }

  read(): History {
    const { before = Infinity, limit } = this.query;
    const told: LoggedChange[] = [];
    let size = 0;
    let lookedAt = 0;
    for (let cursor = before; ;) {
      const rows = this.rowsBefore(cursor, LOOKED_AT_ONCE);
      for (const row of rows) {
        // The number before which the next answer goes on, if this one ends here.
        const isEnough = told.length === limit || lookedAt === MOST_LOOKED_AT || size > LARGEST_ANSWER;
        if (isEnough) return { changes: told, next: cursor };
        lookedAt += 1;
        cursor = row.number;
        if (!this.isTold(row)) continue;
        const change = this.tell(row);
        size += change.size;
        told.push(change.told);
        const skipped = this.endOfGroup(row);
        if (skipped !== null) {
          cursor = skipped;
          break;
        }
      }
      if (rows.length === 0) return { changes: told, next: null };
    }
  }

  private rowsBefore(number: number, limit: number): Row[] {
    return this.select(number === Infinity ? [] : [sql`${changes.number} < ${number}`])
      .limit(limit)
      .all();
  }

  private select(more: SQL[]) {
    return this.db
      .select(ROW)
      .from(changes)
      .where(and(...this.asked, ...more))
      .orderBy(sql`${changes.number} DESC`);
  }

  private isTold(row: Row): boolean {
    const type = row.recordType as RecordType;
    // What was carried over is noted there; that, and what one has learnt, is no change to the list.
    if (row.counts || type === 'carried' || isOwn(type) || !isKnownTo(this.query.model, type) || !this.gets(row))
      return false;
    const { together } = row;
    if (together === null || this.query.together) return true;
    const told = this.toldOf.get(together) ?? this.toldBefore(together, row.number);
    this.toldOf.set(together, told + 1);
    return told < MOST_OF_GROUP;
  }

  /** How many of a group earlier answers told: they were asked for before a later number. */
  private toldBefore(together: string, number: number): number {
    if (this.query.before === undefined) return 0;
    const later = this.select([eq(changes.together, together), sql`${changes.number} > ${number}`])
      .limit(MOST_LOOKED_AT)
      .all();
    return later.filter((row) => !row.counts && this.gets(row)).length;
  }

  /** Whether the device got what was changed: before the change and after it, and still does. */
  private gets({ recordType, recordId, setBefore, setId }: Row): boolean {
    const { subscribedSets, db, device } = this;
    if (subscribedSets === null) return true;
    const record = { type: recordType, id: recordId };
    const now = statementsOf(db).record.get({ listId: device.listId, ...record });
    const refersTo = now?.refersTo ?? null;
    const asIt = (set: string | null) => gets(db, device.listId, subscribedSets, { ...record, setId: set, refersTo });
    return (now === undefined || asIt(now.setId)) && asIt(setBefore) && asIt(setId);
  }

  /** Where a group that has had its say begins, if nothing else lies in between; null: it is looked through. */
  private endOfGroup({ together }: Row): number | null {
    if (together === null || this.query.together || this.query.record || this.toldOf.get(together) !== MOST_OF_GROUP)
      return null;
    const group = this.groupOf(together);
    return group && group.last - group.first + 1 === group.size ? group.first : null;
  }

  private groupOf(id: string) {
    return this.db
      .select()
      .from(changeGroups)
      .where(and(eq(changeGroups.listId, this.device.listId), eq(changeGroups.id, id)))
      .get();
  }

  /** How many changes of a group are of what was asked for, and how many of them are of shortcuts. */
  private sizeOf(together: string): { size: number; shortcuts: number } {
    const { record, isDeletedOnly } = this.query;
    const group = this.groupOf(together);
    if (record || this.subscribedSets !== null || !group) {
      const rows = this.select([eq(changes.together, together)])
        .limit(MOST_LOOKED_AT)
        .all();
      const got = rows.filter((row) => !row.counts && this.gets(row));
      return { size: got.length, shortcuts: got.filter(({ recordType }) => recordType === 'shortcut').length };
    }
    return isDeletedOnly
      ? { size: group.deletes, shortcuts: group.deletedShortcuts }
      : { size: group.size, shortcuts: group.shortcuts };
  }

  private tell({ number, together }: Row): { told: LoggedChange; size: number } {
    const { body, before, deviceId } = statementsOf(this.db).change.get(this.device.listId, number)!;
    const { id, record, fields, clock } = JSON.parse(body) as Change;
    if (together !== null && !this.sizes.has(together)) this.sizes.set(together, this.sizeOf(together));
    const told: LoggedChange = {
      number,
      id,
      record,
      fields,
      before: before === null ? null : (JSON.parse(before) as Record<string, unknown>),
      clock,
      device: deviceId,
      together: together === null ? null : { id: together, ...this.sizes.get(together)! },
    };
    return { told, size: body.length + (before?.length ?? 0) };
  }
}
