import { byAge } from '../fire';
import type { Item } from './item';

/** Items that share something: a match key, a skeleton, an expansion. Most share nothing. */
export class Groups {
  private readonly first = new Map<string, Item>();
  /** The groups of more than one, all of each. */
  private readonly crowds = new Map<string, Item[]>();

  add(name: string, item: Item): void {
    const first = this.first.get(name);
    if (first === undefined) {
      this.first.set(name, item);
      return;
    }
    const crowd = this.crowds.get(name);
    if (crowd) crowd.push(item);
    else this.crowds.set(name, [first, item]);
  }

  remove(name: string, item: Item): void {
    const rest = this.of(name).filter((one) => one !== item);
    this.crowds.delete(name);
    if (rest.length === 0) this.first.delete(name);
    else this.first.set(name, rest[0]!);
    if (rest.length > 1) this.crowds.set(name, rest);
  }

  of(name: string): readonly Item[] {
    const crowd = this.crowds.get(name);
    if (crowd) return crowd;
    const first = this.first.get(name);
    return first ? [first] : [];
  }

  /** The group of a name if it has several; else null. */
  several(name: string): readonly Item[] | null {
    return this.crowds.get(name) ?? null;
  }

  /** Sorts the group of a name by age; without one, every group. */
  sort(name?: string): void {
    const crowds = name === undefined ? this.crowds.values() : [this.crowds.get(name)];
    for (const crowd of crowds) crowd?.sort(byAge);
  }
}
