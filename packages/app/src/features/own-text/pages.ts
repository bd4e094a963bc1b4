/**
 * A long text in pages that a screen can hold: the offsets at which they begin, then the text's end. A page
 * ends at a new line where it can, else at a blank, and never inside a character. Linear.
 */
export function pagesOf(text: string, longest = 3_000): number[] {
  const starts = [0];
  let start = 0;
  while (text.length - start > longest) {
    const part = text.slice(start, start + longest);
    const newline = part.lastIndexOf('\n');
    const blank = part.lastIndexOf(' ');
    const edge = [newline, blank].find((at) => at > longest / 3);
    const cut = edge === undefined ? longest : edge + 1;
    start += cut;
    const unit = text.charCodeAt(start);
    if (unit >= 0xdc00 && unit <= 0xdfff) start += 1;
    starts.push(start);
  }
  starts.push(text.length);
  return starts;
}

/** The page on which an offset stands. */
export function pageAt(starts: readonly number[], offset: number): number {
  let low = 0;
  let high = starts.length - 2;
  while (low < high) {
    const middle = (low + high + 1) >> 1;
    if (starts[middle]! <= offset) low = middle;
    else high = middle - 1;
  }
  return Math.max(0, low);
}
