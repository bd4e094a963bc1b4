import { munkres } from 'munkres';

import { Audit, type AuditedShortcut } from '../packages/core/src/clash';
import { planCodes, solve, solveGreedily, weighAll, type Planned, type Solved } from '../packages/core/src/codePlan';
import { assignKeys } from '../packages/core/src/codePlan/assignment';
import { problemOf, type TestOption } from '../packages/core/src/codePlan/testing';
import { settleRules } from '../packages/core/src/fire';
import { DEVICE_PROFILES } from '../packages/core/src/profile';
import { KEYBOARDS } from '../packages/core/src/effort/layouts';
import { entry, randomFrom } from '../packages/core/src/fire/testing';
import { matchKey, type Mark } from '../packages/core/src/model';
import { costOfCode, proposeCodes } from '../packages/core/src/propose';
import { parseLookAlikes, parseVocabulary, confusableSkeleton } from '../packages/language/src';
import { buildLookAlikes, buildVocabulary } from '../packages/language/src/build';
import { madeUpList } from './lists';
import { median, medianTimes, percentile, round, timesInTurn, type Figure } from './measure';

const MARK: Mark = { place: 'before', marker: ';' };
const keyboardOf = (id: string) => KEYBOARDS.find((keyboard) => keyboard.id === id)!;
const IN_USE = [
  { keyboard: keyboardOf('phone-en'), share: 6, pace: 1, device: DEVICE_PROFILES['phone-list'] },
  { keyboard: keyboardOf('hardware-en-gb'), share: 2, pace: 1, device: DEVICE_PROFILES.expander },
];
const english = parseVocabulary(buildVocabulary('en'));
const lookAlikes = parseLookAlikes(buildLookAlikes());
const skeletonOf = (key: string) => confusableSkeleton(key, lookAlikes);

/** Texts of three to eight words, commoner ones more often, as messages are. Uses follow Zipf's law, in no order. */
function texts(count: number, seed: number): { text: string; uses: number }[] {
  const random = randomFrom(seed);
  const words = english.words.slice(200, 6_000).filter((word) => /^[a-z]{3,}$/u.test(word));
  const ranks = Array.from({ length: count }, (_, at) => at + 1);
  for (let at = count - 1; at > 0; at -= 1) {
    const other = Math.floor(random() * (at + 1));
    [ranks[at], ranks[other]] = [ranks[other]!, ranks[at]!];
  }
  return ranks.map((rank) => ({
    text: Array.from(
      { length: 3 + Math.floor(random() * 6) },
      () => words[Math.floor(words.length * random() ** 3)]!,
    ).join(' '),
    uses: 60 / rank,
  }));
}

const shortcutOf = (id: string, code: string, expansion: string): AuditedShortcut => ({
  id,
  code,
  content: { expansion, template: false, format: 'plain' },
  kind: 'message',
  setId: null,
});

/** Five codes for a text, each checked, beside a list of 100 and one of 10,000. */
export function propose(): Figure[] {
  const asked = texts(40, 5).map(({ text }) => shortcutOf('~new', '', text));
  const audits = [100, 10_000].map((count) => {
    const shortcuts = madeUpList(count, 1, 3).map(({ id, code, expansion }) =>
      shortcutOf(id, code, `The ${expansion} is here`),
    );
    const audit = Audit.run({
      list: { sets: [], shortcuts },
      profiles: IN_USE.map(({ device }) => device),
      languages: [{ vocabulary: english }],
      skeletonOf,
    });
    audit.prepare();
    return audit;
  });
  const five = (audit: Audit, shortcut: AuditedShortcut): number => {
    const [own] = settleRules({ ...audit.rules, shortcuts: [shortcut] });
    const proposals = proposeCodes({ entry: own!, kind: 'message', mark: MARK, inUse: IN_USE, codes: audit.codes });
    return audit.firstSafe(
      shortcut,
      proposals.map(({ code }) => code),
      5,
    ).length;
  };
  const found = audits.map((audit) => asked.reduce((sum, shortcut) => sum + five(audit, shortcut), 0));
  const times = asked.map((shortcut) =>
    timesInTurn(
      5,
      audits.map((audit) => () => void five(audit, shortcut)),
    ).map(median),
  );
  const [small, large] = [0, 1].map((at) =>
    percentile(
      times.map((pair) => pair[at]!),
      95,
    ),
  ) as [number, number];
  return [
    {
      name: 'propose',
      what: `five codes for a text, each checked on two devices, beside a list of 10,000, p95 of 40 texts (${found.join(' and ')} proposals)`,
      ours: round(large),
      peer: `${round(small)} ms, beside a list of 100`,
      ratio: round(large / small),
      unit: 'ms',
      bar: '≤ 1.5',
      holds: large / small <= 1.5,
    },
  ];
}

function plannedOf(count: number, seed: number): Planned[] {
  return texts(count, seed).map(({ text, uses }, at) => ({
    entry: entry(`;old${at.toString(36)}code`, text, { id: at.toString(36).padStart(6, '0') }),
    kind: 'message',
    mark: MARK,
    uses,
    misfires: 0,
    isUnsafe: false,
    isLocked: false,
  }));
}

function solved(problem: Parameters<typeof solve>[0]): Solved {
  const steps = solve(problem);
  for (;;) {
    const { done, value } = steps.next();
    if (done) return value;
  }
}

/** The whole list: assignment alone beside the Hungarian algorithm; with conflicts beside the cheapest in list order. */
export function plan(): Figure[] {
  return [planWithout(), ...planWith(), planLarge(), planKspc()];
}

function planWithout(): Figure {
  const random = randomFrom(3);
  const options: TestOption[][] = Array.from({ length: 500 }, (_, i) => {
    const some = new Map<string, number>();
    while (some.size < 12) some.set(`k${Math.floor(random() * 900)}`, Math.round(random() * 1_000) / 100);
    some.set(`own${i}`, 40);
    return [...some];
  });
  const problem = problemOf(options, { isInstant: false });
  const columns = new Map(problem.keys.map((key, at) => [key, at]));
  const matrix = options.map((some) => {
    const row = new Float64Array(problem.keyCount).fill(1e6);
    for (const [key, cost] of some) row[columns.get(key)!] = cost;
    return row;
  });
  let ours = 0;
  let theirs = 0;
  const [time, peer] = medianTimes(7, [
    () => (ours = assignKeys(problem).cost),
    () => (theirs = munkres(matrix).reduce((sum, [row, column]) => sum + matrix[row]![column]!, 0)),
  ]) as [number, number];
  const isEqual = Math.abs(ours - theirs) < 1e-6;
  return {
    name: 'plan-assignment',
    what: `codes for 500 shortcuts, no conflicts but equal codes, ${isEqual ? 'equal cost' : 'COSTS DIFFER'}`,
    ours: round(time),
    peer: `${round(peer)} ms, munkres`,
    ratio: round(peer / time),
    unit: 'ms',
    bar: '≥ 20',
    holds: isEqual && peer / time >= 20,
  };
}

function planWith(): Figure[] {
  const input = { shortcuts: plannedOf(2_000, 7), inUse: IN_USE, price: 0, skeletonOf };
  let best: Solved | null = null;
  let greedy = 0;
  const [time, peer] = medianTimes(7, [
    () => (best = solved(weighAll(input).problem)),
    () => (greedy = solveGreedily(weighAll(input).problem).cost),
  ]) as [number, number];
  const { cost, bound } = best!;
  const part = (greedy - cost) / greedy;
  return [
    {
      name: 'plan',
      what: `a plan for 2,000 shortcuts with conflicts; ${round((cost / bound - 1) * 100)} % above its bound at most`,
      ours: round(time),
      peer: `${round(peer)} ms, each the cheapest that is free, in list order`,
      ratio: round(time / peer),
      unit: 'ms',
      bar: '≤ 4',
      holds: time / peer <= 4,
    },
    {
      name: 'plan-cost',
      what: 'what the codes of that plan take in a week',
      ours: round(cost),
      peer: `${round(greedy)} s, in list order`,
      ratio: round(part * 100),
      unit: 's',
      bar: '≥ 10 % cheaper',
      holds: part >= 0.1,
    },
  ];
}

function planLarge(): Figure {
  const input = { shortcuts: plannedOf(10_000, 9), inUse: IN_USE, price: 0, skeletonOf };
  let longest = 0;
  const begun = performance.now();
  let before = begun;
  const steps = planCodes({ ...input, unsafeWith: () => [] });
  for (;;) {
    const { done } = steps.next();
    const now = performance.now();
    longest = Math.max(longest, now - before);
    before = now;
    if (done) break;
  }
  return {
    name: 'plan-large',
    what: 'a plan for 10,000 shortcuts with conflicts, in a worker; the longest step between two messages',
    ours: round(longest),
    peer: `${round(before - begun)} ms in all`,
    ratio: round(longest / (before - begun)),
    unit: 'ms',
    bar: 'told',
    holds: true,
  };
}

/** Keystrokes per character of the texts, by their codes. */
function planKspc(): Figure {
  const shortcuts = plannedOf(2_000, 7);
  const { problem, options } = weighAll({ shortcuts, inUse: IN_USE, price: 0, skeletonOf });
  const { chosen } = solved(problem);
  const kspc = (codes: readonly string[]) => {
    let taps = 0;
    let characters = 0;
    shortcuts.forEach(({ entry: own, uses }, at) => {
      const cost = costOfCode(codes[at]!, own, IN_USE);
      taps += uses * (cost === 'nowhere' ? 0 : cost.taps!);
      characters += uses * own.expansion.length;
    });
    return taps / characters;
  };
  const taken = new Set<string>();
  const free = (codes: Iterable<string>): string => {
    for (const code of codes) {
      const key = matchKey(code);
      if (taken.has(key)) continue;
      taken.add(key);
      return code;
    }
    throw new Error('no code is free');
  };
  const numbered = function* (base: string) {
    yield `;${base}`;
    for (let n = 2; ; n += 1) yield `;${base}${n}`;
  };
  const initials = shortcuts.map(({ entry: { expansion } }) =>
    free(
      numbered(
        expansion
          .split(' ')
          .map((word) => word[0])
          .join(''),
      ),
    ),
  );
  taken.clear();
  const letters = shortcuts.map(({ entry: { expansion } }) =>
    free(
      (function* () {
        const plain = expansion.replaceAll(' ', '');
        for (let length = 2; length <= plain.length; length += 1) yield `;${plain.slice(0, length)}`;
        yield* numbered(plain);
      })(),
    ),
  );
  const ours = kspc(Array.from(chosen, (option) => options[option]!.code));
  const [byInitials, byLetters] = [kspc(initials), kspc(letters)];
  return {
    name: 'plan-kspc',
    what: 'keystrokes per character of 2,000 texts by their planned codes',
    ours: round(ours),
    peer: `${round(byInitials)} by initials, ${round(byLetters)} by the first letters that are free`,
    ratio: round(ours / Math.min(byInitials, byLetters)),
    unit: 'taps',
    bar: '< 1',
    holds: ours < byInitials && ours < byLetters,
  };
}
