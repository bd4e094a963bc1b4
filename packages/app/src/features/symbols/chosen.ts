import type { FoundSymbol } from '@yellow-latch/core/symbols';

/** The symbols that were ticked, in the order in which they were. */
export type Ticked = ReadonlyMap<string, FoundSymbol>;

/** With these ticked, or without them where all of them were. */
export function toggled(ticked: Ticked, symbols: readonly FoundSymbol[]): Ticked {
  const next = new Map(ticked);
  const areAll = symbols.every(({ text }) => next.has(text));
  for (const symbol of symbols) {
    if (areAll) next.delete(symbol.text);
    else next.set(symbol.text, symbol);
  }
  return next;
}

/** More are not made in one go: codes are found one by one. */
export const MOST_TICKED = 5_000;
