/** A content line of a card, unfolded, and the line of the file that it begins in, from 1. */
export interface CardLine {
  readonly line: number;
  readonly text: string;
}

/** The lines between a BEGIN:VCARD and its END; `isWhole` false: another card or the end of the file came before it. */
export interface CardText {
  readonly line: number;
  readonly lines: readonly CardLine[];
  readonly isWhole: boolean;
}

const BEGIN = /^begin:vcard\s*$/iu;
const END = /^end:vcard\s*$/iu;
/** Pictures, sounds and keys, which are the most of many files: they are left out before anything is read. */
const HEAVY = /^(?:[\w-]+\.)?(?:photo|logo|sound|key)[;:]/iu;
const QUOTED_PRINTABLE = /^[^:]*;(?:encoding=)?quoted-printable[;:]/iu;

/**
 * The cards of a file, with their lines unfolded (RFC 6350, section 3.2; soft line breaks of quoted-printable, RFC 2045,
 * section 6.7). Lines outside of cards are given as `outside`. Linear; what is heavy is never kept.
 */
export function splitCards(text: string): {
  readonly cards: readonly CardText[];
  readonly outside: readonly CardLine[];
} {
  const cards: CardText[] = [];
  const outside: CardLine[] = [];
  let open: { line: number; lines: CardLine[] } | null = null;
  let last: { line: number; parts: string[]; isHeavy: boolean } | null = null;
  const finish = () => {
    if (last && !last.isHeavy) (open?.lines ?? outside).push({ line: last.line, text: last.parts.join('') });
    last = null;
  };
  let number = 0;
  for (let at = 0; at <= text.length;) {
    const newline = text.indexOf('\n', at);
    const end = newline < 0 ? text.length : newline;
    const raw = text.slice(at, text[end - 1] === '\r' ? end - 1 : end);
    number += 1;
    at = end + 1;
    if (last && /^[ \t]/u.test(raw) && raw.trim() !== '') {
      if (!last.isHeavy) last.parts.push(raw.slice(1));
      continue;
    }
    if (last && !last.isHeavy && last.parts.at(-1)!.endsWith('=') && QUOTED_PRINTABLE.test(last.parts[0]!)) {
      last.parts.push(last.parts.pop()!.slice(0, -1), raw);
      continue;
    }
    finish();
    if (raw.trim() === '') continue;
    if (BEGIN.test(raw)) {
      if (open) cards.push({ ...open, isWhole: false });
      open = { line: number, lines: [] };
    } else if (END.test(raw) && open) {
      cards.push({ ...open, isWhole: true });
      open = null;
    } else last = { line: number, parts: [raw], isHeavy: HEAVY.test(raw) };
  }
  finish();
  if (open) cards.push({ ...open, isWhole: false });
  return { cards, outside };
}
