/** A line that somebody else wrote (RFC 3676, section 4.5). */
const QUOTED = /^\s{0,3}>/u;
/** A line of dashes with words in it, as stands above a mail that is sent on. */
const SENT_ON = /^\s*-{3,}\s*\p{L}[\p{L} '’]{2,40}-{3,}\s*$/u;
/** The head of a mail as it is put above its text: a name of a field or two words, a colon, something. */
const HEAD = /^\s*\*?\p{Lu}[\p{L}-]{1,15}\*?\s?:\s?\S/u;
/** Three lines of a head in a row, one with a mail address, begin what is quoted. */
const HEAD_LINES = 3;
const ADDRESS = /\S@\S+\.\S/u;
/** The line that says who wrote what is quoted: it has a date or an address in it, and ends with a colon. */
const SAYS_WHO = /(?:\d|\S@\S).*[:：]\s*$/u;
/** Below two dashes stands a signature (RFC 3676, section 4.3). */
const SIGNATURE_MARK = /^-- ?$/u;

/**
 * A mail's text without what others wrote: quoted lines with the line that says whose they are, and all from where a mail is
 * sent on or quoted whole. One’s own signature stays, its two dashes go. Linear.
 */
export function withoutQuoted(text: string): string {
  const lines = text.split('\n');
  const own: string[] = [];
  for (let at = 0; at < lines.length; at += 1) {
    const line = lines[at]!;
    if (SENT_ON.test(line) || isHead(lines, at)) break;
    if (QUOTED.test(line)) {
      dropWho(own);
      while (at + 1 < lines.length && (QUOTED.test(lines[at + 1]!) || isGapInQuote(lines, at + 1))) at += 1;
      continue;
    }
    if (!SIGNATURE_MARK.test(line)) own.push(line);
  }
  return own.join('\n').trim();
}

/** The line above a quote that says whose it is goes with it; it may be broken into two. */
function dropWho(own: string[]): void {
  let last = own.length - 1;
  while (last >= 0 && own[last]!.trim() === '') last -= 1;
  if (last < 0 || !/[:：]\s*$/u.test(own[last]!)) return;
  if (SAYS_WHO.test(own[last]!)) own.length = last;
  else if (last > 0 && own[last - 1]!.trim() !== '' && SAYS_WHO.test(`${own[last - 1]!} ${own[last]!}`))
    own.length = last - 1;
}

function isGapInQuote(lines: readonly string[], at: number): boolean {
  return lines[at]!.trim() === '' && at + 1 < lines.length && QUOTED.test(lines[at + 1]!);
}

function isHead(lines: readonly string[], at: number): boolean {
  const head = lines.slice(at, at + HEAD_LINES);
  return head.length === HEAD_LINES && head.every((line) => HEAD.test(line)) && head.some((line) => ADDRESS.test(line));
}
