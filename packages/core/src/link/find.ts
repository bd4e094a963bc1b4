import { trackingReason, type TrackingReason } from './tracking';

/** A parameter of a link that can be taken out. */
export interface TrackingPart {
  readonly name: string;
  readonly reason: TrackingReason;
}

/** What makes a link lead elsewhere than it should. `space`: a blank inside it; `trailing`: marks of the sentence around it at its end. */
export type LinkFault = 'space' | 'trailing' | 'no-page' | 'other-letters';

/** A link in a text: where it stands, what can be taken out, what is wrong, and how it would read then. */
export interface FoundLink {
  readonly start: number;
  readonly end: number;
  readonly link: string;
  readonly tracking: readonly TrackingPart[];
  readonly faults: readonly LinkFault[];
  /** The link without all that; the same text where nothing is to be mended. */
  readonly cleaned: string;
}

/** A link begins so and goes on to the next white space, quote or bracket of a text (RFC 3986, appendix C). */
const LINK = /\b(?:https?:\/\/|www\.)[^\s<>"“”«»]+/giu;
const BEGINS = /^(?:https?:\/\/|www\.)/iu;
/** So many closing brackets are looked at. */
const MOST_BRACKETS = 8;
/** Marks that end a sentence and hardly ever a link. */
const TRAILING = /[.,;:!?'’…]+$/u;

/**
 * The links of a text, in order. An expansion that is nothing but a link may have blanks inside, which break it; in a text a
 * blank ends a link, so there none can be found. Linear.
 */
export function findLinks(text: string): FoundLink[] {
  const alone = text.trim();
  if (BEGINS.test(alone) && !alone.includes('\n') && isOneLinkWithSpaces(alone)) {
    const start = text.indexOf(alone);
    return [judge(alone, start, true)];
  }
  return [...text.matchAll(LINK)].map((match) => {
    // A bracket that was opened before the link is not of it.
    const link = withoutForeignBracket(match[0]);
    return judge(link, match.index, isWholeText(alone, match[0]));
  });
}

function isWholeText(alone: string, link: string): boolean {
  return alone === link;
}

/** A link into which blanks have come: what follows each goes on like a link, with a slash, a sign of a query, or an end of file. */
function isOneLinkWithSpaces(text: string): boolean {
  const parts = text.split(/[ \u00a0\u200b]+/u);
  return (
    parts.length > 1 &&
    parts.length <= 4 &&
    parts
      .slice(1)
      .every(
        (part, index) =>
          /^[/?#&=%._-]/u.test(part) ||
          /^[\w-]+(\.[a-z]{2,4})?[/?#=]/iu.test(part) ||
          /[/?&=#_-]$/u.test(parts[index]!),
      )
  );
}

function withoutForeignBracket(link: string): string {
  let cut = link;
  for (const [open, close] of [
    ['(', ')'],
    ['[', ']'],
  ] as const) {
    for (
      let bare = cut.replace(TRAILING, ''), left = MOST_BRACKETS;
      left > 0 && bare.endsWith(close) && count(bare, close) > count(bare, open);
      left -= 1
    ) {
      cut = bare.slice(0, -1);
      bare = cut.replace(TRAILING, '');
    }
  }
  return cut;
}

function count(text: string, sign: string): number {
  return text.split(sign).length - 1;
}

/** In a running text a full stop after a link is the sentence's, so it is no fault; of an expansion that is the link alone it is. */
function judge(written: string, start: number, isAlone: boolean): FoundLink {
  const faults: LinkFault[] = [];
  let cleaned = written;
  if (/[\s\u200b\u00a0]/u.test(cleaned)) {
    faults.push('space');
    cleaned = cleaned.replaceAll(/[\s\u200b\u00a0]+/gu, '');
  }
  const bare = cleaned.replace(TRAILING, '');
  let ending = cleaned.slice(bare.length);
  if (ending !== '' && isAlone) {
    faults.push('trailing');
    ending = '';
  }
  cleaned = bare;
  const { tracking, link } = withoutTracking(cleaned);
  cleaned = link;
  const host = /^(?:https?:\/\/)?([^/?#]*)/iu
    .exec(cleaned)![1]!
    .replace(/^[^@]*@/u, '')
    .replace(/:\d*$/u, '');
  if (!host.startsWith('[') && !/[^.]\.[^.]/u.test(host) && host.toLowerCase() !== 'localhost') faults.push('no-page');
  else if (mixesScripts(host)) faults.push('other-letters');
  return { start, end: start + written.length, link: written, tracking, faults, cleaned: cleaned + ending };
}

/** A name in which letters of the Latin script stand beside ones of another that look like them (UTS #39, mixed scripts). */
function mixesScripts(host: string): boolean {
  return host
    .split('.')
    .some((label) => /\p{Script=Latin}/u.test(label) && /[\p{Script=Cyrillic}\p{Script=Greek}]/u.test(label));
}

/** Cuts parameters out of the query; what else it holds stays as it is written. */
function withoutTracking(link: string): { link: string; tracking: TrackingPart[] } {
  const query = link.indexOf('?');
  if (query < 0) return { link, tracking: [] };
  const hash = link.indexOf('#', query);
  const end = hash < 0 ? link.length : hash;
  const tracking: TrackingPart[] = [];
  const kept = link
    .slice(query + 1, end)
    .split('&')
    .filter((part) => {
      const name = decoded(part.split('=', 1)[0]!);
      const reason = trackingReason(name);
      if (reason) tracking.push({ name, reason });
      return reason === null;
    });
  if (tracking.length === 0) return { link, tracking };
  return { link: link.slice(0, query) + (kept.length > 0 ? `?${kept.join('&')}` : '') + link.slice(end), tracking };
}

function decoded(name: string): string {
  try {
    return decodeURIComponent(name);
  } catch {
    return name;
  }
}
