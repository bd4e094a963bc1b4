import { i18n, type MessageDescriptor } from '@lingui/core';
import { msg, t } from '@lingui/core/macro';
import type { NoSymbol, Starter, SymbolSearch, Use } from '@yellow-latch/core/symbols';

const USE_NAMES: Record<Use, MessageDescriptor> = {
  punctuation: msg`Punctuation`,
  arrows: msg`Arrows`,
  fractions: msg`Fractions and small numbers`,
  currency: msg`Currency`,
  maths: msg`Maths`,
  music: msg`Music`,
  letters: msg`Letters with accents`,
  greek: msg`Greek`,
  signs: msg`Ticks, stars and more`,
  boxes: msg`Boxes and lines`,
};

export function nameOfUse(use: Use): string {
  return i18n._(USE_NAMES[use]);
}

const STARTER_NAMES: Record<Starter, MessageDescriptor> = {
  fractions: msg`Fractions`,
  arrows: msg`Arrows`,
  music: msg`Music`,
  maths: msg`Maths`,
  german: msg`German letters`,
  french: msg`French letters`,
  spanish: msg`Spanish letters`,
  dashes: msg`Dashes and quotes`,
};

export function starterName(starter: Starter): string {
  return i18n._(STARTER_NAMES[starter]);
}

/** Groups of emoji by the names that Unicode gives them. */
const EMOJI_NAMES: Readonly<Record<string, MessageDescriptor>> = {
  'Smileys & Emotion': msg`Faces and hearts`,
  'People & Body': msg`People and hands`,
  'Animals & Nature': msg`Animals and plants`,
  'Food & Drink': msg`Food and drink`,
  'Travel & Places': msg`Travel and places`,
  Activities: msg`Sports and arts`,
  Objects: msg`Things`,
  Symbols: msg`Symbols as emoji`,
  Flags: msg`Flags`,
  New: msg`New emoji`,
};

export function emojiName(group: string): string {
  const name = EMOJI_NAMES[group];
  return name ? i18n._(name) : group;
}

const WHY: Record<NoSymbol, MessageDescriptor> = {
  control: msg`is a control character. It has no look and can’t be saved in a shortcut.`,
  surrogate: msg`is only half a character. Copy the whole one and paste it here.`,
  noncharacter: msg`will never be a character. It can’t be saved in a shortcut.`,
  private: msg`looks different in every font, or has no look at all. Others may not see what you see.`,
};

/** What is said of a search before its results; null: nothing. */
export function tellSearch({ none, meant, count }: SymbolSearch, query: string): string | null {
  if (none) return `${none.codePoint} ${i18n._(WHY[none.why])}`;
  if (meant !== null) return t`Nothing is called “${query}”. Here’s what is called “${meant}”.`;
  return count === 0 ? t`Nothing found for “${query}”. Try a simpler word, or paste the symbol.` : null;
}
