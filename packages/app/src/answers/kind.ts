import type { Kind } from '@yellow-latch/core/model';

/**
 * The kind a text most likely is. What tells it knows the numbering plans of countries, is fetched with the first text, and is
 * no part of the first screen. Null: it could not be fetched.
 */
export async function guessKindOf(expansion: string, code = ''): Promise<Kind | null> {
  try {
    const { guessKind } = await import('@yellow-latch/core/mnemonic');
    return guessKind(expansion, code);
  } catch {
    return null;
  }
}
