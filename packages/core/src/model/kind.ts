import { isItself } from './code';
import { countClusters } from './text';

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

const LINK = /^(https?:\/\/|www\.)\S+$/iu;
const MAIL = /^[^\s@]+@[^\s@]+\.[^\s@]+$/u;
const PHONE = /^\+?[\d\s().-]{7,20}$/u;
const TAGS = /^(#[\p{L}\p{N}_]+\s*)+$/u;
const NO_WORD = /^[^\p{L}\p{Nd}]+$/u;
const CODE_BLOCK = /^```|^\s*(const|function|def|SELECT|<[a-z]+[ >])/u;

/**
 * The kind an expansion most likely is, from its shape and its code. A first guess that a person sees
 * and can change; an expansion without a tell-tale shape is a message.
 */
export function guessKind(expansion: string, code = ''): Kind {
  const text = expansion.trim();
  if (text === '') return 'message';
  if (isItself(code, text)) return 'correction';
  if (LINK.test(text)) return 'link';
  if (MAIL.test(text) || (PHONE.test(text) && /\d{3}/u.test(text))) return 'contact';
  if (TAGS.test(text)) return 'tags';
  if (CODE_BLOCK.test(text)) return 'code block';
  if (countClusters(text) <= 3 && NO_WORD.test(text)) return 'symbol';
  return 'message';
}
