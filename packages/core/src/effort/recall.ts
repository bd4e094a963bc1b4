import { recallKindOf } from '../mnemonic';
import { RECALL } from './assumptions';

/** Seconds until a code has come to mind. */
export function recallOf(code: string, expansion: string): number {
  return RECALL[recallKindOf(code, expansion)];
}
