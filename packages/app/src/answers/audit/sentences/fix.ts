import type { Comparison, Fix, ListFigure } from '@yellow-latch/core/clash';

import { MASK, shownExpansion, type Named } from './mask';
import { capitalise, counted, deviceName, shortened, tellNumber } from './words';

export type ShortcutOf = (id: string) => Named | undefined;

const HOW = {
  marked: 'with your marker',
  doubled: 'its first letter doubled',
  consonants: 'without its vowels',
  longer: 'from the words of its text',
  joined: 'without its space',
} as const;

const RULES = {
  offer: [
    'Only offer it',
    'It is shown while you type and goes in when you take it; where a device has no offers, it fires as before.',
  ],
  edge: [
    'Only at the start of a word',
    'It no longer fires in the middle of a word; where a device knows no such rule, it fires as before.',
  ],
  capitals: ['Whatever its capitals', 'It fires with a capital at the start of a sentence too.'],
} as const;

/** What a fix does: its name and a line that explains it. `about`: the shortcut that the finding is about. */
export function tellFix(fix: Fix, about: string, shortcutOf: ShortcutOf): { label: string; hint: string } {
  const codeOf = (id: string) => shortcutOf(id)?.code ?? '?';
  switch (fix.type) {
    case 'other code': {
      const whose = fix.id === about ? '' : `Instead of ${codeOf(fix.id)}, `;
      return { label: `Type ${fix.code}`, hint: capitalise(`${whose}${HOW[fix.how]}`) };
    }
    case 'other rules': {
      const [label, hint] = RULES[fix.asks];
      return { label: fix.id === about ? label : `${codeOf(fix.id)}: ${label.toLowerCase()}`, hint };
    }
    case 'correct text':
      return {
        label: 'Set the text right',
        hint: `“${shortcutOf(fix.id)?.private ? MASK : shortened(fix.expansion, 80)}”`,
      };
    case 'merge': {
      const kept = shortcutOf(fix.keep);
      return {
        label: `Keep only ${codeOf(fix.keep)}`,
        hint: `It gives “${shownExpansion(kept, 60)}”; ${fix.drop.map(codeOf).join(', ')} is deleted.`,
      };
    }
    case 'make private':
      return {
        label: 'Keep it on this device only',
        hint: 'It is erased from the server and your other devices, and hidden on the screen.',
      };
  }
}

/** What was done, for the line that offers to take it back. */
export function tellDone(fix: Fix, shortcutOf: ShortcutOf): string {
  const codeOf = (id: string) => shortcutOf(id)?.code ?? '?';
  switch (fix.type) {
    case 'other code':
      return `${codeOf(fix.id)} is now ${fix.code}.`;
    case 'other rules':
      return {
        offer: `${codeOf(fix.id)} is only offered now.`,
        edge: `${codeOf(fix.id)} fires only at the start of a word now.`,
        capitals: `${codeOf(fix.id)} fires whatever its capitals now.`,
      }[fix.asks];
    case 'correct text':
      return `The text of ${codeOf(fix.id)} is set right.`;
    case 'merge':
      return `${codeOf(fix.keep)} is the only one now.`;
    case 'make private':
      return `${codeOf(fix.id)} is on this device only now.`;
  }
}

/** The list's figure on each device, before and after; one line for each that changes, or one for none. */
export function tellFigures({ before, after }: Pick<Comparison, 'before' | 'after'>): string[] {
  const lines = Object.keys(after).flatMap((device) => {
    const was = before[device] ? tellPerTenThousand(before[device]) : 'none';
    const is = tellPerTenThousand(after[device]!);
    return was === is ? [] : [`${capitalise(deviceName(device))}: ${was} → ${is} in 10,000 words`];
  });
  return lines.length > 0 ? lines : ['The list’s misfires in ordinary words stay as they are.'];
}

/** How often a whole list misfires. Where none of its codes was met in the words that were counted, it is told how often at most. */
export function tellPerTenThousand({ perTenThousand, upTo }: Pick<ListFigure, 'perTenThousand' | 'upTo'>): string {
  return perTenThousand < 0.0005 ? `under ${tellNumber(Math.max(upTo, 0.0005))}` : tellNumber(perTenThousand);
}

/** What else goes and comes with a fix, beside the finding itself. */
export function tellSideEffects(gone: number, came: number): string {
  const parts = [
    ...(gone > 0 ? [`${counted(gone, 'other finding')} would be gone as well`] : []),
    ...(came > 0 ? [`${counted(came, 'new one')} would come`] : []),
  ];
  return parts.length === 0 ? 'Nothing else is found that was not there before.' : `${capitalise(parts.join(', '))}.`;
}
