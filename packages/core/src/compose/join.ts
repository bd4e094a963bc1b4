import type { Kind } from '../model';

/**
 * What goes before a text that is put in by a tap rather than typed: a space where words would run together. Signs
 * follow what stands there; nothing is needed at the start, behind white space, or behind what opens.
 */
export function joinerBefore(before: string, expansion: string, kind: Kind): '' | ' ' {
  if (kind === 'symbol' || before === '') return '';
  if (/[\s\p{Ps}\p{Pi}/@#&“‘]$/u.test(before) || /^[\s\p{Pe}\p{Pf},.;:!?…]/u.test(expansion)) return '';
  return ' ';
}
