import { matchKey, type Shortcut } from '../model';

/** How long an old code goes on firing, in ms: four weeks. */
export const FORMER_LASTS = 28 * 24 * 60 * 60 * 1_000;

const SUFFIX = '~former';

/** Shortcuts under their former codes, as long as these are alive and nobody else has them. Linear. */
export function formerCodes(shortcuts: readonly Shortcut[], now: number): Shortcut[] {
  const alive = shortcuts.filter(({ former }) => former !== null && former.until > now);
  if (alive.length === 0) return [];
  const inUse = new Set(shortcuts.map(({ code }) => matchKey(code)));
  return alive.flatMap((shortcut) => {
    const { code } = shortcut.former!;
    if (inUse.has(matchKey(code))) return [];
    inUse.add(matchKey(code));
    return [{ ...shortcut, id: shortcut.id + SUFFIX, code }];
  });
}

/** The shortcut whose former code fired; null: it was no former code. */
export function idOfFormer(id: string): string | null {
  return id.endsWith(SUFFIX) ? id.slice(0, -SUFFIX.length) : null;
}
