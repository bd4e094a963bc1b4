import { DEVICE_PROFILES, type DeviceProfile } from '../profile';
import type { FiringEntry } from './rules';
import { simulate, type Keystroke } from './simulate';
import { device, entry, listOf, pick, randomFrom } from './testing';

const segmenter = new Intl.Segmenter('en');

/**
 * The rules of docs/firing.md, read plainly: a text of cells, each loud or quiet, and for every
 * question a look at all codes and all stretches. Written from that page alone and slow on purpose; it
 * shares no function with the engine. Device changes (rule 9) are left to their own tests.
 */
class Naive {
  cells: { ch: string; quiet: boolean }[] = [];
  caret = 0;
  waiting: { from: number; to: number; delimiter: number; code: FiringEntry } | null = null;
  last: { from: number; to: number; typed: string; codeLength: number } | null = null;

  constructor(
    private readonly codes: readonly FiringEntry[],
    private readonly profile: DeviceProfile,
  ) {}

  get text(): string {
    return this.cells.map(({ ch }) => ch).join('');
  }

  private readonly key = (text: string) => text.normalize('NFD').replaceAll('ß', 'ss').toLowerCase().normalize('NFC');

  private boundaries = { of: '', set: new Set<number>() };

  private isBoundary(at: number, text: string): boolean {
    if (at === text.length) return true;
    if (this.boundaries.of !== text) {
      const starts = Array.from(segmenter.segment(text), ({ index }) => index);
      this.boundaries = { of: text, set: new Set(starts) };
    }
    return this.boundaries.set.has(at);
  }

  private way(code: FiringEntry) {
    return this.profile.ways.includes(code.fires) ? code.fires : this.profile.otherwise;
  }

  /** Rules 1.5 and 2. */
  private mayStand(code: FiringEntry, from: number): boolean {
    const edge = this.profile.edge === 'own' ? code.edge : this.profile.edge;
    if (edge === 'anywhere' || from === 0) return true;
    const text = this.text;
    const word = /[\p{L}\p{N}\p{M}_]/u;
    const before = Array.from(text.slice(0, from)).at(-1)!;
    const first = Array.from(text.slice(from))[0]!;
    if (!word.test(first)) return /[\s([{"'\u201c\u2018]/u.test(before);
    const joined = /\p{L}['.]\p{L}$|\p{Nd}['.,;]\p{Nd}$/u.test(text.slice(0, from) + first);
    return !word.test(before) && !joined;
  }

  private isDelimiter(ch: string): boolean {
    const { delimiters } = this.profile;
    return delimiters === 'standard' ? /[\s.!;,:?)"]/.test(ch) : delimiters.includes(ch);
  }

  private fits(code: FiringEntry, typed: string): boolean {
    const capitals = this.profile.capitals === 'own' ? code.capitals : this.profile.capitals;
    return capitals !== 'match' || typed.normalize('NFC') === code.code.normalize('NFC');
  }

  private held(): FiringEntry[] {
    return this.codes.filter(({ code }) => this.profile.spacesInCodes || !code.includes(' '));
  }

  /** Rules 2, 3.2, 5.2, 8.2: for one way, the longest code that ends at `to`. */
  private ending(to: number, way: string, ignoreQuietFrom = Infinity) {
    const text = this.text;
    if (!this.isBoundary(to, text)) return null;
    for (let from = 0; from < to; from += 1) {
      if (!this.isBoundary(from, text.slice(0, to))) continue;
      const typed = text.slice(from, to);
      const found = this.held()
        .filter((code) => this.key(code.code) === this.key(typed) && this.way(code) === way)
        .filter((code) => this.mayStand(code, from) && this.fits(code, typed))
        .filter(() => from >= ignoreQuietFrom || this.cells.slice(from, to).some(({ quiet }) => !quiet))
        .sort((a, b) => (a.id < b.id ? -1 : 1))[0];
      if (found) return { from, to, code: found };
    }
    return null;
  }

  /** Rule 4.2. */
  private isLiveFrom(atMost: number): boolean {
    const text = this.text.slice(0, this.caret);
    for (let from = 0; from <= atMost; from += 1) {
      if (!this.isBoundary(from, text)) continue;
      const stretch = this.key(text.slice(from));
      for (const code of this.held()) {
        const whole = this.key(code.code);
        if (!whole.startsWith(stretch) || !this.mayStand(code, from)) continue;
        if (whole !== stretch || this.way(code) === 'delimiter') return true;
      }
    }
    return false;
  }

  private put(from: number, to: number, text: string, quiet: boolean): void {
    this.cells.splice(from, to - from, ...text.split('').map((ch) => ({ ch, quiet })));
  }

  type(ch: string): void {
    const waited = this.waiting;
    this.waiting = null;
    this.last = null;
    const at = this.caret;
    this.put(at, at, ch, false);
    this.caret += ch.length;
    const instant = this.ending(this.caret, 'instant');
    const ended = this.isDelimiter(ch) ? this.ending(at, 'delimiter') : null;
    const winner = [instant && { ...instant, delimiter: 0 }, ended && { ...ended, delimiter: ch.length }, waited]
      .filter((match) => match !== null)
      .sort((a, b) => a.from - b.from || b.to - a.to)[0];
    if (!winner) return;
    if (this.profile.prefix === 'wait' && this.isLiveFrom(winner.from)) {
      this.waiting = winner;
      return;
    }
    const codeLength = winner.to - winner.from;
    const typed = this.text.slice(winner.from, this.caret);
    let end = this.fire(winner);
    for (let pass = 1; this.profile.rescans && pass < 8; pass += 1) {
      const next = this.text.slice(end, this.caret).slice(0, 1);
      const byDelimiter = next !== '' && this.isDelimiter(next) ? this.ending(end, 'delimiter', winner.from) : null;
      const atOnce = this.ending(end, 'instant', winner.from);
      const again = [atOnce && { ...atOnce, delimiter: 0 }, byDelimiter && { ...byDelimiter, delimiter: 1 }]
        .filter((match) => match !== null)
        .sort((a, b) => a.from - b.from || b.to - a.to)[0];
      if (!again || again.from < winner.from) break;
      end = this.fire(again);
    }
    this.last = { from: winner.from, to: this.caret, typed, codeLength };
  }

  /** Rules 1.1, 4.3: in place; returns where what was put in ends. */
  private fire({
    from,
    to,
    delimiter,
    code,
  }: {
    from: number;
    to: number;
    delimiter: number;
    code: FiringEntry;
  }): number {
    const drops = this.profile.keepsDelimiter === 'own' ? code.delimiter : this.profile.keepsDelimiter;
    const past = to + (drops === 'drop' ? delimiter : 0);
    this.put(from, past, code.expansion, true);
    this.caret += code.expansion.length - (past - from);
    return from + code.expansion.length;
  }

  backspace(): void {
    const { last } = this;
    this.waiting = null;
    this.last = null;
    if (this.caret === 0) return;
    if (last && last.to === this.caret) {
      this.put(last.from, last.to, last.typed, false);
      for (let i = 0; i < last.codeLength; i += 1) this.cells[last.from + i]!.quiet = true;
      this.caret = last.from + last.typed.length;
      return;
    }
    const length = /[\u{10000}-\u{10ffff}]$/u.test(this.text.slice(0, this.caret)) ? 2 : 1;
    this.put(this.caret - length, this.caret, '', false);
    this.caret -= length;
  }

  do(keystroke: Keystroke): void {
    if (keystroke.type === 'key') this.type(keystroke.text);
    else if (keystroke.type === 'backspace') this.backspace();
    else if (keystroke.type === 'paste') {
      this.waiting = null;
      this.last = null;
      this.put(this.caret, this.caret, keystroke.text, true);
      this.caret += keystroke.text.length;
    } else if (keystroke.type === 'caret') {
      let to = Math.min(keystroke.to, this.text.length);
      if (to > 0 && (this.text.codePointAt(to - 1) ?? 0) > 0xffff) to -= 1;
      if (to === this.caret) return;
      this.waiting = null;
      this.last = null;
      this.caret = to;
    }
  }
}

const LETTERS = ['a', 'b', 'A', 'c', ' ', '.', '!', ';', 'é', 'e', '\u0301', 'ß', '1', "'", '😀'];

function randomCase(seed: number) {
  const random = randomFrom(seed);
  const text = (most: number) =>
    Array.from({ length: 1 + Math.floor(random() * most) }, () => pick(random, LETTERS)).join('');
  const codes: FiringEntry[] = [];
  for (let i = Math.floor(random() * 6); i >= 0; i -= 1) {
    const code = text(4).trim();
    if (code === '') continue;
    codes.push(
      entry(code, text(5), {
        id: String(i),
        fires: pick(random, ['delimiter', 'delimiter', 'instant', 'offer']),
        edge: pick(random, ['word', 'word', 'anywhere']),
        capitals: pick(random, ['ignore', 'ignore', 'match']),
        delimiter: pick(random, ['keep', 'keep', 'drop']),
      }),
    );
  }
  const generic = { ...pick(random, Object.values(DEVICE_PROFILES)) };
  const profile = device({
    ...generic,
    prefix: pick(random, ['now', 'wait']),
    rescans: random() < 0.2,
    delimiters: pick<DeviceProfile['delimiters']>(random, ['standard', 'standard', [' '], []]),
    builtIn: [],
    sentenceCapitals: false,
    smartQuotes: false,
    smartDashes: false,
    smartDots: false,
    doubleSpaceStop: false,
  });
  const keys: Keystroke[] = [];
  for (let i = 4 + Math.floor(random() * 22); i > 0; i -= 1) {
    const dice = random();
    if (dice < 0.07) keys.push({ type: 'backspace' });
    else if (dice < 0.1) keys.push({ type: 'paste', text: text(3) });
    else if (dice < 0.13) keys.push({ type: 'caret', to: Math.floor(random() * 12) });
    else if (dice < 0.35 && codes.length > 0) {
      // Whole codes, so that firing is common.
      for (const ch of pick(random, codes).code + pick(random, ['', ' ', '.'])) {
        keys.push({ type: 'key', text: ch });
      }
    } else keys.push({ type: 'key', text: pick(random, LETTERS) });
  }
  return { codes, profile, keys };
}

/** `npm run soak` takes ten times as many: 30,000. */
const CASES = process.env.YELLOW_LATCH_SOAK ? 30_000 : 1_000;

test(`the engine agrees with a plain reading of the rules on ${CASES} random lists, keys and devices`, () => {
  let fired = 0;
  for (let seed = 1; seed <= CASES; seed += 1) {
    const { codes, profile, keys } = randomCase(seed);
    const naive = new Naive(codes, profile);
    for (const key of keys) naive.do(key);
    const engine = simulate(keys, listOf(codes, profile), profile);
    fired += engine.trace.filter(({ rule }) => rule.startsWith('fired')).length;
    if (engine.text !== naive.text || engine.caret.start !== naive.caret) {
      // Told with its seed, so that the case can be looked at.
      expect({ seed, codes, keys, profile, text: engine.text, caret: engine.caret.start }).toEqual({
        seed,
        codes,
        keys,
        profile,
        text: naive.text,
        caret: naive.caret,
      });
    }
  }
  // A test of firing in which little fires would prove little.
  expect(fired).toBeGreaterThan(CASES / 2);
}, 600_000);
