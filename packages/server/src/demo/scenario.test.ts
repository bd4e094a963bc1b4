import { Audit } from '@yellow-latch/core/clash';
import { DEVICE_PROFILES } from '@yellow-latch/core/profile';
import { guessKind } from '@yellow-latch/core/mnemonic';
import { confusableSkeleton, parseLookAlikes, parseVocabulary } from '@yellow-latch/language';
import { buildLookAlikes, buildVocabulary } from '@yellow-latch/language/build';

import { DEMO_SETS } from '@yellow-latch/core/scenario';

const lookAlikes = parseLookAlikes(buildLookAlikes());

const audit = Audit.run({
  list: {
    sets: [],
    shortcuts: DEMO_SETS.flatMap(({ shortcuts }, set) =>
      shortcuts.map(([code, expansion, kind], i) => ({
        id: `${String(set)}-${String(i).padStart(2, '0')} ${code}`,
        code,
        content: { expansion, template: false, format: 'plain' as const },
        kind: kind ?? guessKind(expansion),
        setId: null,
      })),
    ),
  },
  profiles: [DEVICE_PROFILES['phone-list'], DEVICE_PROFILES['tablet-list'], DEVICE_PROFILES.expander],
  languages: [{ vocabulary: parseVocabulary(buildVocabulary('en')) }],
  skeletonOf: (key) => confusableSkeleton(key, lookAlikes),
});

const told = audit.findings.map(
  ({ type, severity, shortcuts }) => `${severity}: ${type} ${shortcuts[0]!.split(' ')[1]}`,
);

test('the faults that the demo list has in life are found, each with its type', () => {
  expect(told).toEqual(
    expect.arrayContaining([
      'breaks: word so',
      'risky: word ham',
      'breaks: same code ;PK',
      'breaks: unreachable ;tenp',
      'note: faulty expansion ;resch',
      'note: faulty expansion ;rec',
      'risky: secret ;iban',
      'note: claimed #res',
      'note: claimed /due',
      'breaks: device trap -----',
    ]),
  );
});

test('nothing else of it breaks', () => {
  const breaking = told.filter((line) => line.startsWith('breaks'));
  expect(breaking.filter((line) => !/ (so|ham|;PK|;tenp|-----)$/.test(line))).toEqual([]);
});
