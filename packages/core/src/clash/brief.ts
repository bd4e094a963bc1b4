import { matchKey } from '../model';
import type { Audit } from './audit';
import type { Finding } from './finding';

/**
 * A finding as a list of many shows it: enough for its sentence, without its examples. `about`: of what
 * it is told; a finding that was left comes back when that changes.
 */
export type Brief = Finding & { readonly about: string };

/** At most this many of the shortcuts concerned are named in a brief, and in what it is about. */
const NAMED = 3;
const LONGEST_ABOUT = 500;

export function briefOf(finding: Finding, audit: Audit): Brief {
  return { ...without(finding), shortcuts: finding.shortcuts.slice(0, NAMED), about: aboutOf(finding, audit) };
}

function without(finding: Finding): Finding {
  switch (finding.type) {
    case 'unreachable':
    case 'broken inside':
      return { ...finding, evidence: { ...finding.evidence, trace: [] } };
    case 'word':
    case 'beginning of words':
    case 'inside words':
      return { ...finding, evidence: { ...finding.evidence, examples: [] } };
    case 'context':
      return { ...finding, evidence: { ...finding.evidence, examples: [] } };
    case 'own expansion':
      return { ...finding, evidence: { examples: [] } };
    case 'device trap':
      return { ...finding, evidence: { traps: finding.evidence.traps.slice(0, 1) } };
    case 'near miss':
      return { ...finding, evidence: { slips: finding.evidence.slips.slice(0, 1) } };
    case 'faulty expansion':
      return { ...finding, evidence: { faults: finding.evidence.faults.slice(0, 1) } };
    case 'secret':
      return { ...finding, evidence: { secrets: finding.evidence.secrets.slice(0, 1) } };
    default:
      return finding;
  }
}

/** How bad it is, and the codes it concerns, or the text where that is what is wrong. */
function aboutOf({ type, severity, shortcuts }: Finding, audit: Audit): string {
  const [id] = shortcuts;
  const isText = type === 'faulty expansion' || type === 'secret';
  const of = isText
    ? [fingerprint(audit.shortcutOf(id!)?.content.expansion ?? '')]
    : shortcuts.slice(0, NAMED).map((one) => matchKey(audit.shortcutOf(one)?.code ?? ''));
  return [severity, ...of].join(' ').slice(0, LONGEST_ABOUT);
}

/** FNV-1a (Fowler, Noll, Vo; draft-eastlake-fnv), 32 bits over UTF-16 units: tells texts apart, hides nothing. */
export function fingerprint(text: string): string {
  let hash = 0x811c9dc5;
  for (let i = 0; i < text.length; i += 1) hash = Math.imul(hash ^ text.charCodeAt(i), 0x01000193);
  return (hash >>> 0).toString(16).padStart(8, '0');
}
