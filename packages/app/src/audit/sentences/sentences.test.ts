import type { Finding } from '@yellow-latch/core/clash/finding';

import { tellFinding } from '.';

const told = (finding: Partial<Finding> & Pick<Finding, 'type'>, code = 'so') =>
  tellFinding(
    { severity: 'note', shortcuts: ['1', '2'], devices: [], count: 1, evidence: null, ...finding } as Finding,
    code,
    (id) => ({ '1': code, '2': ';ten' })[id] ?? '?',
  );

const misfires = (perTenThousand: number) => ({ perTenThousand, band: { low: 0.1, high: 4 }, byDevice: {}, examples: [] });

test.each<[string, Parameters<typeof told>[0]]>([
  ['so is a word: about 44 misfires in 10,000 words.', { type: 'word', evidence: misfires(43.5) }],
  ['so is a word: about 0.12 misfires in 10,000 words, once in 4.2 to 170 weeks.', { type: 'word', evidence: misfires(0.12) }],
  ['so is a word: about 1 misfire in 10,000 words.', { type: 'word', evidence: misfires(1) }],
  [';ten begins it and fires first on the computer: so can never fire there.', { type: 'unreachable', devices: ['computer-list'] } as never],
  [
    'so is taken by another shortcut, which goes first on the phone, the tablet and the computer.',
    { type: 'same code', devices: ['phone-list', 'tablet-list', 'computer-list'] } as never,
  ],
  ['so looks like ;ten.', { type: 'look-alike' }],
  ['The phone: its dashes are changed before it is complete.', {
    type: 'device trap',
    devices: ['phone-list'],
    evidence: { traps: [{ trap: 'smart dashes', device: 'phone-list', result: '—' }] },
  }],
  ['Perhaps a slip in the text: “tomorrow”?', {
    type: 'faulty expansion',
    evidence: { faults: [{ fault: 'likely misspelling', start: 0, end: 8, better: 'tomorrow' }] },
  }],
  ['What it gives looks like an account number; every device shows it.', {
    type: 'secret',
    evidence: { secrets: [{ kind: 'account', start: 0, end: 22 }] },
  }],
  ['Networks take # for a tag.', {
    type: 'claimed',
    evidence: {
      claims: [
        { beginning: '#', by: 'networks', meaning: 'a tag' },
        { beginning: '#', by: 'editors', meaning: 'a heading' },
      ],
    },
  }],
])('%s', (sentence, finding) => expect(told(finding)).toBe(sentence));
