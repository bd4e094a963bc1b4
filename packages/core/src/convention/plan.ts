import { checkCode, matchKey, type ConventionFields, type Scope, type Shortcut, type TextProblem } from '../model';
import { nearCodes } from '../propose/near';
import { isInScope, isSameMark, markCode, mayBeMarked, partsOf } from './mark';

/** What a plan looks at. */
type Planned = Pick<Shortcut, 'id' | 'code' | 'kind' | 'setId' | 'content'>;

/** One code that is to be another. */
export interface Recode {
  readonly id: string;
  readonly from: string;
  readonly to: string;
  /** What it would be, had that not been in use. */
  readonly insteadOf: string | null;
}

/** A code that cannot follow the convention: what it would be is taken, and nothing near is free, or is no code. */
export interface CannotRecode {
  readonly id: string;
  readonly from: string;
  readonly to: string;
  readonly why:
    { readonly type: 'in use'; readonly by: string } | { readonly type: 'not a code'; readonly problem: TextProblem };
}

export interface RecodePlan {
  readonly recodes: readonly Recode[];
  readonly cannot: readonly CannotRecode[];
  /** Codes of the scope that have the mark already. */
  readonly fitting: readonly string[];
  /** Those of the scope that no convention marks. */
  readonly exempt: readonly string[];
}

/**
 * What becomes of a list if a part of it takes a convention. Shortcuts of `except` keep their codes. Where two
 * codes would be one, the older has it and the other goes to a free code near by, under the same mark. Linear,
 * but for those.
 */
export function planRecodes(
  shortcuts: readonly Planned[],
  { scope, mark, capitals }: Pick<ConventionFields, 'mark' | 'capitals'> & { readonly scope: Scope },
  except: ReadonlySet<string> = new Set(),
): RecodePlan {
  const recodes: Recode[] = [];
  const cannot: CannotRecode[] = [];
  const fitting: string[] = [];
  const exempt: string[] = [];
  const moving: (Planned & { readonly to: string })[] = [];
  // Whose a code is, by its match key.
  const inUse = new Map<string, string>();
  for (const shortcut of [...shortcuts].sort(byId)) {
    const { id, code } = shortcut;
    const stays = (list: string[]) => {
      list.push(id);
      inUse.set(matchKey(code), id);
    };
    if (!isInScope(shortcut, scope) || except.has(id)) stays([]);
    else if (!mayBeMarked(shortcut)) stays(exempt);
    else {
      const to = markCode(partsOf(code)!.mnemonic, mark, capitals);
      if (to === code) stays(fitting);
      else moving.push({ ...shortcut, to });
    }
  }
  const isUnderMark = (code: string) => {
    const parts = partsOf(code);
    return parts !== null && isSameMark(parts.mark, mark);
  };
  for (const { id, code, kind, content, to } of moving) {
    const problem = checkCode(to);
    if (problem) {
      cannot.push({ id, from: code, to, why: { type: 'not a code', problem } });
      inUse.set(matchKey(code), id);
      continue;
    }
    const owner = inUse.get(matchKey(to));
    const near =
      owner === undefined
        ? undefined
        : nearCodes(to, content.expansion, [...inUse.keys()], kind).find((one) => isUnderMark(one.code));
    if (owner !== undefined && near === undefined) {
      cannot.push({ id, from: code, to, why: { type: 'in use', by: owner } });
      inUse.set(matchKey(code), id);
      continue;
    }
    recodes.push({ id, from: code, to: near?.code ?? to, insteadOf: near ? to : null });
    inUse.set(matchKey(near?.code ?? to), id);
  }
  return { recodes, cannot, fitting, exempt };
}

function byId(a: Planned, b: Planned): number {
  return a.id < b.id ? -1 : 1;
}
