import { matchKey } from '../model';
import type { CodesInUse } from './inUse';

/**
 * The codes of a list and those that were given since, which are not in it yet: whoever looks for the next one is told of both.
 * No answer takes longer the more were given.
 */
export class GivenCodes implements CodesInUse {
  private readonly users = new Map<string, string[]>();
  /** The beginnings of what was given, without the whole of it. */
  private readonly beginnings = new Set<string>();

  constructor(private readonly list: CodesInUse) {}

  give(id: string, code: string): void {
    const key = matchKey(code);
    const others = this.users.get(key);
    if (others) others.push(id);
    else this.users.set(key, [id]);
    for (let length = 1; length < key.length; length += 1) this.beginnings.add(key.slice(0, length));
  }

  usersOf(key: string): readonly string[] {
    return [...this.list.usersOf(key), ...(this.users.get(key) ?? [])];
  }

  hasLonger(key: string): boolean {
    return this.beginnings.has(key) || this.list.hasLonger(key);
  }

  shorterThan(key: string): readonly string[] {
    const shorter: string[] = [...this.list.shorterThan(key)];
    for (let length = 1; length < key.length; length += 1)
      shorter.push(...(this.users.get(key.slice(0, length)) ?? []));
    return shorter;
  }
}
