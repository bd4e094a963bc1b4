import { i18n, type MessageDescriptor } from '@lingui/core';
import { msg, plural, t } from '@lingui/core/macro';
import type { Finding, FindingType, Severity } from '@yellow-latch/core/clash/finding';

import { tellCount } from '@/wording/format';

import { tellClaim } from './claims';
import { deviceLabels, deviceNames } from './places';
import { tellMisfires } from './words';

/** What a finding says at a glance. `codeOf` gives the code of a shortcut by its id. */
export function tellFinding(finding: Finding, code: string, codeOf: (id: string) => string): string {
  const other = finding.shortcuts[1] === undefined ? '' : codeOf(finding.shortcuts[1]);
  // Where it does not hold everywhere.
  const devices = finding.devices.length === 0 ? null : deviceNames(finding.devices);
  switch (finding.type) {
    case 'same code':
      return devices
        ? t`Another shortcut already uses “${code}”, so this one never expands on ${devices}.`
        : t`Another shortcut already uses “${code}”, so this one never expands.`;
    case 'look-alike':
      return t`“${code}” looks just like “${other}”.`;
    case 'unreachable':
      return tellCutShort(code, other, finding.evidence.firesAtStart, devices);
    case 'broken inside':
      return tellBroken(code, other, finding.evidence.firesAtStart, devices);
    case 'delayed':
      return t`“${other}” starts the same way, so this one waits for your next key. At the very end of a message, it doesn’t expand.`;
    case 'hides': {
      const where = devices ?? '';
      const more = finding.count - 1;
      return more > 0
        ? t`On ${where}, “${code}” expands before you can finish “${other}” or ${plural(more, { one: '# other code', other: '# other codes' })}.`
        : t`On ${where}, “${code}” expands before you can finish “${other}”.`;
    }
    case 'word':
      return tellWord(code, finding.evidence);
    case 'beginning of words': {
      const often = tellMisfires(finding.evidence);
      return t`Some words start with “${code}”. It would expand by mistake ${often}.`;
    }
    case 'inside words': {
      const often = tellMisfires(finding.evidence);
      return devices
        ? t`“${code}” appears inside words. On ${devices} it would expand by mistake ${often}.`
        : t`“${code}” appears inside words. It would expand by mistake ${often}.`;
    }
    case 'context': {
      const { per100 } = finding.evidence;
      const count = tellCount(Math.round(per100));
      return per100 < 1
        ? t`“${code}” would expand in fewer than 1 in 100 links, addresses and prices.`
        : t`“${code}” would expand in ${count} in 100 links, addresses and prices.`;
    }
    case 'own expansion':
      return t`“${code}” would expand if you typed out the text of “${other}”.`;
    case 'loop':
      return devices
        ? t`Its text ends in a code that leads back to “${code}”. On ${devices} it would go on forever.`
        : t`Its text ends in a code that leads back to “${code}”. It would go on forever.`;
    case 'claimed': {
      // Of the longest beginning the claim that most people meet, which the table has first.
      const { claims } = finding.evidence;
      const longest = Math.max(...claims.map(({ beginning }) => beginning.length));
      return tellClaim(claims.find((claim) => claim.beginning.length === longest)!);
    }
    case 'device trap':
      return tellTrap(finding.evidence.traps[0]!.trap, finding.devices);
    case 'near miss':
      return t`One slip of the finger turns it into “${other}”.`;
    case 'faulty expansion': {
      const [fault] = finding.evidence.faults;
      return tellFault(fault!);
    }
    case 'secret': {
      const what = i18n._(SECRETS[finding.evidence.secrets[0]!.kind]);
      return t`Its text looks like ${what}, and all your devices show it.`;
    }
  }
}

/** Whether a code is written as a word is, and not with marks or figures. */
export function isWord(code: string): boolean {
  return /^[\p{L}\p{M}'’-]*\p{L}$/u.test(code);
}

function tellWord(code: string, evidence: Extract<Finding, { type: 'word' }>['evidence']): string {
  if (evidence.isAssumed)
    return t`“${code}” is a common abbreviation. It would expand every time you mean the abbreviation.`;
  const often = tellMisfires(evidence);
  if (!isWord(code)) return t`“${code}” comes up in ordinary text. It would expand by mistake ${often}.`;
  return evidence.perTenThousand >= 1
    ? t`“${code}” is an everyday word. It would expand by mistake ${often}.`
    : t`“${code}” is a word. It would expand by mistake ${often}.`;
}

function tellCutShort(code: string, other: string, isInside: boolean, devices: string | null): string {
  if (isInside)
    return devices
      ? t`In the middle of a sentence, “${other}” expands first on ${devices}. “${code}” never does.`
      : t`In the middle of a sentence, “${other}” expands first. “${code}” never does.`;
  return devices
    ? t`At the start of a word, “${other}” expands first on ${devices}. “${code}” never does.`
    : t`At the start of a word, “${other}” expands first. “${code}” never does.`;
}

function tellBroken(code: string, other: string, isInside: boolean, devices: string | null): string {
  if (isInside)
    return devices
      ? t`In the middle of a sentence, “${other}” expands inside it on ${devices}. “${code}” never does.`
      : t`In the middle of a sentence, “${other}” expands inside it. “${code}” never does.`;
  return devices
    ? t`At the start of a word, “${other}” expands inside it on ${devices}. “${code}” never does.`
    : t`At the start of a word, “${other}” expands inside it. “${code}” never does.`;
}

type Trap = Extract<Finding, { type: 'device trap' }>['evidence']['traps'][number]['trap'];

/** What devices do to a code. */
export function tellTrap(trap: Trap, devices: readonly string[]): string {
  const where = deviceLabels(devices);
  const what = i18n._(TRAPS[trap]);
  return t`${where}: ${what}`;
}

const TRAPS: Record<Trap, MessageDescriptor> = {
  'sentence capital': msg`the capital at the start of a sentence keeps it from expanding.`,
  'smart quotes': msg`its quotes get curled before you finish it.`,
  'smart dashes': msg`its dashes get joined before you finish it.`,
  'smart dots': msg`its dots become one character before you finish it.`,
  'double space': msg`its two spaces become a full stop.`,
  'space in code': msg`codes can’t have a space there.`,
  'built-in entry': msg`this code is already in use there.`,
  'language of the entry': msg`it’s for a language you don’t type there.`,
  'no delimiter': msg`spaces and punctuation don’t make codes expand there.`,
  'emoji in code': msg`its emoji is hard to type. Use letters and punctuation.`,
};

type Fault = Extract<Finding, { type: 'faulty expansion' }>['evidence']['faults'][number];

/** What is wrong with a text, and what it should be where that is known. */
export function tellFault({ fault, better }: Pick<Fault, 'fault' | 'better'>): string {
  const what = i18n._(FAULTS[fault]);
  return better === undefined || better.trim() === '' ? what : t`${what} Did you mean “${better}”?`;
}

const FAULTS: Record<Fault['fault'], MessageDescriptor> = {
  'blank at the end': msg`The text ends in a space.`,
  'double space': msg`The text has two spaces in a row.`,
  'link that does not parse': msg`The link doesn’t work.`,
  'unbalanced bracket': msg`The text has a bracket without its other half.`,
  'likely misspelling': msg`This could be a typo.`,
  'same expansion': msg`Another code gives the same text.`,
};

/** As they stand in a sentence. */
export const SECRETS: Record<
  Extract<Finding, { type: 'secret' }>['evidence']['secrets'][number]['kind'],
  MessageDescriptor
> = {
  card: msg`a card number`,
  account: msg`an account number`,
  'private-key': msg`a private key`,
  token: msg`an access token`,
  password: msg`a password`,
};

/** One word for how bad it is, beside the glyph. */
export const SEVERITY_WORDS: Record<Severity | 'safe', MessageDescriptor> = {
  safe: msg`Safe`,
  note: msg`Safe, with a note`,
  risky: msg`Risky`,
  breaks: msg`Needs fixing`,
};

/** What findings of a type are gathered under. */
export const GROUP_TITLES: Record<FindingType, MessageDescriptor> = {
  'same code': msg`Same code twice`,
  'look-alike': msg`Look-alikes`,
  unreachable: msg`Another code expands first`,
  'broken inside': msg`Another code inside`,
  delayed: msg`Waits for the next key`,
  hides: msg`Gets in the way of other codes`,
  word: msg`Everyday words`,
  'beginning of words': msg`Starts of words`,
  'inside words': msg`Inside words`,
  context: msg`In links and prices`,
  'own expansion': msg`Inside your other texts`,
  loop: msg`Endless loops`,
  claimed: msg`Already used by apps`,
  'device trap': msg`Changed by a device`,
  'near miss': msg`One slip apart`,
  'faulty expansion': msg`Look at the text`,
  secret: msg`Better kept private`,
};
