import type { PlannedRow } from './plan';

/** What a person decides of a row: it stays out, it comes in as it is, under another code, or in place of what the list has. */
export type ImportChoice =
  { readonly do: 'leave' | 'take' | 'replace' } | { readonly do: 'recode'; readonly code: string };

/**
 * What is done with a row unless a person says otherwise: what is new comes in; no code is taken from another, and what a
 * person has written stays, be it a code or a text. What is filed otherwise, in another set or of another kind, follows the file.
 */
export function usualChoice(row: PlannedRow): ImportChoice {
  if (row.status === 'new') return { do: 'take' };
  const isFiledOtherwise =
    row.status === 'changed' && !row.differs.includes('code') && !row.differs.includes('content');
  return { do: isFiledOtherwise ? 'take' : 'leave' };
}
