import { Parser } from 'htmlparser2';

/** Each stands on lines of its own. */
const BLOCKS = new Set('p div br li tr ul ol table h1 h2 h3 h4 h5 h6 pre hr address article section'.split(' '));
/** What others wrote, and what nobody sees. */
const LEFT_OUT = new Set('blockquote style script head title template'.split(' '));

/** The text of a mail in HTML, without what is quoted in it. Linear. */
export function htmlToText(html: string): string {
  const pieces: string[] = [];
  let depth = 0;
  const parser = new Parser({
    onopentag(name) {
      if (LEFT_OUT.has(name)) depth += 1;
      else if (depth === 0 && BLOCKS.has(name)) pieces.push('\n');
    },
    onclosetag(name) {
      if (LEFT_OUT.has(name)) depth -= 1;
      else if (depth === 0 && BLOCKS.has(name) && name !== 'br') pieces.push('\n');
    },
    ontext(text) {
      if (depth === 0) pieces.push(text.replaceAll(/\s+/gu, ' '));
    },
  });
  parser.end(html);
  return pieces
    .join('')
    .replaceAll(/ *\n */gu, '\n')
    .replaceAll(/\n{3,}/gu, '\n\n')
    .trim();
}
