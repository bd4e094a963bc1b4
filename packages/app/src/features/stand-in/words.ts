import { t } from '@lingui/core/macro';
import type { mailFault } from '@yellow-latch/core/standIn';

/** What a form says of a mail address that it does not take. */
export function tellMailFault(fault: NonNullable<ReturnType<typeof mailFault>>): string {
  switch (fault) {
    case 'empty':
      return t`Fill in a mail address.`;
    case 'space-left':
      return t`There’s a space in this mail address.`;
    case 'not-an-address':
      return t`This isn’t a mail address.`;
  }
}
