/**
 * What a person does to the list in one go, and can undo in one go. Every write to more than one record is made in
 * this folder; screens run commands, they do not put writes together.
 */
import type { Write } from '../storage/write';

/** Writes that belong together, and those that take them back, given the ids that were written. */
export interface Command {
  readonly writes: readonly Write[];
  undo(ids: readonly string[]): Write[];
}

/** Several commands as one, run in their order; the last is taken back first. */
export function inOrder(...commands: readonly Command[]): Command {
  return {
    writes: commands.flatMap(({ writes }) => writes),
    undo: (ids) => {
      let at = 0;
      const undone = commands.map(({ writes, undo }) => undo(ids.slice(at, (at += writes.length))));
      return undone.reverse().flat();
    },
  };
}
