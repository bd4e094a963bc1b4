import { t } from '@lingui/core/macro';
import type { BlankSegment, Segment } from '@yellow-latch/core/expansion';
import { templateOf } from '@yellow-latch/core/expansion/write';
import type { BlankKind, Found } from '@yellow-latch/core/mine';

/** A blank of a draft, which stands in its text as its label in square brackets. */
export interface DraftBlank {
  readonly label: string;
  /** What stood there, most often first; none where it was made by hand. */
  readonly values: readonly string[];
  /** Whether it is asked for as a choice between them. */
  readonly isChoice: boolean;
  /** What stands in it until something is typed. */
  readonly default: string;
}

/** A found text on its way to a shortcut, as it can be edited. */
export interface Draft {
  readonly text: string;
  readonly blanks: readonly DraftBlank[];
}

/** More things to choose from than these are no help. */
const MOST_CHOICES = 12;

/** What a blank is called by what stood in it. */
function labelFor(kind: BlankKind): string {
  switch (kind) {
    case 'name':
      return t`Name`;
    case 'day':
      return t`Day`;
    case 'date':
      return t`Date`;
    case 'time':
      return t`Time`;
    case 'number':
      return t`Number`;
    case 'amount':
      return t`Amount`;
    case 'choice':
    case 'text':
      return t`Blank`;
  }
}

/** A label that no other blank has, nor the text in brackets. */
function freeLabel(label: string, text: string, taken: ReadonlySet<string>): string {
  for (let number = 1; ; number += 1) {
    const one = number === 1 ? label : `${label} ${number}`;
    if (!taken.has(one) && !text.includes(`[${one}]`)) return one;
  }
}

/** A found text as it can be edited. Names of people are never offered as choices. */
export function draftOf({ text, parts }: Pick<Found, 'text' | 'parts'>): Draft {
  if (parts === null) return { text, blanks: [] };
  const fixed = parts.filter((part) => typeof part === 'string').join('');
  const blanks: DraftBlank[] = [];
  const written = parts.map((part) => {
    if (typeof part === 'string') return part;
    const label = freeLabel(labelFor(part.kind), fixed, new Set(blanks.map((blank) => blank.label)));
    const values = part.kind === 'name' ? [] : part.values.map((value) => value.text).filter(isOffered);
    const isChoice = (part.kind === 'choice' || part.kind === 'day') && canChoose(values);
    blanks.push({ label, values, isChoice, default: '' });
    return `[${label}]`;
  });
  return { text: written.join(''), blanks };
}

/** Commas stand between choices, and bars around them. */
function isOffered(value: string): boolean {
  return !/[,|\n]/u.test(value);
}

export function canChoose(values: readonly string[]): boolean {
  return values.length >= 2 && values.length <= MOST_CHOICES;
}

/** The draft with a stretch of its text made a blank that begins with what stood there; the same draft where there is none. */
export function withBlank(draft: Draft, start: number, end: number): Draft {
  const { text, blanks } = draft;
  const stretch = text.slice(start, end);
  const [before, behind] = [/^\s*/u.exec(stretch)![0].length, /\s*$/u.exec(stretch)![0].length];
  const [from, to] = [start + before, end - behind];
  // A blank in a blank is none.
  if (from >= to || spotsOf(draft).some((spot) => spot.start < to && from < spot.end)) return draft;
  const label = freeLabel(t`Blank`, text, new Set(blanks.map((blank) => blank.label)));
  return {
    text: `${text.slice(0, from)}[${label}]${text.slice(to)}`,
    blanks: [...blanks, { label, values: [], isChoice: false, default: text.slice(from, to) }],
  };
}

interface BlankSpot {
  readonly start: number;
  readonly end: number;
  readonly blank: DraftBlank;
}

/** Where the blanks of a draft stand in its text, in order; those whose brackets were deleted are none. */
function spotsOf({ text, blanks }: Draft): BlankSpot[] {
  const byLabel = new Map(blanks.map((blank) => [blank.label, blank]));
  return [...text.matchAll(/\[([^[\]\n]+)\]/gu)].flatMap(({ 0: whole, 1: label, index }) => {
    const blank = byLabel.get(label!);
    return blank ? [{ start: index, end: index + whole.length, blank }] : [];
  });
}

/** The blanks that still stand in the text of a draft. */
export function blanksIn(draft: Draft): readonly DraftBlank[] {
  const there = new Set(spotsOf(draft).map(({ blank }) => blank));
  return draft.blanks.filter((blank) => there.has(blank));
}

/** What a shortcut of a draft gives: a text as it is, or the source of a template. */
export function contentOf(draft: Draft): { readonly text: string; readonly isTemplate: boolean } {
  const spots = spotsOf(draft);
  if (spots.length === 0) return { text: draft.text, isTemplate: false };
  const numbers = new Map(draft.blanks.map((blank, index) => [blank, index + 1]));
  const segments: Segment[] = [];
  let done = 0;
  for (const { start, end, blank } of spots) {
    if (start > done) segments.push({ type: 'text', text: draft.text.slice(done, start) });
    segments.push(segmentOf(blank, numbers.get(blank)!));
    done = end;
  }
  if (done < draft.text.length) segments.push({ type: 'text', text: draft.text.slice(done) });
  return { text: templateOf(segments), isTemplate: true };
}

function segmentOf({ label, values, isChoice, default: otherwise }: DraftBlank, number: number): BlankSegment {
  return {
    type: 'blank',

    name: `blank${number}`,
    kind: isChoice ? 'choice' : 'text',
    label,
    default: otherwise,
    options: isChoice ? values : [],
    pattern: '',
    casing: null,
  };
}
