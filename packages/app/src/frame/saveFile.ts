import { t } from '@lingui/core/macro';

import { announce } from './announce';

/** Hands a text over as a file. The browser shows it; who listens is told. */
export function saveFile(name: string, text: string, type: string): void {
  const address = URL.createObjectURL(new Blob([text], { type: `${type};charset=utf-8` }));
  const link = Object.assign(document.createElement('a'), { href: address, download: name });
  link.click();
  announce(t`Saved ${name}`);
  // The download has begun when the click is over; its address is given back a little later.
  setTimeout(() => URL.revokeObjectURL(address), 60_000);
}
