import type { OwnTextReport } from '@yellow-latch/core/clash';

/** A place at which a code would have fired: offsets in UTF-16 units, and the shortcut. */
export interface OwnPlace {
  readonly start: number;
  readonly end: number;
  readonly id: string;
}

/** The places of a report in their order, of one code or of all. Linear. */
export function placesOf({ places, ids }: Pick<OwnTextReport, 'places' | 'ids'>, only: string | null): OwnPlace[] {
  const index = only === null ? -1 : ids.indexOf(only);
  const found: OwnPlace[] = [];
  for (let at = 0; at < places.length; at += 3) {
    if (only !== null && places[at + 2] !== index) continue;
    found.push({ start: places[at]!, end: places[at + 1]!, id: ids[places[at + 2]!]! });
  }
  return found;
}
