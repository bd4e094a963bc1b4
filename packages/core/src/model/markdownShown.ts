/** A link or a picture: its label, and the address it leads to. */
const LINK =
  /!?\[([^\]\n]{0,400})\]\(\s{0,9}<?((?:[^()\s<>]|\([^()\s]{0,400}\)){0,2000})>?(?:\s+(?:"[^"]*"|'[^']*'))?\s*\)/gu;
const STRONG = /(\*\*|__)(?=\S)([^\n]{0,400}?\S)\1/gu;
const EMPHASIS = /(?<![\p{L}\p{N}*_\\])([*_])(?=[^\s*_])([^*_\n]{0,400}?[^\s*_\\])\1(?![\p{L}\p{N}*_])/gu;
const CODE = /(`{1,9})([^`\n]{1,400})\1/gu;
const HEADING = /^ {0,3}#{1,6}[ \t]+/gmu;
const HARD_BREAK = /(?: {2,}|\\)(?=\n)/gu;
const ESCAPE = /\\([!-/:-@[-`{-~])/gu;

/**
 * CommonMark for a line of a list: emphasis, links and headings without their signs, the rest as it stands. A glance
 * rather than a reading: `markdownToPlain` in core/expansion reads it by the standard and costs a parser. What spans
 * more than a few lines of text keeps its signs, so that it is linear.
 */
export function markdownShown(source: string): string {
  return source
    .replace(LINK, (_, label: string, address: string) => label || address)
    .replace(STRONG, '$2')
    .replace(EMPHASIS, '$2')
    .replace(CODE, '$2')
    .replace(HEADING, '')
    .replace(HARD_BREAK, '')
    .replace(ESCAPE, '$1');
}
