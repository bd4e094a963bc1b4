/** For tests: entries and profiles with the usual rules, and a source of random numbers with a seed. */
import { THIS_APP, type DeviceProfile } from '../profile';
import { CompiledList } from './list';
import type { FiringEntry } from './rules';

export function entry(code: string, expansion: string, more: Partial<FiringEntry> = {}): FiringEntry {
  return {
    id: code,
    code,
    expansion,
    fires: 'delimiter',
    edge: 'word',
    capitals: 'ignore',
    delimiter: 'keep',
    uses: 0,
    language: 'und',
    ...more,
  };
}

export function device(more: Partial<DeviceProfile> = {}): DeviceProfile {
  return { ...THIS_APP, ...more };
}

export function listOf(entries: readonly FiringEntry[], profile: Partial<DeviceProfile> = {}): CompiledList {
  return CompiledList.compile(entries, device(profile));
}

/** Random numbers in [0, 1) that a seed repeats (mulberry32, public domain, from memory). */
export function randomFrom(seed: number): () => number {
  let state = seed >>> 0;
  return () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let mixed = Math.imul(state ^ (state >>> 15), state | 1);
    mixed ^= mixed + Math.imul(mixed ^ (mixed >>> 7), mixed | 61);
    return ((mixed ^ (mixed >>> 14)) >>> 0) / 2 ** 32;
  };
}

export function pick<T>(random: () => number, from: readonly T[]): T {
  return from[Math.floor(random() * from.length)]!;
}
