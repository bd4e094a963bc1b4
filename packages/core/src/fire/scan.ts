import type { DeviceProfile } from '../profile';
import { fitsCapitals } from './capitals';
import { FOLDED, OF_WORD, UNITS } from './character';
import { FIRES_AT_ONCE, HAS_TWIN, NEEDS_CAPITALS, NEVER_FIRES, type CodeTree } from './codeTree';
import type { Edge } from './edge';
import { hashStep, mixed, NOT_THERE, SEVERAL } from './firstWords';
import type { FoldedText } from './fold';
import { FoldedPlaces } from './places';
import type { FiringEntry } from './rules';

/** Told of every place at which a code would fire, in the order of starts. */
export type Scanned = (start: number, end: number, entry: FiringEntry) => void;

/**
 * See `CompiledList.scan`. The tree of codes is walked from every place at which one may begin; where
 * codes fire at delimiters alone, a word is looked up as a whole. A walk is no longer than the
 * longest code that begins so.
 */
export function scanText(
  folded: FoldedText,
  profile: DeviceProfile,
  { word, anywhere }: Readonly<Record<Edge, CodeTree>>,
  meet: Scanned,
): void {
  const places = new Places(folded, profile, word, anywhere, meet);
  const { units, length } = folded;
  const table = UNITS;
  const isAnywhere = anywhere.size > 0;
  if (word.size === 0) {
    for (let from = 0; from < length; from += 1) {
      if (anywhere.mayBegin(units, from, length)) places.meetAnywhere(from);
    }
    return;
  }
  const byWord = profile.delimiters === 'standard' && !word.hasInstant;
  const words = word.firstWords();
  const { filter } = words;
  const filterMask = filter.length - 1;
  const firsts = word.firsts();
  // The quick no comes first: few places go on to a look at the edge, and fewer to a walk.
  let next = table[units[0]!]!;
  for (let from = 0; from < length;) {
    if (isAnywhere && anywhere.mayBegin(units, from, length)) places.meetAnywhere(from);
    if (!byWord || (next & OF_WORD) === 0) {
      if (firsts[next & FOLDED] !== 0 && word.mayBegin(units, from, length)) places.meetWord(from);
      from += 1;
      next = table[units[from]!]!;
      continue;
    }
    let hash = 0;
    let past = from;
    // Two steps a turn: most of the time of a scan is spent here. Units of a word are negative.
    do {
      hash = hashStep(hash, next);
      past += 1;
      next = table[units[past]!]!;
      if (next >= 0) break;
      hash = hashStep(hash, next);
      past += 1;
      next = table[units[past]!]!;
    } while (next < 0);
    const bits = mixed(hash);
    if ((filter[(bits >>> 3) & filterMask]! & (1 << (bits & 7))) !== 0) {
      const first = words.find(hash);
      if (first === SEVERAL) places.meetWord(from);
      else if (first !== NOT_THERE && word.isAt(first, units, from, past)) places.meetWhole(from, past, first);
    }
    // No code begins inside a word, but for those that may anywhere.
    if (isAnywhere) {
      for (let inside = from + 1; inside < past; inside += 1) {
        if (anywhere.mayBegin(units, inside, length)) places.meetAnywhere(inside);
      }
    }
    from = past;
  }
}

/** What becomes of the places that a scan has found: who has them. */
class Places extends FoldedPlaces {
  /** Ends, doubled, one more for what fires at once, that an earlier start has taken. */
  private readonly taken: number[] = [];
  private takenCount = 0;
  private furthest = 0;
  /** Where the walk in hand began. */
  private origin = 0;

  constructor(
    folded: FoldedText,
    profile: DeviceProfile,
    private readonly word: CodeTree,
    private readonly anywhere: CodeTree,
    private readonly meet: Scanned,
  ) {
    super(folded, profile.delimiters);
  }

  /** Codes that need an edge, from `from` on. */
  meetWord(from: number): void {
    if (this.placeOf(from) < 0 || !this.hasEdge(from)) return;
    this.origin = from;
    this.word.eachFrom(this.units, from, this.length, this.inWord);
  }

  /** A code that needs an edge, found whole. */
  meetWhole(from: number, to: number, position: number): void {
    if (this.placeOf(from) < 0 || !this.hasEdge(from)) return;
    this.origin = from;
    this.inWord(to, position);
  }

  /** Codes that need no edge, from `from` on. */
  meetAnywhere(from: number): void {
    if (this.placeOf(from) < 0) return;
    this.origin = from;
    this.anywhere.eachFrom(this.units, from, this.length, this.inAnywhere);
  }

  private readonly inWord = (to: number, position: number): void => {
    if (this.placeOf(to) < 0) return;
    const rule = this.word.rules[position]!;
    // Most codes fire at a delimiter and have no twin; of the others each way is to be asked for.
    if (rule === 0) {
      if (this.isEnd(to)) this.claim(to, this.word.entries[position]!, false);
    } else if ((rule & HAS_TWIN) === 0) this.claimFirst(this.word, position, to, (rule & FIRES_AT_ONCE) !== 0);
    else for (const atOnce of [true, false]) this.claimFirst(this.word, position, to, atOnce);
  };

  private readonly inAnywhere = (to: number, position: number): void => {
    if (this.placeOf(to) < 0) return;
    // The same code may be there twice, once for each edge.
    const twin = this.hasEdge(this.origin) ? this.word.equalTo(this.units, this.origin, to) : -1;
    for (const atOnce of [true, false]) this.claimFirst(this.anywhere, position, to, atOnce, twin);
  };

  /** Of the codes of one way at `position` the oldest has the place, or that of a twin of other edge. */
  private claimFirst(tree: CodeTree, position: number, to: number, atOnce: boolean, twin = -1): void {
    const at = this.firstToFire(tree, position, to, atOnce);
    if (at < 0) return;
    const entry = tree.entries[at]!;
    const rival = twin < 0 ? -1 : this.firstToFire(this.word, twin, to, atOnce);
    const other = rival < 0 ? entry : this.word.entries[rival]!;
    this.claim(to, other.id < entry.id ? other : entry, atOnce);
  }

  /** Of the codes with the key at `position` that of the oldest that fires so; -1: none. */
  private firstToFire(tree: CodeTree, position: number, to: number, atOnce: boolean): number {
    if (!atOnce && !this.isEnd(to)) return -1;
    const way = atOnce ? FIRES_AT_ONCE : 0;
    for (let at = position; ; at += 1) {
      const rule = tree.rules[at]!;
      const isOfWay = (rule & (FIRES_AT_ONCE | NEVER_FIRES)) === way;
      if (isOfWay && ((rule & NEEDS_CAPITALS) === 0 || this.fits(tree.entries[at]!, to))) return at;
      if ((rule & HAS_TWIN) === 0) return -1;
    }
  }

  private fits(entry: FiringEntry, to: number): boolean {
    return fitsCapitals(entry, this.text.slice(this.placeOf(this.origin), this.placeOf(to)));
  }

  /** Of codes that end at one place and fire in one way the one that begins first has it. */
  private claim(to: number, entry: FiringEntry, atOnce: boolean): void {
    const start = this.placeOf(this.origin);
    const end = this.placeOf(to);
    const place = end * 2 + (atOnce ? 1 : 0);
    if (start >= this.furthest) this.takenCount = 0;
    for (let i = 0; i < this.takenCount; i += 1) if (this.taken[i] === place) return;
    this.taken[this.takenCount] = place;
    this.takenCount += 1;
    if (end > this.furthest) this.furthest = end;
    this.meet(start, end, entry);
  }
}
