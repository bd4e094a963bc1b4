import type { Finding, FindingType } from '@yellow-latch/core/clash/finding';
import type { Href } from 'expo-router';

/** The address of a finding: the shortcut it is about, and its type. */
export function pathOf({ shortcuts, type }: Pick<Finding, 'shortcuts' | 'type'>, isGuided = false): Href {
  const params = { id: shortcuts[0]!, type: type.replaceAll(' ', '_'), ...(isGuided ? { guide: '1' } : {}) };
  return { pathname: '/check/[id]/[type]', params };
}

/** The type that an address names; one that is not known finds nothing. */
export function typeInPath(type: string): FindingType {
  return type.replaceAll('_', ' ') as FindingType;
}
