import { i18n, type MessageDescriptor } from '@lingui/core';
import { msg, t } from '@lingui/core/macro';
import type { Claim } from '@yellow-latch/core/clash/claims';

const BY: Record<Claim['by'], MessageDescriptor> = {
  chats: msg`Chat apps`,
  networks: msg`Social networks`,
  editors: msg`Text editors`,
  mail: msg`Mail apps`,
  spreadsheets: msg`Spreadsheets`,
  'command lines': msg`Command lines`,
  code: msg`Programming languages`,
  keyboards: msg`Phone keyboards`,
};

const MEANINGS: Record<Claim['meaning'], MessageDescriptor> = {
  'a command': msg`commands`,
  'a menu of blocks': msg`the insert menu`,
  'a mention of a person': msg`mentions`,
  'an account': msg`account names`,
  'a tag': msg`tags`,
  'a channel': msg`channels`,
  'a heading': msg`headings`,
  'a smaller heading': msg`smaller headings`,
  'the name of an emoji': msg`emoji names`,
  'a smiling face': msg`a smile`,
  'a sad face': msg`a sad face`,
  'a laughing face': msg`a laugh`,
  'a face with its tongue out': msg`a stuck-out tongue`,
  'a winking face': msg`a wink`,
  'a heart': msg`a heart`,
  'emphasis or a list': msg`italics and lists`,
  'strong emphasis': msg`bold`,
  emphasis: msg`italics`,
  'struck out': msg`strikethrough`,
  code: msg`code`,
  'a block of code': msg`blocks of code`,
  'a quotation': msg`quotations`,
  'a quoted line': msg`quoted lines`,
  'a list': msg`lists`,
  'a numbered list': msg`numbered lists`,
  'a line across the page': msg`a line across the page`,
  'a heading above': msg`headings`,
  'a link': msg`links`,
  'a link to a page': msg`links to pages`,
  'a picture': msg`pictures`,
  'a template': msg`templates`,
  'a formula': msg`formulas`,
  'the next character as it is': msg`special characters`,
  'hidden until tapped': msg`hidden text`,
  'a person to add': msg`adding people`,
  'a function': msg`functions`,
  'text as it is': msg`plain text`,
  'an earlier command': msg`earlier commands`,
  'a helper program': msg`bots`,
  'a variable': msg`variables`,
  'the home folder': msg`the home folder`,
  'an option': msg`options`,
  'a pipe': msg`pipes`,
  'a named sign in web pages': msg`special characters of web pages`,
  'a tag of a web page': msg`tags of web pages`,
  'a remark': msg`comments`,
  'the program that runs a script': msg`the first line of a script`,
  'a full stop after two spaces, or an ellipsis': msg`full stops and dots`,
};

/** Who else uses the beginning of a code, and what for. */
export function tellClaim({ beginning, by, meaning }: Claim): string {
  const who = i18n._(BY[by]);
  const what = i18n._(MEANINGS[meaning]);
  const start = beginning.trim();
  return t`${who} use “${start}” for ${what}.`;
}
