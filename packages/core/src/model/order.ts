/** The order of two texts by their UTF-16 units: below 0, the first goes first. Ids in it stand in the order of their making. */
export function compareUnits(a: string, b: string): number {
  if (a < b) return -1;
  return a > b ? 1 : 0;
}
