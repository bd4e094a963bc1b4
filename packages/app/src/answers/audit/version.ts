import type { ListView } from '@yellow-latch/replica/storage/view';

/** What of a list an audit looks at. */
export type AuditedList = Pick<ListView, 'shortcuts' | 'sets' | 'languages' | 'profiles'>;

/** Raised when what an audit says of one and the same list changes. */
const RULES = 4;

/**
 * A name for what an audit depends on: the list, the languages, the places. 53 bits of two FNV-like
 * hashes; linear in the length of the list's texts.
 */
export function versionOf({ shortcuts, languages, profiles }: AuditedList): string {
  let a = 0x811c9dc5;
  let b = 0x9e3779b9;
  const take = (text: string) => {
    for (let i = 0; i < text.length; i += 1) {
      const unit = text.charCodeAt(i);
      a = Math.imul(a ^ unit, 0x01000193);
      b = Math.imul(b ^ unit, 0x85ebca6b) + a;
    }
    // An end, so that what follows does not run on.
    a = Math.imul(a ^ 0xffff, 0x01000193);
  };
  take([RULES, ...languages, ...profiles].join(' '));
  for (const { id, code, content, kind, setId, rules, language, private: isPrivate } of shortcuts) {
    take(id);
    take(code);
    take(content.expansion);
    take(
      `${content.template} ${content.format} ${kind} ${setId} ${language} ${isPrivate} ${Object.entries(rules).flat().join(' ')}`,
    );
  }
  return `${(a >>> 0).toString(16)}-${(b >>> 0).toString(16)}-${shortcuts.length}`;
}
