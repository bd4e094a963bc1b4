import type { RuledList } from '../fire';
import { matchKey, type Shortcut } from '../model';

/** How long an old code goes on firing, in ms: four weeks. */
export const FORMER_LASTS = 28 * 24 * 60 * 60 * 1_000;

const SUFFIX = '~former';

/** Shortcuts under their former codes, as long as these are alive and nobody else has them. Linear. */
export function formerCodes(shortcuts: readonly Shortcut[], now: number): RuledList['shortcuts'] {
  const alive = shortcuts.filter(({ former }) => former !== null && former.until > now);
  if (alive.length === 0) return [];
  const taken = new Set(shortcuts.map(({ code }) => matchKey(code)));
  return alive.flatMap(({ id, former, content, kind, setId, rules }) => {
    const key = matchKey(former!.code);
    if (taken.has(key)) return [];
    taken.add(key);
    return [{ id: id + SUFFIX, code: former!.code, content, kind, setId, rules }];
  });
}

/** The shortcut whose former code fired; null: it was no former code. */
export function idOfFormer(id: string): string | null {
  return id.endsWith(SUFFIX) ? id.slice(0, -SUFFIX.length) : null;
}
