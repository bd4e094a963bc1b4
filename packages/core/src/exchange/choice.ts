import type { PlannedRow } from './plan';

/** What a person decides of a row: it stays out, it comes in as it is, under another code, or in place of what the list has. */
export type ImportChoice =
  { readonly do: 'leave' | 'take' | 'replace' } | { readonly do: 'recode'; readonly code: string };

/** What is done with a row unless a person says otherwise: what is new or changed comes in, and no code is taken from another. */
export function usualChoice(row: PlannedRow): ImportChoice {
  return { do: row.status === 'new' || row.status === 'changed' ? 'take' : 'leave' };
}
