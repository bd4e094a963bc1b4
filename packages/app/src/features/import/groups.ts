import type { PlannedRow } from '@yellow-latch/core/exchange';

export type Status = PlannedRow['status'];

/** What may become of rows, in the order in which it is shown; `about`: what that means. */
export const GROUPS: readonly { status: Status; title: string; about: string }[] = [
  { status: 'new', title: 'New', about: 'come in' },
  { status: 'changed', title: 'Changed', about: 'yours become as they are here' },
  { status: 'in use', title: 'Code taken', about: 'stay out, unless you give them another code' },
  { status: 'refused', title: 'Refused', about: 'cannot be kept as they are' },
  { status: 'same', title: 'The same', about: 'you have them already' },
];
