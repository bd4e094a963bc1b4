import type { Finding, FindingType, Reach, Severity } from '@yellow-latch/core/clash/finding';

import { capitalise, deviceNames, tellMisfires } from './words';

/** What a finding says at a glance. `codeOf` gives the code of a shortcut by its id. */
export function tellFinding(finding: Finding, code: string, codeOf: (id: string) => string): string {
  const other = finding.shortcuts[1] === undefined ? '' : codeOf(finding.shortcuts[1]);
  switch (finding.type) {
    case 'same code':
      return `${code} is taken by another shortcut, which goes first${onDevices(finding)}.`;
    case 'look-alike':
      return `${code} looks like ${other}.`;
    case 'unreachable':
      return `${where(finding.evidence)} ${other} expands first${onDevices(finding)}, so ${code} does not.`;
    case 'broken inside':
      return `${where(finding.evidence)} ${other} expands inside it${onDevices(finding)}, so ${code} does not.`;
    case 'delayed':
      return `It is also the start of ${other}, so it waits for one more key. At the end of a message it does not expand.`;
    case 'hides':
      return `${capitalise(deviceNames(finding.devices))}: ${code} expands before you can finish ${other}${finding.count > 1 ? ` and ${finding.count - 1} more` : ''}.`;
    case 'word':
      if (finding.evidence.isAssumed)
        return `${code} is a common abbreviation. It would expand by mistake whenever you write it out.`;
      return `${/^[\p{L}\p{M}'’-]*\p{L}$/u.test(code) ? `${code} is a word` : `“${code}” comes up in ordinary text`}: ${tellMisfires(finding.evidence)}.`;
    case 'beginning of words':
      return `Words begin with ${code}: ${tellMisfires(finding.evidence)}.`;
    case 'inside words':
      return `Words hold ${code}: ${tellMisfires(finding.evidence)}${onDevices(finding)}.`;
    case 'context':
      return `${code} fires in ${tellPer100(finding.evidence.per100)} of 100 links, addresses, prices and the like.`;
    case 'own expansion':
      return `${code} would fire if the text of ${other} were typed out.`;
    case 'loop':
      return `Its text ends in a code that leads back to ${code}${onDevices(finding)}.`;
    case 'claimed': {
      // Of the longest beginning the claim that most people meet, which the table has first.
      const { claims } = finding.evidence;
      const longest = Math.max(...claims.map(({ beginning }) => beginning.length));
      const { beginning, by, meaning } = claims.find((claim) => claim.beginning.length === longest)!;
      return `${capitalise(by)} take ${beginning.trim()} for ${meaning}.`;
    }
    case 'device trap':
      return `${capitalise(deviceNames(finding.devices))}: ${TRAPS[finding.evidence.traps[0]!.trap]}.`;
    case 'near miss':
      return `One slip of the finger from ${other}.`;
    case 'faulty expansion': {
      const [fault] = finding.evidence.faults;
      return fault!.better ? `${FAULTS[fault!.fault]}: “${fault!.better}”?` : `${FAULTS[fault!.fault]}.`;
    }
    case 'secret':
      return `What it gives looks like ${SECRETS[finding.evidence.secrets[0]!.kind]}; every device shows it.`;
  }
}

function where({ firesAtStart }: Reach): string {
  return firesAtStart ? 'In the middle of a sentence' : 'At the start of a word';
}

function tellPer100(per100: number): string {
  return per100 < 1 ? 'fewer than 1' : String(Math.round(per100));
}

function onDevices({ devices }: Finding): string {
  return devices.length === 0 ? '' : ` on ${deviceNames(devices)}`;
}

export const TRAPS = {
  'sentence capital': 'a capital at the start of a sentence keeps it from firing',
  'smart quotes': 'its quotes are changed before it is complete',
  'smart dashes': 'its dashes are changed before it is complete',
  'smart dots': 'its dots are changed before it is complete',
  'double space': 'its two spaces become a full stop',
  'space in code': 'a code there cannot hold a space',
  'built-in entry': 'it brings an entry of its own with this code',
  'language of the entry': 'it belongs to a language that is not typed there',
  'no delimiter': 'nothing ends a code there',
} as const;

export const FAULTS = {
  'blank at the end': 'The text ends in a blank',
  'double space': 'The text has two spaces in a row',
  'link that does not parse': 'The link leads nowhere as it stands',
  'unbalanced bracket': 'A bracket in the text has no other half',
  'likely misspelling': 'Perhaps a slip in the text',
  'same expansion': 'Another code gives the same text',
} as const;

export const SECRETS = {
  card: 'a card number',
  account: 'an account number',
  'private-key': 'a private key',
  token: 'an access token',
  password: 'a password',
} as const;

/** One word for how bad it is, beside the glyph. */
export const SEVERITY_WORDS: Record<Severity | 'safe', string> = {
  safe: 'Safe',
  note: 'Safe, with a note',
  risky: 'Risky',
  breaks: 'Breaks',
};

/** What findings of a type are gathered under. */
export const GROUP_TITLES: Record<FindingType, string> = {
  'same code': 'One code for two',
  'look-alike': 'Look-alikes',
  unreachable: 'Cut short by another code',
  'broken inside': 'Another code inside',
  delayed: 'Waits for the next key',
  hides: 'Cuts other codes short',
  word: 'A word of the language',
  'beginning of words': 'The beginning of words',
  'inside words': 'Inside words',
  context: 'In links, prices and the like',
  'own expansion': 'In your own texts',
  loop: 'Round in a circle',
  claimed: 'Taken by programs',
  'device trap': 'Changed by a device',
  'near miss': 'One slip apart',
  'faulty expansion': 'Something in the text',
  secret: 'Better kept private',
};
