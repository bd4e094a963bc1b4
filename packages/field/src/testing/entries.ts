/** For tests: shortcuts as the engine takes them. */
import type { FiringEntry } from '@yellow-latch/core/fire';

export function entryOf(code: string, expansion: string, more: Partial<FiringEntry> = {}): FiringEntry {
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
