/** A list checked as the app checks it, told a line a finding. */
import { readFileSync } from 'node:fs';

import { Audit, briefOf, type AuditedShortcut, type Brief, type FindingType } from '@yellow-latch/core/clash';
import { asText } from '@yellow-latch/core/clash/asText';
import { countToFix, sortFindings } from '@yellow-latch/core/clash/sorted';
import { deviceInHand, placesOf, profilesOf } from '@yellow-latch/core/devices';
import type { DeviceKind } from '@yellow-latch/core/model';
import { profileOf } from '@yellow-latch/core/profile';
import { confusableSkeleton, parseLookAlikes, parseVocabulary } from '@yellow-latch/language';
import type { ListView } from '@yellow-latch/replica/storage/view';

import { languageFile } from '../device/languageFile';

/** Where and in which languages a list is used that says nothing of it: one in a file. */
export interface Asked {
  readonly kinds: readonly DeviceKind[];
  readonly languages: readonly string[];
}

export interface Checked {
  /** What needs fixing first. */
  readonly lines: readonly string[];
  /** How many shortcuts need fixing. */
  readonly toFix: number;
  readonly summary: string;
}

const SEVERITIES = { breaks: 'needs fixing', risky: 'risky', note: 'note' } as const;

/** What each type of problem says of the code that it is about, and of another. */
const SENTENCES: Readonly<Record<FindingType, (other: string) => string>> = {
  'same code': () => 'another shortcut has the same code and goes first',
  'look-alike': (other) => `looks just like ${other}`,
  unreachable: (other) => `${other} expands before you can finish it`,
  'broken inside': (other) => `${other} expands in the middle of it`,
  delayed: (other) => `waits for the next key, since ${other} begins the same way`,
  hides: (other) => `expands before you can finish ${other}`,
  word: () => 'is a word',
  'beginning of words': () => 'is how words begin',
  'inside words': () => 'stands inside words',
  context: () => 'stands in links, addresses or prices',
  'own expansion': (other) => `expands when the text of ${other} is typed out`,
  loop: () => 'its text leads back to it',
  claimed: () => 'is used by other programs',
  'device trap': () => 'does not expand everywhere: a keyboard changes it',
  'near miss': (other) => `one slip away from ${other}`,
  'faulty expansion': () => 'something looks wrong in its text',
  secret: () => 'its text looks like a secret',
};

/** Checks a list for where its owner types; `asked`: for these instead. */
export function checkList(list: ListView, asked?: Asked): Checked {
  const profiles = asked ? profilesFor(asked) : list.profiles;
  const languages = asked ? asked.languages : list.languages;
  const read = (name: string): unknown => JSON.parse(readFileSync(languageFile(name), 'utf8'));
  const lookAlikes = parseLookAlikes(read('look-alikes'));
  const byId = new Map<string, AuditedShortcut>(list.shortcuts.map((shortcut) => [shortcut.id, shortcut]));
  const now = Date.now();
  const steps = Audit.steps({
    list: { sets: list.sets, shortcuts: list.shortcuts.map((shortcut) => asText(shortcut, (id) => byId.get(id), now)) },
    profiles: profiles.map(profileOf),
    languages: languages.map((code) => ({ vocabulary: parseVocabulary(read(code)) })),
    skeletonOf: (key) => confusableSkeleton(key, lookAlikes),
    unchecked: [],
  });
  let step = steps.next();
  while (!step.done) step = steps.next();
  const audit = step.value;
  const sorted = sortFindings(
    audit.findings.map((finding) => briefOf(finding, audit)),
    list,
  );
  const codeOf = (id: string | undefined) => (id === undefined ? '' : (byId.get(id)?.code ?? ''));
  const toFix = countToFix(sorted);
  const count = list.shortcuts.length;
  return {
    lines: sorted.open.map((finding) => tellFinding(finding, codeOf)),
    toFix,
    summary: `${count} ${count === 1 ? 'shortcut' : 'shortcuts'} checked: ${toFix === 0 ? 'none needs fixing' : `${toFix} to fix`}, ${sorted.open.length} findings.`,
  };
}

function tellFinding(
  { severity, type, shortcuts, ...finding }: Brief,
  codeOf: (id: string | undefined) => string,
): string {
  const often =
    finding.evidence && typeof finding.evidence === 'object' && 'perTenThousand' in finding.evidence
      ? `: about ${Math.max(0.1, Math.round(Number(finding.evidence.perTenThousand) * 10) / 10)} times in 10,000 words`
      : '';
  return `${SEVERITIES[severity].padEnd(14)}${codeOf(shortcuts[0]).padEnd(12)} ${SENTENCES[type](codeOf(shortcuts[1]))}${often}`;
}

function profilesFor({ kinds, languages }: Asked): string[] {
  const devices = kinds.map((kind) => deviceInHand({ id: kind, name: kind, kind }));
  return profilesOf(placesOf(devices, languages));
}
