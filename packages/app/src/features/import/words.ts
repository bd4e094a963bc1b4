import type { ListForm, Refusal } from '@yellow-latch/core/exchange';
import type { Encoding } from '@yellow-latch/core/exchange/encodings';

import type { FileProblem } from '@/answers/exchange/workerApi';
import { tellDecodeProblem } from '@/answers/exchange/words';
import { tellProblem } from '@/parts/kinds';
import { tellTemplateProblem } from '@/answers/expansion/words';

/** Why there is no list in a file, and what to do. */
export function tellFileProblem(problem: FileProblem): string {
  switch (problem.type) {
    case 'too-large':
    case 'binary':
      return tellDecodeProblem(problem, 'Save it as a table (CSV), as text or as JSON.');
    case 'too-many-rows':
      return `It has more than ${problem.limit.toLocaleString('en')} rows, and a list holds no more. Cut it in parts.`;
    case 'no-rows':
      return 'There is nothing in it to bring in.';
    case 'heading-only':
      return 'It has a heading and nothing below it.';
    case 'not-json':
      return `It begins like JSON and breaks at line ${problem.line}, character ${problem.position}. If it is meant as something else, choose that below.`;
    case 'not-ours':
      return 'It is JSON, but no list of Yellow Latch. A table (CSV) of it can be brought in.';
    case 'newer-version':
      return `It was written by a later version of Yellow Latch (format ${problem.version}; this one knows ${problem.known}). Open it there, or update this one.`;
    case 'not-valid':
      return `At line ${problem.line}, character ${problem.position}, “${problem.field}” is not what it should be: ${problem.message}. Nothing was brought in.`;
  }
}

/** Why a row is refused, with the place in its line where there is one. */
export function tellRefusal(refusal: Refusal): string {
  switch (refusal.type) {
    case 'open-quote':
      return `A quote opens at character ${refusal.position} and is never closed.`;
    case 'text-after-quote':
      return `At character ${refusal.position} something stands after a closing quote.`;
    case 'too-many-cells':
      return 'It has more cells than the first row names. Put the text in quotes.';
    case 'outside-table':
      return 'It stands outside of the table.';
    case 'not-a-shortcut':
      return `At character ${refusal.position}, “${refusal.field}” is not what it should be: ${refusal.message}.`;
    case 'code':
    case 'expansion':
      return refusal.problem.type === 'empty'
        ? 'There is no text for the code.'
        : tellProblem(refusal.type, refusal.problem);
    case 'template':
      return tellTemplateProblem(refusal.problem);
    case 'cell':
      return `“${refusal.value}” is no ${refusal.column} that is known.`;
    case 'list-full':
      return `A list holds ${refusal.limit.toLocaleString('en')} shortcuts; this one is full.`;
  }
}

export const FORM_WORDS: Record<ListForm, string> = {
  json: 'a list of Yellow Latch',
  table: 'a table',
  markdown: 'a table of Markdown',
  lines: 'a text in each line',
};

export const ENCODING_WORDS: Record<Encoding, string> = {
  'utf-8': 'UTF-8',
  'utf-16le': 'UTF-16',
  'utf-16be': 'UTF-16, big-endian',
  'windows-1252': 'Western European (Windows-1252, Latin-1)',
  'windows-1250': 'Central European (Windows-1250)',
  'windows-1251': 'Cyrillic (Windows-1251)',
  'iso-8859-15': 'Western European with € (ISO 8859-15)',
  macintosh: 'Western European (Mac)',
  'iso-8859-2': 'Central European (ISO 8859-2)',
  'koi8-r': 'Cyrillic (KOI8-R)',
  gb18030: 'Chinese (GB 18030)',
  big5: 'Chinese, traditional (Big5)',
  shift_jis: 'Japanese (Shift JIS)',
  'euc-jp': 'Japanese (EUC-JP)',
  'euc-kr': 'Korean (EUC-KR)',
};

export const DELIMITER_WORDS: Record<string, string> = { ',': 'commas', '\t': 'tabs', ';': 'semicolons', '|': 'bars' };

export const COLUMN_WORDS: Record<string, string> = {
  code: 'You type (the code)',
  expansion: 'You get (the text)',
  kind: 'Kind',
  set: 'Set',
  note: 'Note',
  language: 'Language',
  fires: 'How it fires',
  edge: 'Where it may stand',
  capitals: 'Capitals',
  delimiter: 'The delimiter',
  form: 'Form (template, markdown)',
};

const FIELD_WORDS: Record<string, string> = {
  code: 'code',
  content: 'text',
  kind: 'kind',
  setId: 'set',
  rules: 'firing',
  usesAWeek: 'use',
  former: 'former code',
  pinned: 'place on the board',
  note: 'note',
  language: 'language',
};

/** The fields that differ, in a list. */
export function tellFields(fields: readonly string[]): string {
  return fields.map((field) => FIELD_WORDS[field] ?? field).join(', ');
}

export const SECRET_WORDS: Record<string, string> = {
  card: 'looks like a card number',
  account: 'looks like a bank account',
  'private-key': 'looks like a private key',
  token: 'looks like a key or token',
  password: 'looks like a password',
};
