/** A word or name with capitals that nobody types by themselves, and how often it stood in a text. */
export interface OddWord {
  readonly text: string;
  readonly count: number;
}

const WORD = /[\p{L}\p{N}][\p{L}\p{M}\p{N}'’&.-]*[\p{L}\p{N}]/gu;
/** A capital behind a small letter (HarbourHall), or behind a figure (3D). */
const INSIDE = /[\p{Ll}\p{N}]\p{Lu}/u;
/** Several capitals at the beginning of a word that goes on (GmbH is the other; TVs, MPs). */
const SHORT = /^\p{Lu}{2,6}$/u;

const LEAST = 2;

/**
 * The words of a text that were written with unusual capitals, the commonest first: a capital inside, or all of a short word
 * in a text that does not shout. Those written once only are left out, and those that were mostly written otherwise. Linear.
 */
export function oddCapitals(text: string, most = 50): OddWord[] {
  const counts = new Map<string, number>();
  const inAll = new Map<string, number>();
  for (const line of text.split('\n')) {
    const capitals = line.match(/\p{Lu}/gu)?.length ?? 0;
    const letters = line.match(/\p{L}/gu)?.length ?? 0;
    const isShouted = capitals * 2 > letters;
    for (const [word] of line.matchAll(WORD)) {
      const key = word.toLowerCase();
      inAll.set(key, (inAll.get(key) ?? 0) + 1);
      if (isShouted || !(INSIDE.test(word) || SHORT.test(word)) || /[@/:]/u.test(word)) continue;
      counts.set(word, (counts.get(word) ?? 0) + 1);
    }
  }
  return [...counts]
    .filter(([word, count]) => count >= LEAST && count * 2 > inAll.get(word.toLowerCase())!)
    .map(([word, count]) => ({ text: word, count }))
    .sort((a, b) => b.count - a.count || (a.text < b.text ? -1 : 1))
    .slice(0, most);
}
