import { i18n, type MessageDescriptor } from '@lingui/core';
import { msg, plural, t } from '@lingui/core/macro';
import type { Comparison, Fix, ListFigure } from '@yellow-latch/core/clash';
import { RISKY_FROM } from '@yellow-latch/core/clash/finding';

import { tellList, tellNumber } from '@/wording/format';

import { MASK, shownExpansion, type Named } from './mask';
import { deviceLabel } from './places';
import { shortened } from './words';

export type ShortcutOf = (id: string) => Named | undefined;

type HowMade = Extract<Fix, { type: 'other code' }>['how'];

const HOW: Record<HowMade, MessageDescriptor> = {
  marked: msg`With your marker`,
  doubled: msg`With its first letter doubled`,
  consonants: msg`Without its vowels`,
  longer: msg`Made from the words of its text`,
  joined: msg`Without its space`,
  word: msg`A word of its text`,
  name: msg`What it’s called`,
  kind: msg`What kind of thing it is`,
  initials: msg`The initials of its text`,
  syllable: msg`The beginning of a word`,
  'two words': msg`The beginnings of two words`,
  like: msg`Like another code of its kind`,
  number: msg`With a number`,
};

type Asked = Extract<Fix, { type: 'other rules' }>['asks'];

const RULES: Record<Asked, { readonly label: MessageDescriptor; readonly hint: MessageDescriptor }> = {
  offer: {
    label: msg`Only suggest it`,
    hint: msg`You see it while you type and tap it to use it. Devices without suggestions expand it as before.`,
  },
  edge: {
    label: msg`Only at the start of a word`,
    hint: msg`It stops expanding in the middle of words. Devices that can’t do that expand it as before.`,
  },
  capitals: { label: msg`Ignore capitals`, hint: msg`It expands at the start of a sentence too.` },
};

/** What a fix does: its name and a line that explains it. `about`: the shortcut that the finding is about. */
export function tellFix(fix: Fix, about: string, shortcutOf: ShortcutOf): { label: string; hint: string } {
  const codeOf = (id: string) => shortcutOf(id)?.code ?? '?';
  switch (fix.type) {
    case 'other code': {
      const { code } = fix;
      const old = codeOf(fix.id);
      const how = i18n._(HOW[fix.how]);
      return { label: t`Use ${code}`, hint: fix.id === about ? how : t`${how}, instead of “${old}”` };
    }
    case 'other rules': {
      const { label, hint } = RULES[fix.asks];
      const code = codeOf(fix.id);
      const what = i18n._(label);
      return { label: fix.id === about ? what : t`${code}: ${what}`, hint: i18n._(hint) };
    }
    case 'correct text': {
      const text = shortcutOf(fix.id)?.private ? MASK : shortened(fix.expansion, 80);
      return { label: t`Fix the text`, hint: t`“${text}”` };
    }
    case 'merge': {
      const code = codeOf(fix.keep);
      const text = shownExpansion(shortcutOf(fix.keep), 60);
      const dropped = tellList(fix.drop.map((id) => quoted(codeOf(id))));
      return {
        label: t`Keep only ${code}`,
        hint: t`You get “${text}”. ${dropped} ${plural(fix.drop.length, { one: 'is', other: 'are' })} deleted.`,
      };
    }
    case 'make private':
      return {
        label: t`Keep it only on this device`,
        hint: t`It’s deleted from the server and your other devices, and hidden on screen.`,
      };
  }
}

function quoted(code: string): string {
  return t`“${code}”`;
}

/** What was done, for the line that offers to undo it. */
export function tellDone(fix: Fix, shortcutOf: ShortcutOf): string {
  const code = shortcutOf(fix.type === 'merge' ? fix.keep : fix.id)?.code ?? '?';
  switch (fix.type) {
    case 'other code': {
      const { code: now } = fix;
      return t`“${code}” is now “${now}”.`;
    }
    case 'other rules':
      return {
        offer: t`“${code}” is now only suggested.`,
        edge: t`“${code}” now expands only at the start of a word.`,
        capitals: t`“${code}” now ignores capitals.`,
      }[fix.asks];
    case 'correct text':
      return t`Fixed the text of “${code}”.`;
    case 'merge':
      return t`Kept only “${code}”.`;
    case 'make private':
      return t`“${code}” is now only on this device.`;
  }
}

/** The list's figure on each device, before and after; one line for each that changes, or one for none. */
export function tellFigures({ before, after }: Pick<Comparison, 'before' | 'after'>): string[] {
  const lines = Object.keys(after).flatMap((id) => {
    const was = before[id] ? tellPerTenThousand(before[id]) : t`none`;
    const is = tellPerTenThousand(after[id]!);
    const device = deviceLabel(id);
    if (was === is) return [];
    // Less than once a year needs no figure.
    if (after[id]!.perTenThousand < RISKY_FROM) return [t`${device}: ${was} in 10,000 words → practically never`];
    return [t`${device}: ${was} → ${is} in 10,000 words`];
  });
  return lines.length > 0 ? lines : [t`Misfires in ordinary text stay the same.`];
}

/** How often a whole list misfires. Where none of its codes was met in the words that were counted, it is told how often at most. */
export function tellPerTenThousand({ perTenThousand, upTo }: Pick<ListFigure, 'perTenThousand' | 'upTo'>): string {
  if (perTenThousand >= 0.0005) return tellNumber(perTenThousand);
  const most = tellNumber(Math.max(upTo, 0.0005));
  return t`under ${most}`;
}

/** What a change of many codes comes to. */
export function tellEffects(gone: number, came: number): string {
  if (gone > 0 && came > 0) {
    const news = plural(came, { one: '# new one', other: '# new ones' });
    return t`It fixes ${plural(gone, { one: '# problem', other: '# problems' })} and adds ${news}.`;
  }
  if (gone > 0) return t`It fixes ${plural(gone, { one: '# problem', other: '# problems' })}.`;
  return came > 0
    ? t`It adds ${plural(came, { one: '# new problem', other: '# new problems' })}.`
    : t`It fixes no problems and adds none.`;
}

/** What else a fix changes, beside the finding itself. */
export function tellSideEffects(gone: number, came: number): string {
  if (gone > 0 && came > 0) {
    const news = plural(came, { one: '# new one', other: '# new ones' });
    return t`It also fixes ${plural(gone, { one: '# other problem', other: '# other problems' })} and adds ${news}.`;
  }
  if (gone > 0) return t`It also fixes ${plural(gone, { one: '# other problem', other: '# other problems' })}.`;
  if (came > 0) return t`It adds ${plural(came, { one: '# new problem', other: '# new problems' })}.`;
  return t`It changes nothing else.`;
}
