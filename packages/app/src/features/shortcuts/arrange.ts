import type { Severity } from '@yellow-latch/core/clash/finding';
import { compareUnits, type Kind, type Shortcut } from '@yellow-latch/core/model';

import type { ListView } from '@yellow-latch/replica/storage/view';

import { compareTexts } from '@/wording/format';

import { groupBySet, type ListItem } from './groups';

/** The order of the list. `set`: by set, and by code within each. */
export type Sort = 'set' | 'code' | 'expansion' | 'newest' | 'most used';
export const SORTS: readonly Sort[] = ['set', 'code', 'expansion', 'newest', 'most used'];

/** Which shortcuts are shown. Null or false: all, in that respect. `setId` '': those in no set; `language` '': those in any. */
export interface Filters {
  readonly severity: Severity | null;
  readonly kind: Kind | null;
  readonly setId: string | null;
  readonly language: string | null;
  readonly neverUsed: boolean;
  readonly privateOnly: boolean;
}

export const NO_FILTERS: Filters = {
  severity: null,
  kind: null,
  setId: null,
  language: null,
  neverUsed: false,
  privateOnly: false,
};

export function isFiltered(filters: Filters): boolean {
  return Object.values(filters).some((value) => value !== null && value !== false);
}

/** The items of the list as they are drawn: what was found and passes the filters, in an order. Linear, but for sorting. */
export function arrange(
  list: ListView,
  found: ReadonlySet<string> | null,
  filters: Filters,
  sort: Sort,
  worst: ReadonlyMap<string, Severity>,
): ListItem[] {
  const passes = passOf(list, filters, worst);
  const shown =
    found === null && passes === null
      ? null
      : list.shortcuts.filter(
          (shortcut) => (found === null || found.has(shortcut.id)) && (passes === null || passes(shortcut)),
        );
  if (sort === 'set') return groupBySet(shown === null ? list : { ...list, shortcuts: shown });
  const sorted = [...(shown ?? list.shortcuts)];
  if (sort !== 'code') sorted.sort(COMPARE[sort]);
  return sorted.map((shortcut) => ({ type: 'shortcut', key: shortcut.id, shortcut }));
}

function passOf(
  { sets }: ListView,
  { severity, kind, setId, language, neverUsed, privateOnly }: Filters,
  worst: ReadonlyMap<string, Severity>,
): ((shortcut: Shortcut) => boolean) | null {
  const tests: ((shortcut: Shortcut) => boolean)[] = [];
  if (severity !== null) tests.push(({ id }) => worst.get(id) === severity);
  if (kind !== null) tests.push((shortcut) => shortcut.kind === kind);
  if (setId !== null) {
    const known = new Set(sets.map(({ id }) => id));
    tests.push((shortcut) =>
      setId === '' ? shortcut.setId === null || !known.has(shortcut.setId) : shortcut.setId === setId,
    );
  }
  if (language !== null) tests.push((shortcut) => (shortcut.language ?? '') === language);
  if (neverUsed) tests.push(({ used }) => (used?.count ?? 0) === 0);
  if (privateOnly) tests.push((shortcut) => shortcut.private);
  return tests.length === 0 ? null : (shortcut) => tests.every((passes) => passes(shortcut));
}

const COMPARE: Record<Exclude<Sort, 'set' | 'code'>, (a: Shortcut, b: Shortcut) => number> = {
  expansion: (a, b) => compareTexts(a.content.expansion.slice(0, 80), b.content.expansion.slice(0, 80)),
  // An id tells when it was made (UUIDv7, RFC 9562).
  newest: (a, b) => compareUnits(b.id, a.id),
  'most used': (a, b) => (b.used?.count ?? 0) - (a.used?.count ?? 0) || (b.usesAWeek ?? 0) - (a.usesAWeek ?? 0),
};
