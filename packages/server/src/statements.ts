/**
 * The statements that every push and page takes, prepared once for a database. They are in plain SQL: the query builder
 * takes longer to bind a row than SQLite to write it (bench `commits`).
 */
import type { Database } from './database';
import type { changeGroups, changes, devices, lists, records } from './schema';

type Row<T extends { $inferSelect: object }> = T['$inferSelect'];
type Change = Row<typeof changes>;

/** A record as pages are made of it; its body is passed on without being parsed. */
export type RecordRow = Pick<Row<typeof records>, 'number' | 'type' | 'id' | 'setId' | 'refersTo' | 'body'>;

/** SQLite has no truth values: 0 and 1. */
type Numbered<T> = { [K in keyof T]: T[K] extends boolean ? number : T[K] };

const CHANGE = [
  'listId',
  'number',
  'id',
  'deviceId',
  'n',
  'recordType',
  'recordId',
  'takenAt',
  'counts',
  'deletes',
  'together',
  'setBefore',
  'setId',
  'body',
  'before',
];
const RECORD = ['listId', 'type', 'id', 'number', 'setId', 'refersTo', 'isDeleted', 'body'];
const GROUP = ['listId', 'id', 'first', 'last', 'size', 'shortcuts', 'deletes', 'deletedShortcuts'];

function insert(table: string, columns: readonly string[]): string {
  return `INSERT INTO ${table} (${columns.map((name) => `"${name}"`).join(', ')}) VALUES (${columns.map((name) => `@${name}`).join(', ')})`;
}

function prepare({ $client }: Database) {
  return {
    device: $client.prepare<{ id: string }, Row<typeof devices>>(
      'SELECT *, takes AS subscribedSets FROM devices WHERE id = @id',
    ),
    list: $client.prepare<{ id: string }, Row<typeof lists>>('SELECT * FROM lists WHERE id = @id'),
    /** The number of a change that is in the log already. */
    logged: $client.prepare<{ listId: string; id: string }, { number: number }>(
      'SELECT number FROM changes WHERE listId = @listId AND id = @id',
    ),
    /** The change that a device gave a number to. */
    numbered: $client.prepare<{ deviceId: string; n: number }, { id: string }>(
      'SELECT id FROM changes WHERE deviceId = @deviceId AND n = @n',
    ),
    changeId: $client.prepare<{ listId: string; number: number }, { id: string }>(
      'SELECT id FROM changes WHERE listId = @listId AND number = @number',
    ),
    /** The texts of a change. */
    change: $client.prepare<[string, number], Pick<Change, 'body' | 'before' | 'deviceId'>>(
      'SELECT body, "before", deviceId FROM changes WHERE listId = ? AND number = ?',
    ),
    record: $client.prepare<
      { listId: string; type: string; id: string },
      Pick<Row<typeof records>, 'body' | 'setId' | 'refersTo'>
    >('SELECT body, setId, refersTo FROM records WHERE listId = @listId AND type = @type AND id = @id'),
    log: $client.prepare<Numbered<Change>>(insert('changes', CHANGE)),
    keep: $client.prepare<Numbered<Row<typeof records>>>(
      `${insert('records', RECORD)} ON CONFLICT (listId, type, id) DO UPDATE SET
        number = excluded.number, setId = excluded.setId, refersTo = excluded.refersTo, isDeleted = excluded.isDeleted, body = excluded.body`,
    ),
    countGroup: $client.prepare<Row<typeof changeGroups>>(
      `${insert('change_groups', GROUP)} ON CONFLICT (listId, id) DO UPDATE SET last = excluded.last, size = size + excluded.size,
        shortcuts = shortcuts + excluded.shortcuts, deletes = deletes + excluded.deletes, deletedShortcuts = deletedShortcuts + excluded.deletedShortcuts`,
    ),
    advanceList: $client.prepare<{ id: string; number: number; bytes: number }>(
      'UPDATE lists SET lastNumber = @number, bytes = @bytes WHERE id = @id',
    ),
    advanceDevice: $client.prepare<{ id: string; n: number }>('UPDATE devices SET lastN = @n WHERE id = @id'),
    reach: $client.prepare<{ id: string; through: number; seen: number }>(
      'UPDATE devices SET through = @through, seenAt = @seen WHERE id = @id',
    ),
    /** The records changed after a number, oldest change first; read one by one, since a reader stops when it has enough. */
    since: $client.prepare<[string, number], RecordRow>(
      'SELECT number, type, id, setId, refersTo, body FROM records WHERE listId = ? AND number > ? ORDER BY number',
    ),
    /** The same for a device that gets all of them: what it takes to pass them on, number and body. */
    bodiesSince: $client
      .prepare<[string, number], [number, string]>(
        'SELECT number, body FROM records WHERE listId = ? AND number > ? ORDER BY number',
      )
      .raw(),
    /** What refers to a shortcut. */
    referring: $client.prepare<[string, string], RecordRow>(
      'SELECT number, type, id, setId, refersTo, body FROM records WHERE listId = ? AND refersTo = ?',
    ),
  };
}

const prepared = new WeakMap<Database, ReturnType<typeof prepare>>();

export function statementsOf(db: Database): ReturnType<typeof prepare> {
  let statements = prepared.get(db);
  if (!statements) {
    statements = prepare(db);
    prepared.set(db, statements);
  }
  return statements;
}
