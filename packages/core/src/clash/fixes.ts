import { isSameMark, partsOf } from '../convention/mark';
import { RECALL, type InUse } from '../effort';
import type { AskedRules, Mark } from '../model';
import { costOfCode, mainMark, nearCodes, proposeCodes, USUAL, type NearCode, type Proposal } from '../propose';
import type { Audit, AuditChange, Comparison } from './audit';
import {
  asksForAnotherCode,
  compareSeverity,
  isOfPair,
  type Fault,
  type Finding,
  type FindingType,
  type Severity,
} from './finding';
import type { AuditedShortcut } from './item';

/** Something that may be done about a finding. Data first; the screen says it and does it. */
export type Fix =
  | {
      readonly type: 'other code';
      readonly id: string;
      readonly code: string;
      readonly how: NearCode['how'] | Proposal['how'];
    }
  | {
      readonly type: 'other rules';
      readonly id: string;
      readonly rules: AskedRules;
      readonly asks: 'offer' | 'edge' | 'capitals';
    }
  | { readonly type: 'correct text'; readonly id: string; readonly expansion: string }
  /** One stays, the others go. */
  | { readonly type: 'merge'; readonly keep: string; readonly drop: readonly string[] }
  | { readonly type: 'make private'; readonly id: string };

/**
 * A fix that was tried: what it would come to, and whether what it is for would be gone or only milder.
 * `left`: what would still be found of it, in the order in which it is told.
 */
export interface TriedFix {
  readonly fix: Fix;
  readonly cures: 'wholly' | 'partly';
  readonly left: readonly Finding[];
  readonly comparison: Comparison;
}

/** What other codes are made and ranked with: their mark, without it that of most of the list; and the keyboards in use. */
export interface FixBy {
  readonly mark?: Mark;
  readonly inUse?: readonly InUse[];
}

/** At most so many other codes are proposed for one shortcut. */
const MOST_CODES = 3;
/** Groups of twins are merged as long as they are so few. */
const MOST_MERGED = 8;

/** Findings that would not come up if the code had to stand at an edge, or were only offered. */
const BY_RULES: ReadonlySet<FindingType> = new Set<FindingType>([
  'word',
  'beginning of words',
  'inside words',
  'context',
  'own expansion',
]);

/** What becomes of a list if a fix is applied. */
export function changeOf(fix: Fix, shortcutOf: (id: string) => AuditedShortcut | undefined): AuditChange {
  if (fix.type === 'merge') return { remove: fix.drop };
  const shortcut = shortcutOf(fix.id);
  if (!shortcut) return {};
  switch (fix.type) {
    case 'other code':
      return { put: [{ ...shortcut, code: fix.code }] };
    case 'other rules':
      return { put: [{ ...shortcut, rules: { ...shortcut.rules, ...fix.rules } }] };
    case 'correct text':
      return { put: [{ ...shortcut, content: { ...shortcut.content, expansion: fix.expansion } }] };
    case 'make private':
      return { put: [{ ...shortcut, private: true }] };
  }
}

/**
 * The fixes of what was found about one shortcut, best first: every one was tried on the audit, and only those
 * are given that cure some of it or make it milder, and make none of it worse. What else each would bring is in
 * its comparison. The audit stays as it is. `findings`: all about the same shortcut, which comes first in each. Other codes
 * are those near its own and those that are proposed for its text, cheapest to use first. Cost: an edit and its undoing for
 * each candidate, some twenty for each finding at most; a candidate of several findings is tried once.
 */
export function fixesFor(audit: Audit, findings: readonly Finding[], by: FixBy = {}): TriedFix[] {
  const id = findings[0]?.shortcuts[0];
  const shortcut = id === undefined ? undefined : audit.shortcutOf(id);
  if (!shortcut) return [];
  const trial = new Trial(audit, shortcut.id, findings);
  for (const finding of findings) {
    const other = isOfPair(finding) ? finding.shortcuts[1] : undefined;
    if (!isAboutText(finding)) for (const one of [shortcut.id, other]) if (one) trial.otherCodes(one, finding, by);
    for (const fix of otherFixes(finding, shortcut, other)) trial.take(fix);
  }
  return trial.fixes.sort(byCure);
}

/** What may be done about a finding besides another code. `other`: a shortcut that may give way as well. */
function otherFixes(finding: Finding, shortcut: AuditedShortcut, other: string | undefined): Fix[] {
  const { id } = shortcut;
  return [
    ...texts(finding, shortcut),
    ...(finding.type === 'secret' ? [{ type: 'make private', id } as const] : []),
    ...merges(finding),
    ...(BY_RULES.has(finding.type) ? byRules(id, shortcut) : []),
    ...(finding.type === 'device trap' ? [rulesOf(id, 'capitals')] : []),
    ...(other === undefined ? [] : [rulesOf(other, 'edge')]),
  ];
}

function isAboutText({ type }: Finding): boolean {
  return type === 'faulty expansion' || type === 'secret';
}

/** What cures most goes first; of equal ones that which brings nothing worse than a note. */
function byCure(a: TriedFix, b: TriedFix): number {
  return compareLeft(a.left, b.left) || Number(bringsRisk(a)) - Number(bringsRisk(b));
}

/** Fewer that break first, then fewer that are risky, then fewer. */
function compareLeft(a: readonly Finding[], b: readonly Finding[]): number {
  const count = (findings: readonly Finding[], of: Severity) =>
    findings.filter(({ severity }) => severity === of).length;
  return count(a, 'breaks') - count(b, 'breaks') || count(a, 'risky') - count(b, 'risky') || a.length - b.length;
}

/** The fix to offer without a closer look: the best one, if it brings nothing worse than a note. Null: there is none. Cost: as `fixesFor`. */
export function safeFix(audit: Audit, findings: readonly Finding[], by: FixBy = {}): Fix | null {
  const [best] = fixesFor(audit, findings, by);
  return best && !bringsRisk(best) && compareLeft(best.left, findings) < 0 ? best.fix : null;
}

/** Whether a fix brings something that is more than a note. */
function bringsRisk({ comparison }: Pick<TriedFix, 'comparison'>): boolean {
  return comparison.came.some(({ severity }) => severity !== 'note');
}

/** The fixes tried for what was found about one shortcut: each once. */
class Trial {
  readonly fixes: TriedFix[] = [];
  private readonly tried = new Map<string, TriedFix | null>();
  /** Shortcuts for which codes were looked for. */
  private readonly moved = new Set<string>();

  constructor(
    private readonly audit: Audit,
    private readonly id: string,
    private readonly findings: readonly Finding[],
  ) {}

  /** Tries a fix and keeps it if it helps. */
  take(fix: Fix): void {
    const tried = this.try(fix);
    if (tried) this.keep(tried);
  }

  /** Codes near that of a shortcut with which a finding is gone and nothing asks again for another. */
  otherCodes(id: string, finding: Finding, by: FixBy): void {
    const shortcut = this.audit.shortcutOf(id);
    if (!shortcut || this.moved.has(id)) return;
    this.moved.add(id);
    // Its own code is to be right in every way; that of another has but to give way.
    const isCured = ({ left }: TriedFix) =>
      id === this.id ? left.every(isAboutText) : left.every(({ type }) => type !== finding.type);
    let free = 0;
    for (const near of otherCodes(this.audit, shortcut, by)) {
      const tried = this.try({ type: 'other code', id, ...near });
      if (!tried || !isCured(tried)) continue;
      if (tried.comparison.came.some((one) => one.shortcuts[0] === id && asksForAnotherCode(one))) continue;
      this.keep(tried);
      free += 1;
      if (free === MOST_CODES) break;
    }
  }

  private keep(tried: TriedFix): void {
    if (!this.fixes.includes(tried)) this.fixes.push(tried);
  }

  /** A fix with what it comes to; null if it does not help, or makes something of it worse. */
  private try(fix: Fix): TriedFix | null {
    const name = JSON.stringify(fix);
    let tried = this.tried.get(name);
    if (tried === undefined) {
      tried = this.tryAnew(fix);
      this.tried.set(name, tried);
    }
    return tried;
  }

  private tryAnew(fix: Fix): TriedFix | null {
    const { comparison, findings: after } = this.audit.tryChange(
      changeOf(fix, (one) => this.audit.shortcutOf(one)),
      this.id,
    );
    const left: Finding[] = [];
    let doesHelp = false;
    for (const before of this.findings) {
      const still = after.find(({ type }) => type === before.type);
      if (still) left.push(still);
      if (!still || isMilder(still, before)) doesHelp = true;
      else if (compareSeverity(still.severity, before.severity) > 0) return null;
    }
    return doesHelp ? { fix, cures: left.length === 0 ? 'wholly' : 'partly', left, comparison } : null;
  }
}

/** A mnemonic that its owner does not know yet, or another marker than the rest have, is known by heart at first, in seconds. */
const TO_LEARN = RECALL.arbitrary - RECALL.word;
/** So many of what is proposed for a text are tried beside what is near its code. */
const MOST_PROPOSED = 6;

/** Codes near that of a shortcut, and others for its text: cheapest to use first, of which each is said how it was made. */
function otherCodes(audit: Audit, { id, code, kind }: AuditedShortcut, { mark, inUse = [] }: FixBy) {
  const { entries, codes } = audit;
  const own = entries.find((entry) => entry.id === id)!;
  const others = entries.filter((entry) => entry !== own).map((entry) => entry.code);
  const under = mark ?? mainMark(others) ?? USUAL;
  const near = nearCodes(code, own.expansion, others, kind, under).flatMap(({ code: other, how }) => {
    const cost = costOfCode(other, own, inUse);
    if (cost === 'nowhere') return [];
    // It is known already but for its marker.
    const isKnown = how === 'marked' || how === 'joined';
    if (cost.seconds === null) return [{ code: other, how, seconds: 0 }];
    const parts = partsOf(other);
    const isOff = parts !== null && !isSameMark(parts.mark, under);
    const seconds = isKnown ? cost.known + RECALL.word : cost.seconds + TO_LEARN;
    return [{ code: other, how, seconds: seconds + (isOff ? TO_LEARN : 0) }];
  });
  const proposed = proposeCodes({ entry: own, kind, mark: under, inUse, codes })
    .slice(0, MOST_PROPOSED)
    .filter((one) => near.every((other) => other.code !== one.code))
    .map(({ code: other, how, seconds }) => ({ code: other, how, seconds: (seconds ?? 0) + TO_LEARN }));
  const all = [...near, ...proposed];
  if (inUse.length > 0) all.sort((a, b) => a.seconds - b.seconds);
  return all.map(({ code: other, how }) => ({ code: other, how }));
}

function byRules(id: string, { kind }: AuditedShortcut): Fix[] {
  // A symbol is meant to stand anywhere; it is asked last.
  const edge = rulesOf(id, 'edge');
  const offer = rulesOf(id, 'offer');
  return kind === 'symbol' ? [offer, edge] : [edge, offer];
}

function rulesOf(id: string, asks: 'offer' | 'edge' | 'capitals'): Fix {
  const rules = { offer: { fires: 'offer' }, edge: { edge: 'word' }, capitals: { capitals: 'ignore' } } as const;
  return { type: 'other rules', id, rules: rules[asks], asks };
}

/** One of several with the same code, or with the same text, may stay alone. */
function merges({ type, shortcuts, evidence, count }: Finding): Fix[] {
  const isShared =
    type === 'same code' ||
    (type === 'faulty expansion' && evidence.faults.some(({ fault }) => fault === 'same expansion'));
  if (!isShared || count >= MOST_MERGED || shortcuts.length < 2) return [];
  return shortcuts.slice(0, 2).map((keep) => ({ type: 'merge', keep, drop: shortcuts.filter((id) => id !== keep) }));
}

/** Everything in a text that has a better form, set right at once. */
function texts(finding: Finding, { id, content }: AuditedShortcut): Fix[] {
  // The text of a template is not what is written in it.
  if (finding.type !== 'faulty expansion' || content.template || content.format === 'markdown') return [];
  const better = finding.evidence.faults.filter(
    (fault): fault is Fault & { better: string } => fault.better !== undefined,
  );
  const expansion = [...better]
    .sort((a, b) => b.start - a.start)
    .reduce((text, { start, end, better: right }) => text.slice(0, start) + right + text.slice(end), content.expansion);
  return expansion === content.expansion || expansion === '' ? [] : [{ type: 'correct text', id, expansion }];
}

function isMilder(after: Finding, before: Finding): boolean {
  return (
    compareSeverity(after.severity, before.severity) < 0 ||
    after.devices.length < before.devices.length ||
    after.count < before.count
  );
}
