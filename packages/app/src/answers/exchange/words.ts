import { i18n, type MessageDescriptor } from '@lingui/core';
import { msg, t } from '@lingui/core/macro';
import type { DecodeProblem } from '@yellow-latch/core/exchange';

import { tellCount } from '@/wording/format';

const MEGABYTE = 1024 * 1024;

/** What a file is that people take for text. */
const FILES: Record<NonNullable<Extract<DecodeProblem, { type: 'binary' }>['looksLike']>, MessageDescriptor> = {
  'a picture': msg`a picture`,
  'a PDF': msg`a PDF`,
  'a packed file, as spreadsheets and word processors keep theirs': msg`a spreadsheet, a document or a zip file`,
  'a packed file': msg`a compressed file`,
  'a database': msg`a database`,
};

/** Why a file is not read as text, and what to do; `instead`: what may be chosen. */
export function tellDecodeProblem(problem: DecodeProblem, instead: string): string {
  if (problem.type === 'too-large')
    return t`This file is ${{ size: tellCount(Math.ceil(problem.found / MEGABYTE)) }} MB. The limit is ${{ limit: tellCount(problem.limit / MEGABYTE) }} MB. Split it up.`;
  return problem.looksLike === null
    ? t`This file isn’t text. ${instead}`
    : t`This file is ${{ what: i18n._(FILES[problem.looksLike]) }}, not text. ${instead}`;
}
