import type { CleanedEnd, TextProblem } from '@yellow-latch/core/model';

/** What a rule says to the person whose text breaks it: which rule, where, what to do. */
export function tellProblem(what: 'code' | 'expansion', problem: TextProblem): string {
  const name = what === 'code' ? 'The code' : 'The text';
  switch (problem.type) {
    case 'empty':
      return what === 'code' ? 'Give it a code: what you want to type for it.' : 'Paste or write what you want to get.';
    case 'too-many-clusters':
      return `${name} has ${problem.found} characters; at most ${problem.limit} can be kept. Shorten it.`;
    case 'too-many-code-points':
      return `${name} is made of ${problem.found} code points; at most ${problem.limit} can be kept. Use fewer joined signs.`;
    case 'too-many-bytes':
      return `${name} takes ${problem.found} bytes; at most ${problem.limit} can be kept. Shorten it.`;
    case 'control':
    case 'lone-surrogate': {
      const hex = problem.codePoint.toString(16).toUpperCase().padStart(4, '0');
      const { line, position } = problem.place;
      const where = line > 1 ? `line ${line}, character ${position}` : `character ${position}`;
      const bad = problem.type === 'control' ? 'a control character' : 'half a character';
      return `${name} holds ${bad} (U+${hex}) at ${where}. Delete it there.`;
    }
  }
}

/** What was cleaned away, in words; null if nothing was. */
export function tellCleaned({ blanks, newlines }: CleanedEnd): string | null {
  const parts: string[] = [];
  if (blanks > 0) parts.push(blanks === 1 ? '1 blank' : `${blanks} blanks`);
  if (newlines > 0) parts.push(newlines === 1 ? '1 new line' : `${newlines} new lines`);
  return parts.length === 0 ? null : `cut from the end: ${parts.join(', ')}`;
}

export function tellInUse(code: string, expansion: string): string {
  const short = expansion.trim().replace(/\s+/g, ' ');
  return `${code} is taken: it gives “${short.length > 40 ? `${short.slice(0, 40)}…` : short}”. Choose another code.`;
}

/** How a shortcut may fire; null: as is usual for its kind and set. */
export const WAYS = [
  { value: null, label: 'as usual' },
  { value: 'delimiter', label: 'after a space or mark' },
  { value: 'instant', label: 'at once' },
  { value: 'offer', label: 'only when taken' },
] as const;
