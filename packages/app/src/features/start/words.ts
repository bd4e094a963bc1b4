import type { Misread } from '@yellow-latch/core/join';

import { isRefusal } from '@yellow-latch/replica/sync/server';

/** What is wrong with a code or key as it was typed. */
export function tellMisread(misread: Misread, what: 'code' | 'spare key'): string {
  switch (misread.type) {
    case 'length':
      return misread.has === 0
        ? `Type the ${what}: it has ${misread.wants} signs.`
        : `The ${what} has ${misread.wants} signs; this has ${misread.has}.`;
    case 'sign':
      return `“${misread.sign}” is in no ${what}. It is made of figures and of letters other than I, L, O and U.`;
    case 'check':
      return 'One sign is wrong: compare it with the paper, group by group.';
  }
}

/** Why a device was not let in. */
export function tellNoEntrance(error: unknown): string {
  if (isRefusal(error))
    return error.problem.detail ? `${error.problem.title}. ${error.problem.detail}` : `${error.problem.title}.`;
  return 'The server cannot be reached from here. To join a list needs it once; to begin one does not.';
}
