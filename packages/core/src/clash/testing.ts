/** For tests: a small language, lists made from a few words, and the devices to try them on. */
import type { AskedRules, RuledList } from '../fire';
import { DEVICE_PROFILES, type DeviceProfile } from '../profile';
import type { Kind } from '../model';
import { Audit, type AuditInput } from './audit';
import type { Finding, FindingType } from './finding';
import type { AuditedShortcut } from './item';
import type { Vocabulary } from './vocabulary';

/** A language of the words given, most frequent first, each half as frequent as the one before. */
export function vocabularyOf(words: readonly string[], language = 'en'): Vocabulary {
  return {
    language,
    words,
    perTenThousand: Float64Array.from(words, (_, i) => 100 / 2 ** i),
    isEstimate: false,
  };
}

export function shortcut(
  id: string,
  code: string,
  expansion = `expansion of ${id}`,
  more: { kind?: Kind; rules?: AskedRules } = {},
): AuditedShortcut {
  return { id, code, content: { expansion, template: false, format: 'plain' }, kind: 'message', setId: null, ...more };
}

export function listOf(shortcuts: readonly AuditedShortcut[], rules?: AskedRules): RuledList {
  return { sets: [], shortcuts, ...(rules ? { rules } : {}) };
}

export const NO_WORDS = vocabularyOf(['zzzzzz']);
export const PROFILES = Object.values(DEVICE_PROFILES) as readonly DeviceProfile[];

export function audit(shortcuts: readonly AuditedShortcut[], more: Partial<AuditInput> = {}): Audit {
  return Audit.run({
    list: listOf(shortcuts),
    profiles: [DEVICE_PROFILES['phone-list'], DEVICE_PROFILES.expander, DEVICE_PROFILES.app],
    languages: [{ vocabulary: NO_WORDS }],
    ...more,
  });
}

/** The finding of a type about a shortcut; undefined: none. */
export function find<Type extends FindingType>(
  of: Audit,
  id: string,
  type: Type,
): Extract<Finding, { type: Type }> | undefined {
  return of.findingsOf(id).find((finding) => finding.type === type) as Extract<Finding, { type: Type }> | undefined;
}
