import type { Href } from 'expo-router';

/** The address of what was found about a shortcut. `isGuided`: each part of the page says what it is there for. */
export function pathOfChecked(id: string, isGuided = false): Href {
  return { pathname: '/check/[id]', params: { id, ...(isGuided ? { guide: '1' } : {}) } };
}
