import type { Placed } from './place';

/** Stands for a text that is private by now: no digest is all zeros. */
export const UNKNOWN_DIGEST = '0000000000000000';

/**
 * A digest of code and text: 64 bits of two 32-bit FNV-1a-like hashes. It tells whether a place still holds what the list has,
 * and is no secret of either.
 */
export function digestOf({ code, text }: Pick<Placed, 'code' | 'text'>): string {
  let a = 0x811c9dc5;
  let b = 0x9e3779b9;
  const whole = `${code}\n${text}`;
  for (let i = 0; i < whole.length; i += 1) {
    const unit = whole.charCodeAt(i);
    a = Math.imul(a ^ unit, 0x01000193);
    b = Math.imul(b ^ unit, 0x85ebca6b) + (a >>> 15);
  }
  return [a, b]
    .map((half) => (half >>> 0).toString(16).padStart(8, '0'))
    .join('')
    .replace(/^0{16}$/u, 'f'.repeat(16));
}
