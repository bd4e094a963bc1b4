/**
 * Beginnings that programs take for themselves, in general words. Common practice, no source: each is
 * so in several programs of its kind.
 */
export type Claim = (typeof CLAIMS)[number];

export const CLAIMS = [
  { beginning: '/', by: 'chats', meaning: 'a command' },
  { beginning: '/', by: 'editors', meaning: 'a menu of blocks' },
  { beginning: '@', by: 'chats', meaning: 'a mention of a person' },
  { beginning: '@', by: 'networks', meaning: 'an account' },
  { beginning: '#', by: 'networks', meaning: 'a tag' },
  { beginning: '#', by: 'chats', meaning: 'a channel' },
  { beginning: '#', by: 'editors', meaning: 'a heading' },
  { beginning: '##', by: 'editors', meaning: 'a smaller heading' },
  { beginning: ':', by: 'chats', meaning: 'the name of an emoji' },
  { beginning: ':)', by: 'chats', meaning: 'a smiling face' },
  { beginning: ':(', by: 'chats', meaning: 'a sad face' },
  { beginning: ':D', by: 'chats', meaning: 'a laughing face' },
  { beginning: ':p', by: 'chats', meaning: 'a face with its tongue out' },
  { beginning: ';)', by: 'chats', meaning: 'a winking face' },
  { beginning: '<3', by: 'chats', meaning: 'a heart' },
  { beginning: '*', by: 'editors', meaning: 'emphasis or a list' },
  { beginning: '**', by: 'editors', meaning: 'strong emphasis' },
  { beginning: '_', by: 'chats', meaning: 'emphasis' },
  { beginning: '__', by: 'editors', meaning: 'strong emphasis' },
  { beginning: '~', by: 'chats', meaning: 'struck out' },
  { beginning: '~~', by: 'editors', meaning: 'struck out' },
  { beginning: '`', by: 'editors', meaning: 'code' },
  { beginning: '```', by: 'editors', meaning: 'a block of code' },
  { beginning: '>', by: 'editors', meaning: 'a quotation' },
  { beginning: '>', by: 'mail', meaning: 'a quoted line' },
  { beginning: '- ', by: 'editors', meaning: 'a list' },
  { beginning: '+ ', by: 'editors', meaning: 'a list' },
  { beginning: '1. ', by: 'editors', meaning: 'a numbered list' },
  { beginning: '---', by: 'editors', meaning: 'a line across the page' },
  { beginning: '===', by: 'editors', meaning: 'a heading above' },
  { beginning: '[', by: 'editors', meaning: 'a link' },
  { beginning: '[[', by: 'editors', meaning: 'a link to a page' },
  { beginning: '![', by: 'editors', meaning: 'a picture' },
  { beginning: '{{', by: 'editors', meaning: 'a template' },
  { beginning: '$', by: 'editors', meaning: 'a formula' },
  { beginning: '\\', by: 'editors', meaning: 'the next character as it is' },
  { beginning: '||', by: 'chats', meaning: 'hidden until tapped' },
  { beginning: '+', by: 'mail', meaning: 'a person to add' },
  { beginning: '=', by: 'spreadsheets', meaning: 'a formula' },
  { beginning: '+', by: 'spreadsheets', meaning: 'a formula' },
  { beginning: '-', by: 'spreadsheets', meaning: 'a formula' },
  { beginning: '@', by: 'spreadsheets', meaning: 'a function' },
  { beginning: "'", by: 'spreadsheets', meaning: 'text as it is' },
  { beginning: '!', by: 'command lines', meaning: 'an earlier command' },
  { beginning: '!', by: 'chats', meaning: 'a helper program' },
  { beginning: '$', by: 'command lines', meaning: 'a variable' },
  { beginning: '~', by: 'command lines', meaning: 'the home folder' },
  { beginning: '-', by: 'command lines', meaning: 'an option' },
  { beginning: '--', by: 'command lines', meaning: 'an option' },
  { beginning: '|', by: 'command lines', meaning: 'a pipe' },
  { beginning: '&', by: 'code', meaning: 'a named sign in web pages' },
  { beginning: '<', by: 'code', meaning: 'a tag of a web page' },
  { beginning: '//', by: 'code', meaning: 'a remark' },
  { beginning: '/*', by: 'code', meaning: 'a remark' },
  { beginning: '#!', by: 'code', meaning: 'the program that runs a script' },
  { beginning: '..', by: 'keyboards', meaning: 'a full stop after two spaces, or an ellipsis' },
] as const;

const BY_FIRST = new Map<string, Claim[]>();
for (const claim of CLAIMS) {
  const first = claim.beginning[0]!;
  BY_FIRST.set(first, [...(BY_FIRST.get(first) ?? []), claim]);
}

/** What a code begins with that others take for themselves; a claim's space counts. */
export function claimsOn(code: string): readonly Claim[] {
  return BY_FIRST.get(code[0]!)?.filter(({ beginning }) => code.startsWith(beginning)) ?? [];
}
