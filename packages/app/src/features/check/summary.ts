import { plural, t } from '@lingui/core/macro';
import type { Brief, ListFigures } from '@yellow-latch/core/clash';
import { RISKY_FROM } from '@yellow-latch/core/clash/finding';

import { deviceNames, isWord, tellFinding, tellMisfires } from '@/answers/audit/sentences';

import { mostMisfiring } from './rows';

/** From which part of a list's misfires one code stands for most of them, and for nearly all. */
const MOSTLY = 0.5;
const NEARLY_ALL = 0.9;
/** How much more a device must misfire than every other for it to be named. */
const MUCH_MORE = 1.5;

/** What is wrong with a code, as its row says it. */
export interface Summary {
  /** The worst of it and where, in one sentence; the code stands beside it, on its plate. */
  readonly sentence: string;
  /** How many reasons there are besides; null: none. */
  readonly others: string | null;
}

type MisfireFinding = Extract<Brief, { type: 'word' | 'beginning of words' | 'inside words' }>;

/** Sums up what was found about a shortcut. `findings`: worst first. Misfires in words and in parts of words are one reason. */
export function summarize(findings: readonly Brief[], code: string, codeOf: (id: string) => string): Summary {
  const [worst] = findings as [Brief];
  const misfires = isMisfire(worst) ? findings.filter(isMisfire) : [];
  const more = findings.length - Math.max(1, misfires.length);
  return {
    sentence: misfires.length > 0 ? tellMisfire(misfires, code) : tellWorst(worst, code, codeOf),
    others: more > 0 ? plural(more, { one: '# more reason', other: '# more reasons' }) : null,
  };
}

function isMisfire(finding: Brief): finding is MisfireFinding {
  return finding.type === 'word' || finding.type === 'beginning of words' || finding.type === 'inside words';
}

function tellMisfire(misfires: readonly MisfireFinding[], code: string): string {
  const asWord = misfires.find(({ type }) => type === 'word');
  if (asWord?.evidence.isAssumed) return t`A common abbreviation: it expands each time you mean that.`;
  const byDevice = new Map<string, number>();
  for (const { evidence } of misfires)
    for (const [device, here] of Object.entries(evidence.byDevice))
      byDevice.set(device, (byDevice.get(device) ?? 0) + here);
  const most = Math.max(...byDevice.values());
  const often = tellMisfires({ perTenThousand: most });
  // Parts of words concern the devices that do not wait for a word to end: they are named.
  const isPart = misfires.some(({ type }) => type !== 'word');
  const where = deviceNames([...byDevice].filter(([, here]) => here === most).map(([device]) => device));
  if (!asWord) return t`Other words contain it: on ${where} it expands by mistake ${often}.`;
  if (isPart) return t`A word, and part of others: on ${where} it expands by mistake ${often}.`;
  if (!isWord(code)) return t`Comes up in ordinary text: it expands by mistake ${often}.`;
  return most >= 1 ? t`An everyday word: it expands by mistake ${often}.` : t`A word: it expands by mistake ${often}.`;
}

function tellWorst(finding: Brief, code: string, codeOf: (id: string) => string): string {
  const other = finding.shortcuts[1] === undefined ? '' : codeOf(finding.shortcuts[1]);
  const where = finding.devices.length === 0 ? null : deviceNames(finding.devices);
  switch (finding.type) {
    case 'unreachable':
    case 'broken inside':
      return where
        ? t`Never expands on ${where}, because “${other}” expands first.`
        : t`Never expands, because “${other}” expands first.`;
    case 'delayed':
      return t`Waits for your next key, because “${other}” starts the same way.`;
    case 'loop':
      return where
        ? t`Its text leads back to it: on ${where} it goes on forever.`
        : t`Its text leads back to it and goes on forever.`;
    default:
      return tellFinding(finding, code, codeOf);
  }
}

/** How often a whole list expands by mistake on the device where it does most, and which code is to blame. */
export function tellListFigure(figures: ListFigures, open: readonly Brief[], codeOf: (id: string) => string): string {
  const devices = Object.entries(figures).sort(([, a], [, b]) => b.perTenThousand - a.perTenThousand);
  const [worst, second] = devices;
  if (!worst || worst[1].perTenThousand < RISKY_FROM) return t`Your list practically never expands by mistake.`;
  const [device, figure] = worst;
  const often = tellMisfires(figure);
  const most = mostMisfiring(open, device);
  const code = most ? codeOf(most.id) : '';
  const share = most?.share ?? 0;
  const isNamed = second !== undefined && figure.perTenThousand >= second[1].perTenThousand * MUCH_MORE;
  const where = isNamed ? deviceNames([device]) : '';
  if (share >= NEARLY_ALL)
    return isNamed
      ? t`On ${where}, your list expands by mistake ${often}, nearly all of it “${code}”.`
      : t`Your list expands by mistake ${often}, nearly all of it “${code}”.`;
  if (share >= MOSTLY)
    return isNamed
      ? t`On ${where}, your list expands by mistake ${often}, mostly “${code}”.`
      : t`Your list expands by mistake ${often}, mostly “${code}”.`;
  return isNamed ? t`On ${where}, your list expands by mistake ${often}.` : t`Your list expands by mistake ${often}.`;
}
