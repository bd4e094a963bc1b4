/** The codes of a list as a device holds them, in trees by the edge they need. */
import type { DeviceProfile } from '../profile';
import { matchKey } from '../model/code';
import { byKeyAndAge, CodeTree, type Keyed } from './codeTree';
import type { Edge } from './edge';
import type { FiringEntry } from './rules';

/** Codes of one edge: those of the base, or those that lie over it. */
export interface Layer {
  readonly tree: CodeTree;
  readonly edge: Edge;
  /** Whether the overlay may have taken some of it away. */
  readonly isBase: boolean;
}

export function layersOf(held: readonly Keyed[], isBase: boolean): Layer[] {
  return (['anywhere', 'word'] as const).flatMap((edge) => {
    const items = held.filter(({ entry }) => entry.edge === edge).sort(byKeyAndAge);
    return items.length > 0 ? [{ tree: new CodeTree(items), edge, isBase }] : [];
  });
}

/** Whether a place's list is of another language than the entry, so that it never fires there. */
export function isForeign({ language }: Pick<FiringEntry, 'language'>, { languages }: DeviceProfile): boolean {
  if (languages === null || languages.length === 0 || language === 'und') return false;
  const base = language.split('-')[0]!;
  return !languages.some((one) => one.split('-')[0] === base);
}

/** An entry by the rules of a device; null if it cannot hold such a code, or holds it where it never fires. */
export function heldBy(entry: FiringEntry, profile: DeviceProfile): FiringEntry | null {
  if (isForeign(entry, profile)) return null;
  if (!profile.spacesInCodes && /\s/u.test(entry.code)) return null;
  const fires = profile.ways.includes(entry.fires) ? entry.fires : profile.otherwise;
  const edge = profile.edge === 'own' ? entry.edge : profile.edge;
  const capitals = profile.capitals === 'own' ? entry.capitals : profile.capitals;
  const delimiter = profile.keepsDelimiter === 'own' ? entry.delimiter : profile.keepsDelimiter;
  const isAsAsked =
    fires === entry.fires && edge === entry.edge && capitals === entry.capitals && delimiter === entry.delimiter;
  // What is as it was is not kept twice.
  return isAsAsked ? entry : { ...entry, fires, edge, capitals, delimiter };
}

/** An entry as the device holds it, under its match key; null if it cannot. */
export function hold(entry: FiringEntry, profile: DeviceProfile): Keyed | null {
  const held = heldBy(entry, profile);
  const key = matchKey(entry.code);
  return held === null || key === '' ? null : { key: key === entry.code ? entry.code : key, entry: held };
}

/** The device's own entries. Their ids sort after every UUID: a person's own entry goes first. */
export function builtInOf(profile: DeviceProfile): FiringEntry[] {
  return profile.builtIn.map(({ code, expansion }, index) => ({
    id: `~built-in:${index}`,
    code,
    expansion,
    uses: 0,
    language: 'und',
    fires: profile.otherwise,
    edge: 'word',
    capitals: 'ignore',
    delimiter: 'keep',
  }));
}
