import {
  fitsCapitals,
  foldMade,
  madeForScan,
  madeForScanOfEach,
  type CompiledList,
  type FiringEntry,
  type FoldedText,
} from '../fire';
import type { DeviceProfile } from '../profile';
import { matchKey } from '../model';

/** A place at which a code fires when a text is typed: offsets in the text. */
export interface Hit {
  readonly start: number;
  readonly end: number;
  readonly entry: FiringEntry;
}

/** Told of the hits of one text after the other, those of a text in the order of their starts. */
export type HitMet = (text: number, start: number, end: number, entry: FiringEntry) => void;

/** What stands behind every text of a corpus, so that a code at its end is ended. */
export function separatorOf({ delimiters }: DeviceProfile): string {
  if (delimiters === 'standard' || delimiters.includes('\n')) return '\n';
  return delimiters.includes(' ') ? ' ' : (delimiters[0] ?? '\n');
}

/**
 * Texts that are searched all at once: joined, folded and kept, for any number of lists and devices.
 * Memory: about 3 bytes a character for each separator and for each way in which devices change texts.
 */
export class ContextCorpus {
  private readonly joined = new Map<string, FoldedText>();
  /** Where each text begins in the joined one; behind the last where the next would. */
  readonly starts: Int32Array;
  /** The texts under their match keys, joined, for `containing`. */
  private keys: { text: string; starts: Int32Array } | null = null;

  /** `isMiddle`: each text stands in the middle of a sentence. */
  constructor(
    readonly texts: readonly string[],
    private readonly isMiddle = false,
  ) {
    this.starts = startsOf(texts);
  }

  /** All texts as one, as the device makes each of them, with what ends codes there behind it; its places are those of the texts as given. */
  foldedFor(profile: DeviceProfile): FoldedText {
    const separator = separatorOf(profile);
    const { sentenceCapitals, smartQuotes, smartDashes, smartDots, doubleSpaceStop } = profile;
    const changes = [sentenceCapitals, smartQuotes, smartDashes, smartDots, doubleSpaceStop].join();
    const kept = this.joined.get(separator + changes);
    if (kept) return kept;
    const joined = this.texts.join(separator) + separator;
    const folded = foldMade(joined, madeForScanOfEach(joined, this.starts, profile, this.isMiddle));
    this.joined.set(separator + changes, folded);
    return folded;
  }

  /** The hits of one of the texts, as `scan` finds them. */
  hitsIn(list: CompiledList, text: number): Hit[] {
    return hitsIn(list, this.texts[text]!, this.isMiddle);
  }

  /** Tells every hit in every text. Linear in the length of all. */
  scan(list: CompiledList, meet: HitMet): void {
    const { starts } = this;
    let text = 0;
    list.scanEach(this.foldedFor(list.profile), (start, end, entry) => {
      while (starts[text + 1]! <= start) text += 1;
      // A code that holds the separator may reach over a text's end.
      if (end < starts[text + 1]!) meet(text, start - starts[text]!, end - starts[text]!, entry);
    });
  }

  /** Tells of every text in which something fires what fires first. Linear in the length of all. */
  scanFirsts(list: CompiledList, meet: (text: number, first: Hit) => void): void {
    let current = -1;
    let first: Hit | null = null;
    this.scan(list, (text, start, end, entry) => {
      if (text !== current) {
        if (first) meet(current, first);
        current = text;
        first = { start, end, entry };
      } else if (firesBefore({ start, end, entry }, first!, list.profile)) {
        first = { start, end, entry };
      }
    });
    if (first) meet(current, first);
  }

  /** Makes ready what `containing` uses; else its first question does. */
  prepare(): { text: string; starts: Int32Array } {
    if (!this.keys) {
      const keys = this.texts.map(searchable);
      this.keys = { text: `${keys.join('\n')}\n`, starts: startsOf(keys) };
    }
    return this.keys;
  }

  /** The texts in which a match key stands somewhere, as they are or as some device makes them. */
  containing(code: string): number[] {
    const { text, starts } = this.prepare();
    const key = asTyped(code);
    const found: number[] = [];
    let at = text.indexOf(key);
    while (at >= 0) {
      const index = positionIn(starts, at);
      found.push(index);
      at = text.indexOf(key, starts[index + 1]);
    }
    return found;
  }
}

const MADE = /[\u2018\u2019\u201c\u201d\u2014\u2026]/u;

/** A match key with what devices make of straight quotes, hyphens and full stops as it is typed. */
export function asTyped(key: string): string {
  if (!MADE.test(key)) return key;
  return key
    .replace(/[\u2018\u2019]/gu, "'")
    .replace(/[\u201c\u201d]/gu, '"')
    .replaceAll('\u2014', '--')
    .replaceAll('\u2026', '...');
}

/** A text, or a match key, in which `asTyped` of a code stands if the code may fire there on any device. */
export function searchable(text: string): string {
  const key = asTyped(matchKey(text));
  // A second space makes a full stop.
  return key.includes('  ') ? `${key}\n${key.replaceAll('  ', '. ')}` : key;
}

function startsOf(texts: readonly string[]): Int32Array {
  const starts = new Int32Array(texts.length + 1);
  texts.forEach(({ length }, i) => (starts[i + 1] = starts[i]! + length + 1));
  return starts;
}

/** The last index whose start is at or before `at`; behind the last start stands where the next would. */
export function positionIn(starts: ArrayLike<number>, at: number): number {
  let low = 0;
  let high = starts.length - 1;
  while (low < high - 1) {
    const middle = (low + high) >> 1;
    if (starts[middle]! <= at) low = middle;
    else high = middle;
  }
  return low;
}

/**
 * The hits of one text, as `ContextCorpus.scan` finds them, by asking what ends at each caret: for a few texts,
 * since a list that has just changed answers at once and need not be made ready for scanning.
 */
export function hitsIn(list: CompiledList, typed: string, isMiddle = false): Hit[] {
  const made = madeForScan(typed, list.profile, isMiddle);
  const hits: Hit[] = made ? list.passingMatches(made) : [];
  const text = made?.text ?? typed;
  const isEnd = list.isDelimiter;
  for (let end = 1; end <= text.length; end += 1) {
    const isEnded = end === text.length || isEnd(String.fromCodePoint(text.codePointAt(end)!));
    const matches = list.at(text, end).matches();
    for (const way of ['instant', 'delimiter'] as const) {
      if (way === 'delimiter' && !isEnded) continue;
      const match = matches.find(
        ({ entry, start }) => entry.fires === way && fitsCapitals(entry, text.slice(start, end)),
      );
      if (match)
        hits.push({
          start: made?.typedStart(match.start) ?? match.start,
          end: made?.typedEnd(end) ?? end,
          entry: match.entry,
        });
    }
  }
  return hits.sort((a, b) => a.start - b.start || a.end - b.end);
}

/** What fires first of the hits of one text; null: nothing does. */
export function firstOf(hits: readonly Hit[], profile: DeviceProfile): Hit | null {
  return hits.reduce<Hit | null>((first, hit) => (first && !firesBefore(hit, first, profile) ? first : hit), null);
}

/**
 * Whether, of two hits in one text, `a` is what fires: on a device that fires now the one that is
 * complete first; on one that waits the one that begins first, of equal beginnings the longer.
 */
function firesBefore(
  a: Pick<Hit, 'start' | 'end' | 'entry'>,
  b: Pick<Hit, 'start' | 'end' | 'entry'>,
  profile: DeviceProfile,
): boolean {
  if (profile.prefix === 'now') {
    const atA = a.end + (a.entry.fires === 'delimiter' ? 1 : 0);
    const atB = b.end + (b.entry.fires === 'delimiter' ? 1 : 0);
    if (atA !== atB) return atA < atB;
  }
  if (a.start !== b.start) return a.start < b.start;
  // What fires at once waits for its twin that fires at a delimiter (rules 4.2 and 4.3).
  return a.end !== b.end ? a.end > b.end : a.entry.fires === 'delimiter';
}
