/**
 * Parts of a whole in whole percents that add up to 100: each rounded down, and what is left given to those that lost
 * most by it. Largest remainder method (Hamilton), common practice. Linear but for the sorting.
 */
export function wholePercents(parts: readonly number[]): number[] {
  const all = parts.reduce((sum, part) => sum + part, 0);
  if (all === 0) return parts.map(() => 0);
  const exact = parts.map((part) => (part / all) * 100);
  const percents = exact.map(Math.floor);
  const left = 100 - percents.reduce((sum, percent) => sum + percent, 0);
  const byLoss = exact
    .map((value, index) => ({ index, loss: value - Math.floor(value) }))
    .sort((a, b) => b.loss - a.loss || a.index - b.index);
  for (const { index } of byLoss.slice(0, left)) percents[index]! += 1;
  return percents;
}
