import { v5 } from 'uuid';

/** The namespace of the names below (RFC 9562, section 6.5); made once, at random. */
const NAMESPACE = '6f0f3b0a-51c4-4d0e-9c1e-6b6a2b7c9a10';

/**
 * The id of a record that is known by what it is about, so that devices which make it without knowing of each other make the
 * same one. 74 bits of a SHA-1 digest of the name stand where a UUIDv7 has random ones, its time is 0.
 */
export function derivedId(...name: readonly string[]): string {
  const hex = v5(name.join('\n'), NAMESPACE).replaceAll('-', '');
  return `00000000-0000-7${hex.slice(0, 3)}-8${hex.slice(3, 6)}-${hex.slice(6, 18)}`;
}
