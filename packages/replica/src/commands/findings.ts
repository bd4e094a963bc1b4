import type { IgnoredFinding, IgnoredFindingFields } from '@yellow-latch/core/model';

import type { Command } from './command';

/** A finding is ignored, with a reason that all devices keep. */
export function ignoring(fields: IgnoredFindingFields): Command {
  return {
    writes: [{ type: 'leftFinding', fields }],
    undo: ([id]) => [{ type: 'leftFinding', id, fields: { deleted: true } }],
  };
}

/** A finding that was ignored is told again. */
export function lookingAgain({ id }: Pick<IgnoredFinding, 'id'>): Command {
  return {
    writes: [{ type: 'leftFinding', id, fields: { deleted: true } }],
    undo: () => [{ type: 'leftFinding', id, fields: { deleted: false } }],
  };
}
