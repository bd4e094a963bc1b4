import { type MessageDescriptor } from '@lingui/core';
import { msg } from '@lingui/core/macro';
import type { PlannedRow } from '@yellow-latch/core/exchange';

export type Status = PlannedRow['status'];

/** What may become of rows, in the order in which it is shown; `about`: what that means. */
export const GROUPS: readonly { status: Status; title: MessageDescriptor; about: MessageDescriptor }[] = [
  { status: 'new', title: msg`New`, about: msg`will be imported` },
  { status: 'changed', title: msg`Changed`, about: msg`you keep yours` },
  { status: 'in use', title: msg`Code in use`, about: msg`you keep yours` },
  { status: 'refused', title: msg`Can’t be imported`, about: msg`see why below` },
  { status: 'same', title: msg`The same`, about: msg`already in your list` },
];

/** The shortcut of the list that a row has to do with, by its id; null: none. */
export function knownIdOf(row: PlannedRow): string | null {
  if (row.status === 'changed' || row.status === 'same') return row.known;
  return row.status === 'in use' && row.by.in === 'list' ? row.by.id : null;
}
