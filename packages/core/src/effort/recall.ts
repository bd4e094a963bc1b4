import { recallKindOf } from '../mnemonic';
import { RECALL } from './assumptions';
import type { MeasuredRecall } from './measuredRecall';

/** How long a code takes to come to mind, and from where that is known: measured, measured on codes of its kind, or assumed. */
export interface Recall {
  /** s */
  readonly seconds: number;
  readonly from: 'measured' | 'measured on its kind' | 'assumed';
}

/** How soon a code comes to mind. `id`: of its shortcut, if it has one; `measured`: what this person took so far. */
export function recallOf(code: string, expansion: string, measured?: MeasuredRecall, id?: string): Recall {
  const own = id === undefined ? undefined : measured?.byId[id];
  if (own !== undefined) return { seconds: own, from: 'measured' };
  const kind = recallKindOf(code, expansion);
  const ofKind = measured?.byKind[kind];
  return ofKind === undefined
    ? { seconds: RECALL[kind], from: 'assumed' }
    : { seconds: ofKind, from: 'measured on its kind' };
}
