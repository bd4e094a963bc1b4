import { t } from '@lingui/core/macro';
import type { Fix } from '@yellow-latch/core/clash';

/** A fix as a button names it. `about`: the shortcut it is to fix. */
export function tellTaking(fix: Fix, about: string, codeOf: (id: string) => string): string {
  switch (fix.type) {
    case 'other code': {
      const { code } = fix;
      const old = codeOf(fix.id);
      return fix.id === about ? t`Use ${code}` : t`Change ${old} to ${code}`;
    }
    case 'other rules': {
      const code = codeOf(fix.id);
      const isOwn = fix.id === about;
      return {
        offer: isOwn ? t`Only suggest it` : t`Only suggest ${code}`,
        edge: isOwn ? t`Expand it only at the start of a word` : t`Expand ${code} only at the start of a word`,
        capitals: isOwn ? t`Ignore capitals` : t`Ignore capitals in ${code}`,
      }[fix.asks];
    }
    case 'correct text':
      return t`Fix the text`;
    case 'merge': {
      const code = codeOf(fix.keep);
      return t`Keep only ${code}`;
    }
    case 'make private':
      return t`Keep it only on this device`;
  }
}
