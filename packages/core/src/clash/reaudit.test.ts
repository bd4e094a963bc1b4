import { CompiledList, settleRules } from '../fire';
import { pick, randomFrom } from '../fire/testing';
import { DEVICE_PROFILES } from '../profile';
import { Audit } from './audit';
import { ContextCorpus, hitsIn, type Hit } from './contextCorpus';
import type { AuditedShortcut } from './item';
import { listOf, PROFILES, shortcut, vocabularyOf } from './testing';

/** `npm run soak` takes ten times as many lists. */
const LISTS = process.env.YELLOW_LATCH_SOAK ? 200 : 8;

const LETTERS = ['a', 'b', 'c', 'é', 'ß', ';', '!', '.', "'", 'o', 's', '1'];
const WORDS = ['so', 'a', 'ab', 'abc', 'sob', 'cab', 'boss', 'café', 'straße', "o'c", 'bob', 'scab', 'oboe', 'b', 'c'];

function randomShortcut(random: () => number, id: string): AuditedShortcut {
  const some = (most: number) =>
    Array.from({ length: 1 + Math.floor(random() * most) }, () => pick(random, LETTERS)).join('');
  const expansion = random() < 0.2 ? 'same' : Array.from({ length: 3 }, () => some(4)).join(' ');
  return shortcut(id, some(4), expansion, {
    kind: pick(random, ['message', 'symbol', 'link']),
    rules: {
      ...(random() < 0.4 ? { fires: pick(random, ['delimiter', 'instant', 'offer']) } : {}),
      ...(random() < 0.3 ? { capitals: pick(random, ['ignore', 'match']) } : {}),
    },
  });
}

const vocabulary = vocabularyOf(WORDS);
const input = (shortcuts: readonly AuditedShortcut[]) => ({
  list: listOf(shortcuts),
  profiles: [...PROFILES, { ...DEVICE_PROFILES.expander, id: 'rescanning', rescans: true }],
  languages: [
    { vocabulary, share: 0.7 },
    { vocabulary: vocabularyOf(['sauce', 'ob', 'bas'], 'fr'), share: 0.3 },
  ],
  skeletonOf: (key: string) => key.replaceAll('1', 'l').replaceAll("'", '!'),
});

/** All that an audit says, in one order. */
function told(audit: Audit) {
  const findings = audit.findings.map((finding) => ({ ...finding, devices: [...finding.devices].sort() }));
  const name = ({ type, shortcuts }: (typeof findings)[number]) => `${type} ${shortcuts[0]}`;
  return {
    findings: Object.fromEntries(findings.map((finding) => [name(finding), essence(finding)])),
    figures: Object.fromEntries(
      Object.entries(audit.figures).map(([device, { perTenThousand, per100Contexts }]) => [
        device,
        [perTenThousand.toFixed(6), per100Contexts],
      ]),
    ),
  };
}

/** What of a finding does not depend on the order in which texts were looked at. */
function essence({ severity, devices, count, type }: Audit['findings'][number]) {
  return { severity, devices, count, type };
}

test('after any number of edits an audit says what a new one of the same list says', () => {
  for (let seed = 1; seed <= LISTS; seed += 1) {
    const random = randomFrom(seed);
    const shortcuts = new Map<string, AuditedShortcut>();
    for (let i = 0; i < 12; i += 1) shortcuts.set(`s${i}`, randomShortcut(random, `s${i}`));
    const audit = Audit.run(input([...shortcuts.values()]));
    for (let edit = 0; edit < 6; edit += 1) {
      const id = `s${Math.floor(random() * 15)}`;
      if (random() < 0.3) {
        shortcuts.delete(id);
        audit.change({ remove: [id] });
      } else {
        const changed = randomShortcut(random, id);
        shortcuts.set(id, changed);
        audit.change({ put: [changed] });
      }
      expect({ seed, edit, ...told(audit) }).toEqual({
        seed,
        edit,
        ...told(Audit.run(input([...shortcuts.values()]))),
      });
    }
  }
}, 600_000);

test('a preview tells what a change would do and leaves everything as it was', () => {
  const random = randomFrom(9);
  const shortcuts = Array.from({ length: 14 }, (_, i) => randomShortcut(random, `s${i}`));
  const audit = Audit.run(input(shortcuts));
  const before = told(audit);
  for (let i = 0; i < 40; i += 1) {
    const changed = randomShortcut(random, `s${i % 16}`);
    const figures = audit.preview({ put: [changed] });
    const after = Audit.run(input([...shortcuts.filter(({ id }) => id !== changed.id), changed]));
    for (const [device, { perTenThousand }] of Object.entries(after.figures)) {
      expect(figures[device]!.perTenThousand).toBeCloseTo(perTenThousand, 6);
    }
    expect(told(audit)).toEqual(before);
  }
});

test('asking caret by caret finds what a scan of all texts finds', () => {
  for (let seed = 1; seed <= 150; seed += 1) {
    const random = randomFrom(seed);
    const shortcuts = Array.from({ length: 10 }, (_, i) => randomShortcut(random, `s${i}`));
    for (const profile of PROFILES) {
      const list = CompiledList.compile(settleRules(listOf(shortcuts)), profile);
      const texts = [...WORDS, ...shortcuts.map(({ content }) => content.expansion), 'a.b;c!', ''];
      const scanned: Hit[][] = texts.map(() => []);
      new ContextCorpus(texts).scan(list, (text, start, end, entry) => scanned[text]!.push({ start, end, entry }));
      const plain = (hits: Hit[]) => hits.map(({ start, end, entry }) => `${start}-${end} ${entry.id}`).sort();
      texts.forEach((text, i) => {
        expect([seed, profile.id, text, ...plain(hitsIn(list, text))]).toEqual([
          seed,
          profile.id,
          text,
          ...plain(scanned[i]!),
        ]);
      });
    }
  }
});
