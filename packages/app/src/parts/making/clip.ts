/** A text in one short line. */
export function clip(text: string, most = 90): string {
  const line = text.trim().replaceAll(/\s+/gu, ' ');
  return line.length > most ? `${line.slice(0, most - 1)}…` : line;
}
