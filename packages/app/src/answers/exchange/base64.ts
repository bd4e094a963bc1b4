/** A part at a time, since a call takes only so many arguments. */
const PART = 0x8000;

export function toBase64(bytes: Uint8Array): string {
  let text = '';
  for (let at = 0; at < bytes.length; at += PART) text += String.fromCharCode(...bytes.subarray(at, at + PART));
  return btoa(text);
}

export function fromBase64(text: string): Uint8Array<ArrayBuffer> {
  return Uint8Array.from(atob(text), (sign) => sign.charCodeAt(0));
}
