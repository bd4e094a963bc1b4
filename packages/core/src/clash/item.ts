import type { CompiledList, FiringEntry, RuledList } from '../fire';
import type { DeviceProfile } from '../profile';
import { isItself, matchKey, type Kind } from '../model';
import { searchable } from './contextCorpus';

/** A shortcut as a list under audit has it. `private`: it is on this device alone. */
export type AuditedShortcut = RuledList['shortcuts'][number] & { readonly private?: boolean };

/** A shortcut under audit, its rules settled. `index` is its place in the tables of hits. */
export interface Item {
  readonly id: string;
  readonly index: number;
  readonly entry: FiringEntry;
  readonly kind: Kind;
  readonly shortcut: AuditedShortcut;
  readonly key: string;
  /** Its text is its code, or what was meant by it: whoever types it wants it, so that it never fires by mistake. */
  readonly isItself: boolean;
  /** What the key is drawn like; null where that is not asked. */
  readonly skeleton: string | null;
  /** The expansion as a match key, made when an edit first asks for it. */
  lowered: string | null;
  /** The code, as `searchable` of the corpus makes it. */
  readonly typedKey: string;
}

export function itemOf(
  shortcut: AuditedShortcut,
  entry: FiringEntry,
  index: number,
  skeletonOf: ((key: string) => string) | null | undefined,
): Item {
  const key = matchKey(entry.code);
  return {
    id: entry.id,
    index,
    entry,
    kind: shortcut.kind,
    shortcut,
    key,
    isItself: shortcut.kind === 'correction' || isItself(entry.code, entry.expansion),
    skeleton: skeletonOf?.(key) ?? null,
    lowered: null,
    typedKey: searchable(key),
  };
}

/** The expansion as a match key, made once. */
export function loweredOf(item: Item): string {
  return (item.lowered ??= searchable(item.entry.expansion));
}

/** All of a shortcut in which a code may be met: its text and its code. */
export function searchedIn(item: Item): string {
  return `${loweredOf(item)}\0${item.typedKey}`;
}

/** A device under audit: its profile, and the list as it holds it. */
export interface Device {
  readonly profile: DeviceProfile;
  list: CompiledList;
}
