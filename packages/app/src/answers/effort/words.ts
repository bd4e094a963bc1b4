import { plural, t } from '@lingui/core/macro';
import type { Uses } from '@yellow-latch/core/effort';
import type { Mark, OwnKeyboard } from '@yellow-latch/core/model';

import { languageName } from '@/wording/format';

import { tellHowOften } from '@/answers/audit/sentences/words';

/** Taps, with one place where they are few. */
export function tellTaps(taps: number): string {
  const shown = Math.abs(taps) < 20 ? Math.round(taps * 10) / 10 : Math.round(taps);
  return plural(shown, { one: '# tap', other: '# taps' });
}

/** A marker and where it stands, inside a sentence. */
export function tellMark({ place, marker }: Mark): string {
  switch (place) {
    case 'before':
      return t`“${marker}” before the code`;
    case 'after':
      return t`“${marker}” after the code`;
    case 'both':
      return t`“${marker}” on both sides`;
    case 'doubled':
      return t`a doubled first letter`;
    case 'bare':
      return t`no marker`;
  }
}

/** The same where it stands by itself or begins a sentence. */
export function titleOfMark(mark: Mark): string {
  if (mark.place === 'doubled') return t`A doubled first letter`;
  return mark.place === 'bare' ? t`No marker` : tellMark(mark);
}

/** The name of a keyboard: of those that ship with the app by what their ids say, of own ones as they are called. */
export function keyboardName({ id, name }: { readonly id: string; readonly name: string }): string {
  const [, kind, language] = /^(phone|tablet-figures|tablet|hardware)-(.+)$/.exec(id) ?? [];
  if (language === undefined) return name;
  const spoken = languageName(language);
  if (kind === 'phone') return t`Phone, ${spoken}`;
  if (kind === 'tablet') return t`Tablet, ${spoken}`;
  return kind === 'hardware' ? t`Keyboard, ${spoken}` : t`Tablet with number row, ${spoken}`;
}

/** The same of one that may have been deleted. */
export function nameOfKeyboard(id: string, own: readonly OwnKeyboard[]): string {
  return keyboardName({ id, name: own.find((one) => one.id === id)?.layout.name ?? t`A deleted keyboard` });
}

/** How often a shortcut is used, and from where that is known. */
export function tellUses({ aWeek, from }: Uses): string {
  const often = tellHowOften(aWeek);
  switch (from) {
    case 'said':
      return t`${often}, as you said`;
    case 'counted':
      return t`${often}, counted in Write`;
    case 'own text':
      return t`${often}, from your own texts`;
  }
}
