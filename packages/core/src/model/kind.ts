/** What a shortcut is for. Markers, edges and proposals go by kind. */
export const KINDS = [
  'message',
  'address',
  'contact',
  'link',
  'symbol',
  'tags',
  'code block',
  'correction',
  'date',
] as const;

export type Kind = (typeof KINDS)[number];
