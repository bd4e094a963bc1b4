import { t } from '@lingui/core/macro';
import type { Shortcut } from '@yellow-latch/core/model';

/** A code of the list to try first: one with a marker, that is neither long nor all signs. */
export function sampleOf(shortcuts: readonly Shortcut[]): string {
  const marked = shortcuts.find(({ code }) => code.length <= 6 && /^[^\p{L}\p{N}]\p{L}+$/u.test(code));
  return marked?.code ?? t`see you soon`;
}
