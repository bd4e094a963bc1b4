/** Expansions are looked up by so many of their first units. */
const HEAD = 8;

/**
 * How often texts were typed out in a person's own text: by id, those that were. `texts` by id. Linear in
 * the own text for each length of head, of which there are 8 at most.
 */
export function countTypedOut(own: string, texts: ReadonlyMap<string, string>): Map<string, number> {
  const byHead = new Map<number, Map<string, { id: string; text: string }[]>>();
  for (const [id, given] of texts) {
    const text = given.trim();
    if (text === '') continue;
    const length = Math.min(HEAD, text.length);
    const heads = byHead.get(length) ?? new Map<string, { id: string; text: string }[]>();
    byHead.set(length, heads);
    const head = text.slice(0, length);
    heads.set(head, [...(heads.get(head) ?? []), { id, text }]);
  }
  const counts = new Map<string, number>();
  for (const [length, heads] of byHead) {
    for (let at = 0; at + length <= own.length; at += 1) {
      for (const { id, text } of heads.get(own.slice(at, at + length)) ?? []) {
        if (own.startsWith(text, at)) counts.set(id, (counts.get(id) ?? 0) + 1);
      }
    }
  }
  return counts;
}
