import { i18n, type MessageDescriptor } from '@lingui/core';
import { msg, plural, t } from '@lingui/core/macro';
import { tellCount, tellDate, tellList } from '@/wording/format';
import type { Delimiter, ListForm, Refusal } from '@yellow-latch/core/exchange';
import type { Encoding } from '@yellow-latch/core/exchange/encodings';

import type { FileProblem } from '@/answers/exchange/workerApi';
import { tellDecodeProblem } from '@/answers/exchange/words';
import { nameOfField } from '@/parts/fieldNames';
import { tellProblem } from '@/parts/kinds';
import { tellTemplateProblem } from '@/answers/expansion/words';

/** Why there is no list in a file, and what to do. */
export function tellFileProblem(problem: FileProblem): string {
  switch (problem.type) {
    case 'too-large':
    case 'binary':
      return tellDecodeProblem(problem, t`Save it as CSV, text or JSON first.`);
    case 'too-many-rows':
      return t`It has more than ${{ rows: tellCount(problem.limit) }} rows, the most a list can hold. Split it up.`;
    case 'no-rows':
      return t`There’s nothing in it to import.`;
    case 'heading-only':
      return t`It has a header but no rows.`;
    case 'not-json':
      return t`It looks like JSON but breaks at line ${{ line: problem.line }}, position ${{ position: problem.position }}. If it’s something else, change how it’s read.`;
    case 'not-ours':
      return t`It’s JSON, but not from Yellow Latch. Save it as CSV and import that.`;
    case 'newer-version':
      return t`It comes from a newer version of Yellow Latch. Update this one first.`;
    case 'not-valid':
      return t`“${{ field: problem.field }}” at line ${{ line: problem.line }}, position ${{ position: problem.position }} isn’t right, so nothing was imported.`;
  }
}

/** Why a row is refused, with the place in its line where there is one. */
export function tellRefusal(refusal: Refusal): string {
  switch (refusal.type) {
    case 'open-quote':
      return t`The quote at position ${{ position: refusal.position }} is never closed.`;
    case 'text-after-quote':
      return t`There’s text after the closing quote at position ${{ position: refusal.position }}.`;
    case 'too-many-cells':
      return t`It has more cells than the first row. Put the text in quotes.`;
    case 'outside-table':
      return t`It’s outside the table.`;
    case 'not-a-shortcut':
      return t`“${{ field: refusal.field }}” at position ${{ position: refusal.position }} isn’t right.`;
    case 'code':
    case 'expansion':
      return refusal.problem.type === 'empty'
        ? t`There’s no text for this code.`
        : tellProblem(refusal.type, refusal.problem);
    case 'template':
      return tellTemplateProblem(refusal.problem);
    case 'cell':
      return t`“${{ value: refusal.value }}” isn’t allowed in the column “${{ column: i18n._(COLUMN_WORDS[refusal.column] ?? msg`Note`) }}”.`;
    case 'list-full':
      return t`Your list is full: it holds ${{ count: tellCount(refusal.limit) }} shortcuts.`;
  }
}

/** What an import came to. */
export function tellImported(made: number, changed: number): string {
  const added = plural(made, { one: '# new shortcut', other: '# new shortcuts' });
  const others = plural(changed, { one: '# changed', other: '# changed' });
  if (made > 0 && changed > 0) return t`Imported ${added}, ${others}.`;
  if (made > 0) return t`Imported ${added}.`;
  return changed > 0 ? plural(changed, { one: 'Changed # shortcut.', other: 'Changed # shortcuts.' }) : t`Restored.`;
}

/** Of a list or backup of ours. `made`: ms since 1970. */
export function tellMade(made: number, isBackup: boolean): string {
  const date = tellDate(made);
  return isBackup ? t`backup from ${date}` : t`list from ${date}`;
}

export const FORM_WORDS: Record<ListForm, MessageDescriptor> = {
  json: msg`Yellow Latch list`,
  table: msg`table`,
  markdown: msg`Markdown table`,
  lines: msg`one text per line`,
};

export const ENCODING_WORDS: Record<Encoding, MessageDescriptor> = {
  'utf-8': msg`UTF-8`,
  'utf-16le': msg`UTF-16`,
  'utf-16be': msg`UTF-16, big-endian`,
  'windows-1252': msg`Western European (Windows-1252, Latin-1)`,
  'windows-1250': msg`Central European (Windows-1250)`,
  'windows-1251': msg`Cyrillic (Windows-1251)`,
  'iso-8859-15': msg`Western European with € (ISO 8859-15)`,
  macintosh: msg`Western European (Mac)`,
  'iso-8859-2': msg`Central European (ISO 8859-2)`,
  'koi8-r': msg`Cyrillic (KOI8-R)`,
  gb18030: msg`Chinese (GB 18030)`,
  big5: msg`Traditional Chinese (Big5)`,
  shift_jis: msg`Japanese (Shift JIS)`,
  'euc-jp': msg`Japanese (EUC-JP)`,
  'euc-kr': msg`Korean (EUC-KR)`,
};

export const DELIMITER_WORDS: Record<Delimiter, MessageDescriptor> = {
  ',': msg`commas`,
  '\t': msg`tabs`,
  ';': msg`semicolons`,
  '|': msg`vertical bars`,
};

export const COLUMN_WORDS: Record<string, MessageDescriptor> = {
  code: msg`You type (code)`,
  expansion: msg`You get (text)`,
  kind: msg`Kind`,
  set: msg`Set`,
  note: msg`Note`,
  language: msg`Language`,
  fires: msg`How it expands`,
  edge: msg`Where it expands`,
  capitals: msg`Capitals`,
  delimiter: msg`Space after the code`,
  form: msg`Format (template, markdown)`,
};

/** The fields that differ, in a list. */
export function tellFields(fields: readonly string[]): string {
  return tellList(fields.map(nameOfField));
}

export const SECRET_WORDS: Record<string, MessageDescriptor> = {
  card: msg`looks like a card number`,
  account: msg`looks like a bank account`,
  'private-key': msg`looks like a private key`,
  token: msg`looks like a key or token`,
  password: msg`looks like a password`,
};
