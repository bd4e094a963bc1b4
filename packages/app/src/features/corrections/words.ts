import { t } from '@lingui/core/macro';
import type { CorrectionLine } from '@yellow-latch/core/corrections';

import { tellProblem } from '@/parts/kinds';

/** What is wrong with a line, where, and what to do; null: nothing is. */
export function tellLine({ line, problem, code }: CorrectionLine): string | null {
  if (problem === null) return null;
  switch (problem.type) {
    case 'no-capitals':
      return t`Line ${line}: “${code}” has no capitals. Write it as it should look.`;
    case 'no-meaning':
      return t`Line ${line}: write what you meant behind an arrow, as in recieve -> receive.`;
    case 'twice':
      return t`Line ${line}: “${code}” is here twice.`;
    case 'in-use':
      return t`Line ${line}: “${code}” is on your list already.`;
    case 'code':
      return t`Line ${line}: ${{ why: tellProblem('code', problem.problem) }}`;
    case 'text':
      return t`Line ${line}: ${{ why: tellProblem('expansion', problem.problem) }}`;
  }
}
