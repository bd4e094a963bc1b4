import { bankOf, CONTEXT_BANK } from '../packages/core/src/clash';
import { compareMarks, markCode, partsOf } from '../packages/core/src/convention';
import { pricerOf, type InUse } from '../packages/core/src/effort';
import { KEYBOARDS } from '../packages/core/src/effort/layouts';
import { CompiledList, foldAll, settleRules, type RuledList } from '../packages/core/src/fire';
import { DEVICE_PROFILES } from '../packages/core/src/profile';
import { parseVocabulary } from '../packages/language/src';
import { buildVocabulary } from '../packages/language/src/build';
import { brownText } from './brown';
import { madeUpList } from './lists';
import { medianTime, round, type Figure } from './measure';

const CODES = 200;
/** So many marks are weighed the plain way, and counted up. */
const SAMPLE = 10;

const use = (id: string, share: number, device: InUse['device']): InUse => ({
  keyboard: KEYBOARDS.find((keyboard) => keyboard.id === id)!,
  share,
  pace: 1,
  device,
});

/** All marks of one and two characters, on three keyboards, with English words and 1 MB of own text. */
export function markers(): Figure[] {
  const vocabulary = parseVocabulary(buildVocabulary('en'));
  const ownText = brownText(1_000_000, __filename);
  const shortcuts = madeUpList(CODES).map(({ id, code, expansion }): RuledList['shortcuts'][number] => ({
    id,
    code,
    content: { expansion, template: false, format: 'plain' },
    kind: 'message',
    setId: null,
  }));
  const inUse = [
    use('phone-en', 6, DEVICE_PROFILES['phone-list']),
    use('tablet-figures-en', 2, DEVICE_PROFILES['tablet-list']),
    use('hardware-en-gb', 2, DEVICE_PROFILES.expander),
  ];
  const input = {
    list: { sets: [], shortcuts },
    scope: { of: 'list' },
    inUse,
    languages: [{ vocabulary }],
    usesAWeek: () => 2,
    ownText,
  } as const;
  let marks = 0;
  const compare = () => {
    const comparison = compareMarks(input);
    marks = 'type' in comparison ? 0 : comparison.marks;
  };
  const start = performance.now();
  compare();
  const first = performance.now() - start;
  const ours = medianTime(5, compare);
  const entries = settleRules({ sets: [], shortcuts }).map((entry) => ({
    ...entry,
    mnemonic: partsOf(entry.code)!.mnemonic,
  }));
  const own = foldAll(ownText);
  // The engine's own scan, which is quick, for each mark anew.
  const plain = medianTime(1, () => {
    for (const marker of [...';,.#/!?-+@'].slice(0, SAMPLE)) {
      const marked = entries.map((entry) => ({
        ...entry,
        code: markCode(entry.mnemonic, { place: 'before', marker }),
      }));
      let hits = 0;
      for (const { keyboard, device } of inUse) {
        for (const { code } of marked) hits += pricerOf(keyboard).price(`so ${code} `).type === 'price' ? 1 : 0;
        const list = CompiledList.compile(marked, device);
        bankOf(vocabulary).scan(list, () => (hits += 1));
        CONTEXT_BANK.scan(list, () => (hits += 1));
        list.scanEach(own, () => (hits += 1));
      }
      if (hits === 0) throw new Error('nothing was met');
    }
  });
  const plainAll = (plain / SAMPLE) * marks;
  return [
    {
      name: 'markers',
      what: `${marks.toLocaleString('en')} marks for ${CODES} codes: effort on three keyboards, misfires in English words, contexts and 1 MB of own text`,
      ours: round(ours),
      peer: `${round(plainAll)} ms, the list marked, priced and scanned for each mark by itself (measured on ${SAMPLE})`,
      ratio: round(plainAll / ours),
      unit: 'ms',
      bar: '≤ 1,000 ms',
      holds: ours <= 1_000 && marks >= 1_000,
    },
    {
      name: 'markers-first',
      what: 'the same the first time, tables made',
      ours: round(first),
      peer: `${round(ours)} ms, once they are`,
      ratio: round(first / ours),
      unit: 'ms',
      bar: '≤ 1.5',
      limit: 'nothing to make: 1',
      holds: first / ours <= 1.5,
    },
  ];
}
