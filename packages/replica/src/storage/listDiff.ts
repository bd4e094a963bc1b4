import type { AskedRules, Shortcut } from '@yellow-latch/core/model';

/** What of a shortcut decides how it fires. */
type Fired = Pick<Shortcut, 'id' | 'code' | 'content' | 'kind' | 'setId' | 'rules'>;

/** What became of a list: shortcuts that are new or changed, and the ids of those that are gone. */
export interface ListChange<S extends Fired = Shortcut> {
  readonly put: readonly S[];
  readonly remove: readonly string[];
}

/** The change from one view of a list to a later one; null: none that matters to what fires. Linear. */
export function changeBetween<S extends Fired>(before: readonly S[], after: readonly S[]): ListChange<S> | null {
  if (before === after) return null;
  const known = new Map(before.map((shortcut) => [shortcut.id, shortcut]));
  const put = after.filter((shortcut) => {
    const old = known.get(shortcut.id);
    known.delete(shortcut.id);
    return !old || !isSame(old, shortcut);
  });
  const remove = [...known.keys()];
  return put.length + remove.length === 0 ? null : { put, remove };
}

function isSame(a: Fired, b: Fired): boolean {
  return (
    a.code === b.code &&
    a.kind === b.kind &&
    a.setId === b.setId &&
    sameRules(a.rules, b.rules) &&
    a.content.expansion === b.content.expansion &&
    a.content.template === b.content.template &&
    a.content.format === b.content.format
  );
}

function sameRules(a: AskedRules, b: AskedRules): boolean {
  return a.fires === b.fires && a.edge === b.edge && a.capitals === b.capitals && a.delimiter === b.delimiter;
}
