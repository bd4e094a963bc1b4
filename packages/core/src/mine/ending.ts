/** Where a stretch of a text ends with what is typed with it: a bracket that it opened, and what ends a sentence. */
export function endOf(text: string, start: number, end: number): number {
  const stretch = text.slice(start, end);
  const closed = text[end] === ')' && stretch.lastIndexOf('(') > stretch.lastIndexOf(')') ? end + 1 : end;
  const mark = /^[.!?…]+(?=\s|$|\u001e)/u.exec(text.slice(closed, closed + 4))?.[0] ?? '';
  return closed + mark.length;
}
