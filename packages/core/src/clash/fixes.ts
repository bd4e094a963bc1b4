import type { AskedRules } from '../model';
import type { Mark } from '../model';
import { nearCodes, type NearCode } from '../propose';
import type { Audit, AuditChange, Comparison } from './audit';
import { asksForAnotherCode, compareSeverity, type Fault, type Finding, type FindingType } from './finding';
import type { AuditedShortcut } from './item';

/** Something that may be done about a finding. Data first; the screen says it and does it. */
export type Fix =
  | { readonly type: 'other code'; readonly id: string; readonly code: string; readonly how: NearCode['how'] }
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

/** A fix that was tried: what it would come to, and whether the finding would be gone or only milder. */
export interface TriedFix {
  readonly fix: Fix;
  readonly cures: 'wholly' | 'partly';
  readonly comparison: Comparison;
}

/** At most so many other codes are proposed for one shortcut. */
const MOST_CODES = 3;
/** Groups of twins are merged as long as they are so few. */
const MOST_MERGED = 8;

/** Findings of a pair, of which the other's code may give way as well. */
const OTHER_MAY_MOVE: ReadonlySet<FindingType> = new Set<FindingType>([
  'same code',
  'unreachable',
  'broken inside',
  'delayed',
  'hides',
  'look-alike',
  'near miss',
]);
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
 * The fixes of a finding, best first: every one was tried on the audit, and only those are given that
 * cure the finding or make it milder. What else each would bring is in its comparison. The audit stays
 * as it is. `mark`: that of other codes; without it the one that most of the list have. Cost: an edit and its undoing for each candidate, some twenty at most.
 */
export function fixesFor(audit: Audit, finding: Finding, mark?: Mark): TriedFix[] {
  const [id, other] = finding.shortcuts as [string, string?];
  const shortcut = audit.shortcutOf(id);
  if (!shortcut) return [];
  const mayOtherMove = OTHER_MAY_MOVE.has(finding.type) && other !== undefined;
  const tried = [
    ...texts(finding, shortcut),
    ...(finding.type === 'secret' ? [{ type: 'make private', id } as const] : []),
    ...merges(finding),
    ...(BY_RULES.has(finding.type) ? byRules(id, shortcut) : []),
    ...(finding.type === 'device trap' ? [rulesOf(id, 'capitals')] : []),
    ...(mayOtherMove ? [rulesOf(other, 'edge')] : []),
  ].flatMap((fix) => tryFix(audit, finding, fix) ?? []);
  const codes = isAboutText(finding)
    ? []
    : [id, ...(mayOtherMove ? [other] : [])].flatMap((one) => otherCodes(audit, finding, one, mark));
  return [...codes, ...tried].sort(byCure);
}

function isAboutText({ type }: Finding): boolean {
  return type === 'faulty expansion' || type === 'secret';
}

/** What cures wholly goes first, and of these what brings nothing worse than a note. */
function byCure(a: TriedFix, b: TriedFix): number {
  const rank = ({ cures, comparison }: TriedFix) =>
    (cures === 'wholly' ? 0 : 2) + (comparison.came.some(({ severity }) => severity !== 'note') ? 1 : 0);
  return rank(a) - rank(b);
}

/** Codes near that of a shortcut with which the finding is gone and nothing else asks for another. */
function otherCodes(audit: Audit, finding: Finding, id: string, mark?: Mark): TriedFix[] {
  const shortcut = audit.shortcutOf(id);
  if (!shortcut) return [];
  const { code, content, kind } = shortcut;
  const others = audit.entries.filter((entry) => entry.id !== id).map((entry) => entry.code);
  const free: TriedFix[] = [];
  for (const near of nearCodes(code, content.expansion, others, kind, mark)) {
    const tried = tryFix(audit, finding, { type: 'other code', id, ...near });
    const asksAgain = tried?.comparison.came.some((one) => one.shortcuts[0] === id && asksForAnotherCode(one));
    if (tried?.cures === 'wholly' && !asksAgain) free.push(tried);
    if (free.length === MOST_CODES) break;
  }
  return free;
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

/** A fix with what it comes to; null if it does not help. */
function tryFix(audit: Audit, finding: Finding, fix: Fix): TriedFix | null {
  const [id] = finding.shortcuts;
  const { comparison, findings } = audit.tryChange(
    changeOf(fix, (one) => audit.shortcutOf(one)),
    id!,
  );
  const after = findings.find(({ type }) => type === finding.type);
  if (after && !isMilder(after, finding)) return null;
  return { fix, cures: after ? 'partly' : 'wholly', comparison };
}

function isMilder(after: Finding, before: Finding): boolean {
  return (
    compareSeverity(after.severity, before.severity) < 0 ||
    after.devices.length < before.devices.length ||
    after.count < before.count
  );
}
