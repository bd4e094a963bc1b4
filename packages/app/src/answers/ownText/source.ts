import { t } from '@lingui/core/macro';
import type { OwnTextFormat, OwnTextProblem } from '@yellow-latch/core/sent/ownText';
import { LARGEST_TEXT } from '@yellow-latch/core/exchange/encodings';

import { tellDecodeProblem } from '@/answers/exchange/words';

/** A text of the person's own, as bytes, and how it is to be read. */
export interface OwnTextSource {
  readonly name: string;
  readonly bytes: Uint8Array;
  readonly format: OwnTextFormat;
}

export type ReadAs = OwnTextFormat['type'];

/** How a file is read unless the person says otherwise: by the end of its name. */
export function guessFormat(name: string): ReadAs {
  if (/\.(csv|tsv)$/iu.test(name)) return 'csv';
  return /\.(jsonl|ndjson|jsonlines)$/iu.test(name) ? 'json-lines' : 'text';
}

export function pastedSource(text: string): OwnTextSource {
  return { name: t`Pasted text`, bytes: new TextEncoder().encode(text), format: { type: 'text' } };
}

/** Reads a file into memory, unless it is larger than can be read. */
export async function fileSource(file: File): Promise<OwnTextSource | OwnTextProblem> {
  if (file.size > LARGEST_TEXT) return { type: 'too-large', limit: LARGEST_TEXT, found: file.size };
  const bytes = new Uint8Array(await file.arrayBuffer());
  return { name: file.name, bytes, format: formatOf(guessFormat(file.name), 'text') };
}

/** How a text of a type is read; `field`: of JSON lines, the one that holds what was said. */
export function formatOf(type: OwnTextFormat['type'], field: string): OwnTextFormat {
  if (type === 'csv') return { type, column: 0 };
  return type === 'json-lines' ? { type, field } : { type };
}

/** The field of JSON lines that most likely holds what was said. */
export function likelyField(fields: readonly string[]): string {
  return fields.find((name) => /(^|\.)(text|body|message|content)$/iu.test(name)) ?? fields[0] ?? 'text';
}

/** Why a text could not be read, and what to do. */
export function tellOwnTextProblem(problem: OwnTextProblem): string {
  switch (problem.type) {
    case 'too-large':
    case 'binary':
      return tellDecodeProblem(problem, t`Choose a text file, a table (CSV) or JSON lines.`);
    case 'no-column':
      return problem.found.length > 0
        ? t`There’s no column “${{ wanted: problem.wanted }}”. Choose another.`
        : t`No line has text in “${{ wanted: problem.wanted }}”. Choose another field, or read it as plain text.`;
    case 'no-text':
      return t`There’s no text in it. Choose another file.`;
  }
}
