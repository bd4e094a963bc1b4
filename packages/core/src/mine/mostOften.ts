/** Of several texts the one that is there most often; of none ''. */
export function mostOften(texts: readonly string[]): string {
  const counts = new Map<string, number>();
  for (const text of texts) counts.set(text, (counts.get(text) ?? 0) + 1);
  let [best, most] = ['', 0];
  for (const [text, count] of counts) if (count > most) [best, most] = [text, count];
  return best;
}
