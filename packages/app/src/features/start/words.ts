import { plural, t } from '@lingui/core/macro';
import type { Misread } from '@yellow-latch/core/join';

import { tellRefusal } from '@/frame/refusals';
import { tellCount } from '@/wording/format';
import { isRefusal } from '@yellow-latch/replica/sync/server';

/** What is wrong with a code or key as it was typed. */
export function tellMisread(misread: Misread, what: 'code' | 'spare key'): string {
  switch (misread.type) {
    case 'length':
      return tellLength(misread.wants, misread.has, what === 'code');
    case 'character':
      return what === 'code'
        ? t`Codes never have “${{ character: misread.character }}”. They have digits and letters, but not I, L, O or U.`
        : t`Spare keys never have “${{ character: misread.character }}”. They have digits and letters, but not I, L, O or U.`;
    case 'check':
      return t`One character is wrong. Compare it group by group.`;
  }
}

function tellLength(wants: number, has: number, isCode: boolean): string {
  if (has === 0)
    return isCode
      ? plural(wants, { other: 'Type the code. It has # characters.' })
      : plural(wants, { other: 'Type the spare key. It has # characters.' });
  const typed = tellCount(has);
  return isCode
    ? plural(wants, { other: `The code has # characters; you typed ${typed}.` })
    : plural(wants, { other: `The spare key has # characters; you typed ${typed}.` });
}

/** Why a device could not join. */
export function tellNoEntrance(error: unknown): string {
  if (isRefusal(error)) return tellRefusal(error.slug);
  if (isBlocked(error))
    return t`This browser blocks storage for this site, so there’s nowhere to keep a list. Allow it in the browser’s settings, then try again.`;
  return t`You’re offline. Connect to join a list. You can start a new one offline.`;
}

/** Whether the browser keeps nothing for this site: cookies and storage are blocked, or there is no room. */
function isBlocked(error: unknown): boolean {
  return (
    error instanceof DOMException &&
    ['SecurityError', 'InvalidStateError', 'UnknownError', 'QuotaExceededError'].includes(error.name)
  );
}
