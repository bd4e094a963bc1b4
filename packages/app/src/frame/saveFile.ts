/** Hands a text over as a file. */
export function saveFile(name: string, text: string, type: string): void {
  const address = URL.createObjectURL(new Blob([text], { type: `${type};charset=utf-8` }));
  const link = Object.assign(document.createElement('a'), { href: address, download: name });
  link.click();
  // The download has begun when the click is over; its address is given back a little later.
  setTimeout(() => URL.revokeObjectURL(address), 60_000);
}
