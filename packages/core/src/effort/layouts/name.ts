/** A name that none of the keys has: two keys may give one sign. */
export function freeName(name: string, keys: Readonly<Record<string, unknown>>): string {
  let free = name;
  for (let count = 2; keys[free] !== undefined; count += 1) free = `${name} ${count}`;
  return free;
}
