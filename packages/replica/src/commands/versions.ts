/** Two devices wrote different things without knowing of each other: a person says what holds. */
import type { RecordType, Shortcut } from '@yellow-latch/core/model';

import type { Write } from '../storage/write';
import type { Command } from './command';
import { fieldsOf } from './shortcuts';

/** One value for a field of a record; `shown`: what stood there before. */
export function settling(
  { type, id }: { type: RecordType; id: string },
  field: string,
  value: unknown,
  shown: unknown,
): Command {
  const write = (it: unknown) => ({ type, id, fields: { [field]: it } }) as Write;
  return { writes: [write(value)], undo: () => [write(shown)] };
}

/** Both codes stand: the one that is not shown becomes a shortcut of its own, with the same text. */
export function keepingBoth(shown: Shortcut, otherCode: string): Command {
  return {
    writes: [
      { type: 'shortcut', id: shown.id, fields: { code: shown.code } },
      { type: 'shortcut', fields: { ...fieldsOf(shown), code: otherCode, former: null, pinned: null } },
    ],
    undo: ([, made]) => [{ type: 'shortcut', id: made, fields: { deleted: true } }],
  };
}
