import type { Rest } from '@yellow-latch/core/exchange';
import { LIST_RECORD_ID } from '@yellow-latch/core/model';
import { currentFields, isDeleted, type StoredRecord } from '@yellow-latch/core/sync';

import type { ListView } from '@yellow-latch/replica/storage/view';

/** What a backup holds beside shortcuts and sets. What was never chosen for the list is not in it. */
export function restOf(
  list: ListView,
  records: { recordOf(type: 'list', id: string): StoredRecord | undefined },
): Rest {
  const record = records.recordOf('list', LIST_RECORD_ID);
  const chosen = record && !isDeleted(record) ? currentFields<'list'>(record as StoredRecord & { type: 'list' }) : null;
  return {
    list: chosen,
    conventions: list.conventions.map(({ id, scope, mark, capitals }) => ({ id, scope, mark, capitals })),
    keyboards: list.ownKeyboards.map(withoutChanged),
    leftFindings: list.ignored.map(({ id, shortcutId, finding, about, reason }) => ({
      id,
      shortcutId,
      finding,
      about,
      reason,
    })),
    // What has no record yet is read off what was chosen for the list.
    devices: list.devices.filter(({ changed }) => changed > 0).map(withoutChanged),
    leftOut: list.leftOut.map(withoutChanged),
    carried: list.carried.map(withoutChanged),
    learners: list.learners.map(withoutChanged),
    learning: list.learning.map(({ id, learnerId, shortcutId, state }) => ({ id, learnerId, shortcutId, state })),
  };
}

function withoutChanged<One extends { changed: number }>({ changed: _changed, ...fields }: One): Omit<One, 'changed'> {
  return fields;
}
