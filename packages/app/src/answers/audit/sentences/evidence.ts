import { i18n, type MessageDescriptor } from '@lingui/core';
import { msg, t } from '@lingui/core/macro';
import type { FindingType, Slip } from '@yellow-latch/core/clash/finding';
import type { Explanation } from '@yellow-latch/core/fire';

/** What the engine did at one key, in a few words. */
export function tellTraceLine(
  { rule, typed, became = '' }: Explanation,
  codeOf: (id: string) => string,
  id: string | undefined,
): string {
  const code = typed ?? (id === undefined ? '' : codeOf(id));
  switch (rule) {
    case 'fired-by-delimiter':
      return t`“${code}” expands after the space or punctuation`;
    case 'fired-by-instant':
      return t`“${code}” expands right away`;
    case 'fired-by-waiting':
      return t`“${code}” expands: no longer code can follow`;
    case 'fired-by-rescan':
      return t`“${code}” expands inside the text that just appeared`;
    case 'fired-by-offer':
      return t`“${code}” is chosen from the suggestions`;
    case 'fired-by-filled':
      return t`“${code}” expands with its blanks filled in`;
    case 'asked':
      return t`“${code}” asks for its blanks`;
    case 'taken-back':
      return t`“${code}” is back as you typed it`;
    case 'waits':
      return t`“${code}” waits: a longer code could follow`;
    case 'kept':
      return t`“${code}” is suggested and turned down`;
    case 'quiet':
      return t`“${code}” stays: it was pasted or undone`;
    case 'no-edge':
      return t`“${code}” is in the middle of a word`;
    case 'other-capitals':
      return t`“${code}” has different capitals`;
    case 'offer-only':
      return t`“${code}” is only suggested`;
    case 'corrected':
      return t`the keyboard changed “${code}” to “${became}”`;
    case 'device-capital':
      return t`the device makes it a capital`;
    case 'device-quote':
      return t`the device curls the quote`;
    case 'device-dash':
      return t`the device makes one long dash`;
    case 'device-dots':
      return t`the device turns the dots into one character`;
    case 'device-stop':
      return t`the device turns two spaces into a full stop`;
  }
}

export const SLIPS: Record<Slip, MessageDescriptor> = {
  'neighbouring key': msg`you hit the key next to it`,
  swapped: msg`two letters swapped`,
  doubled: msg`a letter too many or too few`,
};

/** What somebody may want to say who ignores a finding; their own words do as well. */
export function reasonsFor(type: FindingType): readonly string[] {
  switch (type) {
    case 'word':
    case 'beginning of words':
    case 'inside words':
    case 'context':
      return [t`I never write that`, t`I can live with it`, t`I only use it where it doesn’t expand`];
    case 'faulty expansion':
      return [t`I meant it that way`, t`It’s not a typo`];
    case 'secret':
      return [t`It’s not secret`, t`It’s only a test value`];
    default:
      return [t`I can live with it`, t`I want it that way`, t`I don’t use it there`];
  }
}

/** What kinds of text codes are tried in, by the names they have in the corpus. */
const CONTEXTS: Readonly<Record<string, MessageDescriptor>> = {
  'links (RFC 3986)': msg`Links`,
  'links of every day': msg`Everyday links`,
  'mail addresses': msg`Email addresses`,
  handles: msg`Names with @`,
  tags: msg`Tags`,
  prices: msg`Prices`,
  'times and dates': msg`Times and dates`,
  'file names': msg`File names`,
  code: msg`Code`,
  'TypeScript of this project': msg`Code`,
  'telephone numbers': msg`Phone numbers`,
  'measures and music': msg`Measures and music`,
  'addresses and places': msg`Addresses and places`,
  'messages in a hurry': msg`Quick messages`,
};

export function contextName(name: string): string {
  const known = CONTEXTS[name];
  return known ? i18n._(known) : name;
}
