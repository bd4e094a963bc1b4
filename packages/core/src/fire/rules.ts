import type { AskedRules, FiringRules, Shortcut, ShortcutSet } from '../model';

export type { AskedRules, FiringRules };

/** How a code becomes its expansion. */
export type Way = FiringRules['fires'];

/** What the typed capitals mean: nothing, must be as in the code, or go over to the expansion. */
export type Capitals = FiringRules['capitals'];

/** What firing needs to know of a shortcut, its rules settled. */
export interface FiringEntry extends FiringRules {
  readonly id: string;
  readonly code: string;
  readonly expansion: string;
  /** How often it was used, as of the day the list was compiled; offers go by it. */
  readonly uses: number;
  /** BCP 47; how letters are raised where capitals follow. */
  readonly language: string;
  /** Whether what it gives is to be asked for: its code stays as typed until the session is told. */
  readonly asks?: boolean;
  /** What it is shown as where that is not its expansion, as of a template. */
  readonly shown?: string;
}

/** What rules are settled from: the list's own, each set's, and each shortcut's. */
export interface RuledList {
  readonly rules?: AskedRules;
  readonly language?: string;
  readonly sets: readonly (Pick<ShortcutSet, 'id'> & { rules?: AskedRules })[];
  readonly shortcuts: readonly (Pick<Shortcut, 'id' | 'code' | 'content' | 'kind' | 'setId'> & {
    rules?: AskedRules;
    uses?: number;
    /** BCP 47; null: that of the list. */
    language?: string | null;
  })[];
}

const DEFAULTS: FiringRules = {
  fires: 'delimiter',
  edge: 'word',
  capitals: 'ignore',
  delimiter: 'keep',
};

/**
 * Every shortcut with its rules settled: of shortcut, set and list the nearest that asks for
 * something decides; a symbol may stand anywhere unless someone asks otherwise.
 */
export function settleRules(list: RuledList): FiringEntry[] {
  const ofSet = new Map(list.sets.map(({ id, rules }) => [id, rules]));
  const language = list.language ?? 'und';
  // What a set and a kind settle is the same for all of them.
  const settled = new Map<string, FiringRules>();
  const inherited = (kind: string, setId: string | null): FiringRules => {
    const name = `${kind === 'symbol'} ${setId}`;
    let rules = settled.get(name);
    if (!rules) {
      const ofKind: AskedRules = kind === 'symbol' ? { edge: 'anywhere' } : {};
      rules = { ...DEFAULTS, ...ofKind, ...list.rules, ...(setId === null ? undefined : ofSet.get(setId)) };
      settled.set(name, rules);
    }
    return rules;
  };
  return list.shortcuts.map(({ id, code, content, kind, setId, rules, uses = 0, language: own }) => {
    const base = inherited(kind, setId);
    const { fires, edge, capitals, delimiter } = rules ? { ...base, ...rules } : base;
    return {
      id,
      code,
      expansion: content.expansion,
      uses,
      language: own ?? language,
      fires,
      edge,
      capitals,
      delimiter,
    };
  });
}
