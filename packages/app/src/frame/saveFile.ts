import { t } from '@lingui/core/macro';

import { announce } from './announce';

/** Hands a text over as a file. The browser shows it; who listens is told. */
export function saveFile(name: string, text: string, type: string): void {
  saveBlob(name, new Blob([text], { type: `${type};charset=utf-8` }));
}

/** The same with what is no text. */
export function saveBlob(name: string, blob: Blob): void {
  const address = URL.createObjectURL(blob);
  const link = Object.assign(document.createElement('a'), { href: address, download: name });
  link.click();
  announce(t`Saved ${name}`);
  // The download has begun when the click is over; its address is given back a little later.
  setTimeout(() => URL.revokeObjectURL(address), 60_000);
}
