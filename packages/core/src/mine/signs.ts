/** A sign that was put into texts, and how often. */
export interface FoundSign {
  readonly text: string;
  readonly places: readonly number[];
}

/** Characters that are no letters, figures, spaces, controls, faces, or of ASCII; a keyboard makes quotes, dashes and dots by itself. */
const SIGN = /[^\p{L}\p{N}\p{M}\p{Z}\p{C}\p{Extended_Pictographic}\p{Emoji_Modifier}\p{ASCII}‘’“”„«»…–—]|[¼-¾⅐-⅞]/gu;

/** The signs in a text, the commonest first. Linear. */
export function signsIn(text: string): FoundSign[] {
  const places = new Map<string, number[]>();
  for (const { 0: sign, index } of text.matchAll(SIGN)) {
    const same = places.get(sign);
    if (same) same.push(index);
    else places.set(sign, [index]);
  }
  return [...places]
    .map(([sign, at]) => ({ text: sign, places: at }))
    .sort((a, b) => b.places.length - a.places.length);
}
