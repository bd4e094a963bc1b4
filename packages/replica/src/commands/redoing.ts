/** What was undone, done once more. */
import type { Write } from '../storage/write';
import type { Command } from './command';

/**
 * A command again, after it was undone. `ids`: those of its writes, as they were made the first time. What was new
 * comes back as the same record, but for what was erased: that is made anew.
 */
export function redoing(command: Command, ids: readonly string[]): Command {
  const deleted = new Map(
    command.undo(ids).flatMap(({ id, fields }) => (id !== undefined && fields.deleted ? [[id, fields.deleted]] : [])),
  );
  const writes = command.writes.map((write, index): Write => {
    const id = ids[index]!;
    // What the person had seen then is not what the list holds now: they ask for this, whatever it is.
    const again = { ...write, seen: undefined } as Write;
    if (!deleted.has(id)) return again;
    if (deleted.get(id) === 'erased') return { ...again, id: undefined };
    // One of this device alone leaves no trace, and so comes back under its id.
    if (write.isPrivate) return { ...again, id };
    return { ...again, id, fields: { ...write.fields, deleted: false } } as Write;
  });
  return { writes, undo: command.undo };
}
