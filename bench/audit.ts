import { Audit, scanOwnText, type AuditedShortcut } from '../packages/core/src/clash';
import { CompiledList, settleRules } from '../packages/core/src/fire';
import { DEVICE_PROFILES } from '../packages/core/src/profile';
import { confusableSkeleton, parseLookAlikes, parseVocabulary } from '../packages/language/src';
import { buildLookAlikes, buildVocabulary } from '../packages/language/src/build';
import { brownText } from './brown';
import { madeUpList } from './lists';
import {
  median,
  medianTime,
  medianTimes,
  memoryInUse,
  paired,
  PAIRS,
  ratioOf,
  round,
  timesInTurn,
  type Figure,
} from './measure';

const english = parseVocabulary(buildVocabulary('en'));
const lookAlikes = parseLookAlikes(buildLookAlikes());
const PROFILES = [DEVICE_PROFILES['phone-list'], DEVICE_PROFILES.expander, DEVICE_PROFILES.app];

function shortcutsOf(count: number, longer = 0): AuditedShortcut[] {
  return madeUpList(count, 1, longer).map(({ id, code, expansion }) => ({
    id,
    code,
    content: { expansion: `The ${expansion} is written out here`, template: false, format: 'plain' },
    kind: 'message',
    setId: null,
  }));
}

const inputOf = (shortcuts: readonly AuditedShortcut[]) => ({
  list: { sets: [], shortcuts },
  profiles: PROFILES,
  languages: [{ vocabulary: english }],
  skeletonOf: (key: string) => confusableSkeleton(key, lookAlikes),
});

/** The plain way to misfires alone: every code against every word, on one device. */
function plainMisfires(shortcuts: readonly AuditedShortcut[]): number {
  let sum = 0;
  for (const { code } of shortcuts) {
    const key = code.toLowerCase();
    english.words.forEach((word, i) => {
      if (word === key) sum += english.perTenThousand[i]!;
    });
  }
  return sum;
}

export function audit(): Figure[] {
  const shortcuts = shortcutsOf(10_000);
  const input = inputOf(shortcuts);
  // The plain way is measured on a hundredth of the codes.
  const [times, plain] = timesInTurn(PAIRS, [
    () => void Audit.run(input),
    () => void plainMisfires(shortcuts.slice(0, 100)),
  ]) as [number[], number[]];
  const whole = plain.map((time) => time * 100);
  const { ratio, spread } = ratioOf(whole, times);
  return [
    {
      name: 'audit',
      what: 'full audit: 10,000 shortcuts, three devices, 60,000 English words',
      ours: round(median(times)),
      peer: `${round(median(whole))} ms, every code against every word, misfires on one device alone`,
      ratio,
      spread,
      unit: 'ms',
      bar: '≥ 60 ×',
      holds: ratio >= 60,
    },
  ];
}

export function auditGrowth(): Figure[] {
  // With codes as short as those of the smaller list, ten times the codes clash thirty times as often.
  const small = inputOf(shortcutsOf(5_000, 3));
  const large = inputOf(shortcutsOf(50_000, 3));
  const found = [small, large].map((input) => Audit.run(input).findings.length);
  const [atSmall, atLarge] = timesInTurn(PAIRS, [() => void Audit.run(small), () => void Audit.run(large)]) as [
    number[],
    number[],
  ];
  return [
    paired({
      name: 'audit-growth',
      what: `full audit of 50,000 shortcuts beside one of 5,000 (${found.join(' and ')} findings)`,
      ours: atLarge,
      beside: atSmall,
      peer: 'a tenth of the list',
      atMost: 10.5,
      limit: 'reading ten times as much: 10',
    }),
  ];
}

export function reaudit(): Figure[] {
  const shortcuts = shortcutsOf(10_000);
  const input = inputOf(shortcuts);
  const full = medianTime(3, () => void Audit.run(input));
  const checked = Audit.run(input);
  checked.prepare();
  const codes = ['ham', ';harbour', 'them', 'oar*', ';w', 'workshop', '#felt', 'so', ';ten', 'piano'];
  const times = codes.flatMap((code, i) => {
    const shortcut = shortcuts[i * 997]!;
    return [{ ...shortcut, code }, shortcut].map((put) => {
      const start = performance.now();
      checked.change({ put: [put] });
      return performance.now() - start;
    });
  });
  const first = times[0]!;
  const time = median(times);
  return [
    {
      name: 'reaudit',
      what: `after one edit of 10,000 shortcuts, three devices (median of ${times.length}; the first took ${round(first)} ms)`,
      ours: round(time),
      peer: `${round(full)} ms, a full audit`,
      ratio: round(full / time),
      unit: 'ms',
      bar: '≤ 10 ms',
      holds: time <= 10,
    },
  ];
}

export function ownText(): Figure[] {
  const text = brownText(1_000_000, __filename);
  const shortcuts = shortcutsOf(10_000);
  const list = CompiledList.compile(settleRules({ sets: [], shortcuts }), DEVICE_PROFILES['phone-list']);
  const lower = text.toLowerCase();
  const [time, plain] = medianTimes(5, [
    () => void scanOwnText(text, list),
    () => {
      let found = 0;
      for (const { code } of shortcuts.slice(0, 1_000)) {
        const key = code.toLowerCase();
        for (let at = lower.indexOf(key); at >= 0; at = lower.indexOf(key, at + 1)) found += 1;
      }
      if (found < 0) throw new Error('never');
    },
  ]) as [number, number];
  return [
    {
      name: 'own-text',
      what: '1 MB of own text against 10,000 codes, counts and lines included',
      ours: round(time),
      peer: `${round(plain * 10)} ms, indexOf for each code (measured on 1,000), edges and counts left out`,
      ratio: round((plain * 10) / time),
      unit: 'ms',
      bar: '≤ 150 ms',
      holds: time <= 150,
    },
  ];
}

/** A full audit of so many shortcuts. */
export function auditOf(count: number): () => void {
  const input = inputOf(shortcutsOf(count, 3));
  return () => void Audit.run(input);
}

/** What a check of so many shortcuts holds, made ready for edits, beyond what is there with none; in bytes. */
export function auditMemory(count: number): number {
  const held = (shortcuts: AuditedShortcut[]) => {
    const input = inputOf(shortcuts);
    const before = memoryInUse();
    const checked = Audit.run(input);
    checked.prepare();
    const bytes = memoryInUse() - before;
    if (shortcuts.length > 0 && checked.findings.length === 0) throw new Error('nothing was found');
    return bytes;
  };
  const none = held([]);
  return held(shortcutsOf(count, 3)) - none;
}
