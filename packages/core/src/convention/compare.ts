import {
  bankOf,
  CLAIMS,
  claimsOn,
  CONTEXT_BANK,
  CONTEXT_COUNT,
  countWords,
  trapsOf,
  WORDS_A_CONTEXT,
  WORDS_A_WEEK,
  type Claim,
  type TrapFound,
  type Vocabulary,
} from '../clash';
import { effortInside, MISFIRE, UNLEARNING, WEEKS_A_YEAR, type InUse } from '../effort';
import { CompiledList, foldAll, foldMade, madeForScan, settleRules, type FiringEntry, type FoldedText } from '../fire';
import type { DeviceProfile } from '../profile';
import { matchKey, type Mark } from '../model';
import type { CannotCompare, CompareInput, Comparison, MarkCost, Misfires, PresentCost } from './comparison';
import { frontOf } from './front';
import { misfiresOfLikely } from './likely';
import { isInScope, markCode, mayBeMarked, partsOf } from './mark';
import { MarkedCorpus } from './markedCorpus';
import { effortOfMarks } from './markEffort';
import { MarkIndex } from './markIndex';
import { recommend } from './recommend';
import { FreeCodeSpace } from './freeCodeSpace';
import { MarkTally } from './tally';

/** Words of the own text that weigh as much as language and contexts do together. */
const PRIOR_WORDS = 50_000;
const LONGEST_CLAIM = Math.max(...CLAIMS.map(({ beginning }) => beginning.length));
/** Rows that are given for their cost alone. */
const BEST = 40;

/**
 * Every mark that the keyboards in use can type, weighed: what codes cost to type under it, and how often
 * they would fire by mistake. Cost: the texts once for each device, and the marks; see `bench/markers.ts`.
 */
export function compareMarks(input: CompareInput): Comparison | CannotCompare {
  if (input.inUse.length === 0) return { type: 'no keyboard' };
  const marked = input.list.shortcuts.filter((shortcut) => isInScope(shortcut, input.scope) && mayBeMarked(shortcut));
  if (marked.length === 0) return { type: 'no codes' };
  const ids = new Set(marked.map(({ id }) => id));
  const settled = settleRules(input.list);
  const subjects = settled
    .filter(({ id }) => ids.has(id))
    .map((entry): Subject => ({ ...entry, ...partsOf(entry.code)!, uses: input.usesAWeek(entry.id) }));
  const others = settled.filter(({ id }) => !ids.has(id));
  return new Comparing(input, subjects, others).compare();
}

/** A code to mark, with its rules, its mnemonic, and how often it is used in a week. */
type Subject = FiringEntry & { readonly mark: Mark; readonly mnemonic: string };

/** A device, and its part in all that is typed. */
interface Device {
  readonly profile: DeviceProfile;
  readonly part: number;
}

class Comparing {
  private readonly marks: MarkIndex;
  private readonly devices: readonly Device[];
  /** The own text, for each device as it makes it. */
  private readonly own: { readonly folded: ReadonlyMap<DeviceProfile, FoldedText>; readonly words: number } | null;
  /** What mnemonics begin with: behind a marker no claim looks further. */
  private readonly beginnings: readonly string[];
  private readonly usesAWeek: number;
  private readonly wordsAWeek: number;
  private readonly markedBanks = new Map<Vocabulary, MarkedCorpus>();

  constructor(
    private readonly input: CompareInput,
    private readonly subjects: readonly Subject[],
    private readonly others: readonly FiringEntry[],
  ) {
    this.marks = new MarkIndex(charactersOf(input.inUse));
    this.devices = devicesOf(input.inUse);
    this.own = input.ownText
      ? { folded: foldedFor(this.devices, input.ownText), words: countWords(input.ownText) }
      : null;
    this.beginnings = [...new Set(subjects.map(({ mnemonic }) => mnemonic.slice(0, LONGEST_CLAIM - 1)))];
    this.usesAWeek = subjects.reduce((sum, { uses }) => sum + uses, 0);
    this.wordsAWeek = input.wordsAWeek ?? WORDS_A_WEEK;
  }

  compare(): Comparison {
    const { marks, subjects } = this;
    const present = this.present();
    const mnemonics = subjects.map(({ mnemonic, uses }) => ({
      mnemonic: mnemonic.normalize('NFC'),
      weight: this.usesAWeek > 0 ? uses / this.usesAWeek : 1 / subjects.length,
    }));
    const effort = effortOfMarks(marks, mnemonics, this.input.inUse);
    const misfires = this.misfires();
    const ofNewCode = this.ofNewCode();
    const changes = this.changes();
    const cost = new Float64Array(marks.count);
    for (let mark = 0; mark < marks.count; mark += 1) {
      const seconds = effort.seconds[mark]!;
      cost[mark] = this.costOf(seconds, misfires.aWeek[mark]!, changes[mark]!);
    }
    const front = frontOf(effort.seconds, misfires.aWeek);
    const space = this.space();
    const collisions = this.collisions();
    const rowOf = (index: number): MarkCost => {
      const mark = marks.markOf(index);
      return {
        mark,
        effort: { taps: effort.taps[index]!, seconds: effort.seconds[index]! },
        misfires: {
          perTenThousand: misfires.perTenThousand[index]!,
          per100Contexts: misfires.per100Contexts[index]!,
          inOwnText: misfires.inOwnText?.[index] ?? null,
          aWeek: misfires.aWeek[index]!,
        },
        secondsAWeek: cost[index]!,
        claims: this.claimsOf(mark),
        traps: this.trapsOf(mark),
        space: { free: space.free[index]!, of: space.of[index]! },
        ofNewCode: ofNewCode[index]!,
        collisions: collisions[index]!,
        changes: changes[index]!,
        isOnFront: front.has(index),
      };
    };
    const byCost = Array.from(cost, (_, index) => index).sort((a, b) => cost[a]! - cost[b]! || a - b);
    const inUse = subjects.map(({ mark }) => marks.indexOf(mark)).filter((index) => index >= 0);
    const shown = new Set([
      ...byCost.slice(0, BEST),
      ...front,
      ...inUse,
      ...byCost.filter((index) => Array.from(marks.markOf(index).marker).length < 2),
    ]);
    const rows = [...shown].map(rowOf).sort((a, b) => a.secondsAWeek - b.secondsAWeek);
    const advice = recommend({
      marks,
      byCost,
      front: byCost.filter((index) => front.has(index)),
      rowOf,
      present,
      inUse: subjects.map(({ mark }) => mark),
      usesAWeek: this.usesAWeek,
    });
    return { codes: subjects.length, marks: marks.count, present, rows, ...advice };
  }

  /** Seconds in a week. */
  private costOf(secondsAUse: number, misfiresAWeek: number, changes: number): number {
    return secondsAUse * this.usesAWeek + misfiresAWeek * MISFIRE + (changes * UNLEARNING) / WEEKS_A_YEAR;
  }

  private present(): PresentCost {
    const { subjects, input, usesAWeek } = this;
    let taps = 0;
    let seconds = 0;
    let fromTable = 0;
    const shares = input.inUse.reduce((sum, { share }) => sum + share, 0);
    for (const { code, uses } of subjects) {
      const weight = usesAWeek > 0 ? uses / usesAWeek : 1 / subjects.length;
      for (const one of input.inUse) {
        const effort = effortInside(code, one);
        fromTable += effort.fromTable.length;
        taps += (effort.taps * weight * one.share) / shares;
        seconds += (effort.seconds * weight * one.share) / shares;
      }
    }
    const misfires = this.misfiresOf(subjects);
    return {
      effort: { taps, seconds },
      misfires,
      secondsAWeek: this.costOf(seconds, misfires.aWeek, 0),
      fromTable,
      collisions: this.presentCollisions(),
    };
  }

  private presentCollisions(): number {
    const { subjects, others } = this;
    const known = new Set(others.map(({ code }) => matchKey(code)));
    return (
      collisionsIn(subjects.map(({ code }) => code)) + subjects.filter(({ code }) => known.has(matchKey(code))).length
    );
  }

  /** The misfires of codes as they are, by the engine itself. */
  private misfiresOf(entries: readonly FiringEntry[]): Misfires {
    let perTenThousand = 0;
    let per100Contexts = 0;
    let inOwnText = 0;
    for (const { profile, part } of this.devices) {
      const list = CompiledList.compile(entries, { ...profile, builtIn: [] });
      for (const { vocabulary, share } of this.languages()) {
        const hit = new Set<number>();
        bankOf(vocabulary).scan(list, (text) => hit.add(text));
        for (const text of hit) perTenThousand += vocabulary.perTenThousand[text]! * share * part;
        perTenThousand += this.markedBank(vocabulary).weighWith(list) * share * part;
      }
      const hit = new Set<number>();
      CONTEXT_BANK.scan(list, (text) => hit.add(text));
      per100Contexts += (hit.size * 100 * part) / CONTEXT_COUNT;
      if (this.own) list.scanEach(this.own.folded.get(profile)!, () => (inOwnText += part));
    }
    return {
      perTenThousand,
      per100Contexts,
      inOwnText: this.own && inOwnText,
      aWeek: this.aWeek(perTenThousand, per100Contexts, inOwnText),
    };
  }

  /** How often a new code would misfire in a week, by mark. */
  private ofNewCode(): Float64Array {
    const sums = new Float64Array(this.marks.count);
    for (const { profile, part } of this.devices) {
      for (const { vocabulary, share } of this.languages()) {
        misfiresOfLikely(vocabulary, profile, this.marks).forEach(
          (rate, mark) => (sums[mark]! += rate * share * part * this.wordsAWeek),
        );
      }
    }
    return sums;
  }

  /** The misfires under every mark. */
  private misfires() {
    const { marks, subjects } = this;
    const perTenThousand = new Float64Array(marks.count);
    const per100Contexts = new Float64Array(marks.count);
    const inOwnText = this.own && new Float64Array(marks.count);
    const all = new Float64Array(CONTEXT_COUNT).fill(100 / CONTEXT_COUNT);
    for (const { profile, part } of this.devices) {
      const tally = new MarkTally(marks, subjects, profile);
      const add = (into: Float64Array, sums: Float64Array, times: number) =>
        sums.forEach((sum, mark) => (into[mark]! += sum * times));
      for (const { vocabulary, share } of this.languages()) {
        const corpus = bankOf(vocabulary);
        const weighed = {
          folded: corpus.foldedFor(profile),
          starts: corpus.starts,
          weights: vocabulary.perTenThousand,
        };
        add(perTenThousand, tally.weigh(weighed), share * part);
        add(perTenThousand, tally.weighMarked(this.markedBank(vocabulary).weighedFor(profile)), share * part);
      }
      const contexts = { folded: CONTEXT_BANK.foldedFor(profile), starts: CONTEXT_BANK.starts, weights: all };
      add(per100Contexts, tally.weigh(contexts), part);
      if (this.own && inOwnText) add(inOwnText, tally.count(this.own.folded.get(profile)!), part);
    }
    const aWeek = perTenThousand.map((words, mark) => this.aWeek(words, per100Contexts[mark]!, inOwnText?.[mark] ?? 0));
    return { perTenThousand, per100Contexts, inOwnText, aWeek };
  }

  /**
   * Misfires in a week: a rate from languages and contexts, and, where there is own text, what was counted
   * there, each by the words it stands for (the mean of a gamma prior and Poisson counts).
   */
  private aWeek(perTenThousand: number, per100Contexts: number, inOwnText: number): number {
    const aWord = perTenThousand / 10_000 + per100Contexts / 100 / WORDS_A_CONTEXT;
    const rate = this.own ? (aWord * PRIOR_WORDS + inOwnText) / (PRIOR_WORDS + this.own.words) : aWord;
    return rate * this.wordsAWeek;
  }

  /** The words with marks in which the codes may fire. */
  private markedBank(vocabulary: Vocabulary): MarkedCorpus {
    let corpus = this.markedBanks.get(vocabulary);
    if (!corpus)
      this.markedBanks.set(
        vocabulary,
        (corpus = new MarkedCorpus(
          this.subjects.map(({ mnemonic }) => mnemonic),
          vocabulary,
        )),
      );
    return corpus;
  }

  private languages() {
    const { languages } = this.input;
    return languages.map(({ vocabulary, share }) => ({ vocabulary, share: share ?? 1 / languages.length }));
  }

  /** How many codes would be others than now, by mark. */
  private changes(): Float64Array {
    const { marks, subjects } = this;
    const changes = new Float64Array(marks.count).fill(subjects.length);
    for (const { mark } of subjects) {
      const index = marks.indexOf(mark);
      if (index >= 0) changes[index]! -= 1;
    }
    return changes;
  }

  private space(): Readonly<Record<'free' | 'of', Int32Array>> {
    const { marks, subjects, others } = this;
    const space = new FreeCodeSpace(marks);
    const of = space.count();
    for (const { code } of others) space.take(code);
    const free = space.count();
    // The codes themselves take room under every mark: only short ones can.
    const mnemonics = [...new Set(subjects.map(({ mnemonic }) => matchKey(mnemonic)))].filter((mnemonic) =>
      /^\p{L}{1,3}$/u.test(mnemonic),
    );
    const shorter = [3, 2, 1].map((most) => mnemonics.filter(({ length }) => length <= most));
    for (const [index, mark] of marks) {
      for (const mnemonic of shorter[markedBy(mark)] ?? []) {
        if (space.isFree(markCode(mnemonic, mark))) free[index]! -= 1;
      }
    }
    return { free, of };
  }

  /** How many codes would be the same as others, by mark. */
  private collisions(): Float64Array {
    const { marks, subjects, others } = this;
    const mnemonics = new Map<string, number>();
    for (const { mnemonic } of subjects)
      mnemonics.set(matchKey(mnemonic), (mnemonics.get(matchKey(mnemonic)) ?? 0) + 1);
    const collisions = new Float64Array(marks.count).fill(collisionsIn(subjects.map(({ mnemonic }) => mnemonic)));
    for (const { code } of others) {
      const parts = partsOf(matchKey(code));
      const index = parts ? marks.indexOf(parts.mark) : -1;
      if (parts && index >= 0) collisions[index]! += mnemonics.get(parts.mnemonic) ?? 0;
    }
    return collisions;
  }

  private claimsOf(mark: Mark): readonly Claim[] {
    const claims = new Set<Claim>();
    for (const beginning of this.beginnings) for (const claim of claimsOn(markCode(beginning, mark))) claims.add(claim);
    return [...claims];
  }

  /** What devices do to codes with a mark; one code stands for all, since nothing but the mark is asked about. */
  private trapsOf(mark: Mark): (TrapFound & { device: string })[] {
    const subject = this.subjects.find(({ mnemonic }) => /^\p{L}/u.test(mnemonic)) ?? this.subjects[0]!;
    const entry = { ...subject, code: markCode(subject.mnemonic, mark) };
    const languages = this.input.languages.map(({ vocabulary }) => vocabulary.language);
    return this.devices.flatMap(({ profile }) =>
      trapsOf(entry, CompiledList.compile([entry], profile), languages)
        .filter(({ trap }) => trap !== 'built-in entry')
        .map((trap) => ({ ...trap, device: profile.id })),
    );
  }
}

/** A text folded as each device makes it; those that change nothing share one. */
function foldedFor(devices: readonly Device[], text: string): Map<DeviceProfile, FoldedText> {
  const plain = foldAll(text);
  return new Map(
    devices.map(({ profile }) => {
      const made = madeForScan(text, profile);
      return [profile, made ? foldMade(text, made) : plain];
    }),
  );
}

/** How many characters a mark adds. */
function markedBy({ place, marker }: Mark): number {
  if (place === 'doubled') return 1;
  return place === 'both' ? marker.length * 2 : marker.length;
}

/** How many of some codes are the same as one before them. */
function collisionsIn(codes: readonly string[]): number {
  return codes.length - new Set(codes.map(matchKey)).size;
}

/** The characters that every keyboard in use types, folded, without blanks and capitals. */
export function charactersOf(inUse: readonly InUse[]): string[] {
  const typed = inUse.map(({ keyboard }) => new Set(keyboard.presses.map(({ gives }) => gives)));
  const [first, ...rest] = typed;
  return [...(first ?? [])].filter(
    (character) =>
      character.length === 1 &&
      /^[^\s\p{C}\p{M}]$/u.test(character) &&
      matchKey(character) === character &&
      rest.every((other) => other.has(character)),
  );
}

/** The devices of the keyboards in use, with their parts. */
function devicesOf(inUse: readonly InUse[]): Device[] {
  const shares = inUse.reduce((sum, { share }) => sum + share, 0);
  const devices = new Map<string, Device>();
  for (const { device, share } of inUse) {
    const part = (devices.get(device.id)?.part ?? 0) + share / shares;
    devices.set(device.id, { profile: device, part });
  }
  return [...devices.values()];
}
