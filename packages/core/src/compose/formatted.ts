import type { Range } from '../fire';

/** A stretch of a text that a formatted shortcut gave, and the HTML it stands for. */
export interface FormattedStretch extends Range {
  /** Safe HTML, as `markdownToHtml` makes it. */
  readonly html: string;
}

/** The stretches after `replaced` became `length` units long: one that is cut into is plain text from then on. */
export function shiftFormatted(
  stretches: readonly FormattedStretch[],
  replaced: Range,
  length: number,
): FormattedStretch[] {
  const shift = length - (replaced.end - replaced.start);
  return stretches.flatMap((one) => {
    if (one.end <= replaced.start) return [one];
    return one.start >= replaced.end ? [{ ...one, start: one.start + shift, end: one.end + shift }] : [];
  });
}

/** A text as HTML: blank lines part paragraphs, lines stay lines, and formatted stretches are as they were given. */
export function formattedHtml(text: string, stretches: readonly FormattedStretch[]): string {
  const blocks: string[] = [];
  let paragraph = '';
  const close = () => {
    const inside = paragraph.replaceAll(/^(<br>|\s)+|(<br>|\s)+$/gu, '');
    if (inside !== '') blocks.push(`<p>${inside}</p>`);
    paragraph = '';
  };
  const addText = (plain: string) => {
    plain.split(/\n{2,}/u).forEach((part, index) => {
      if (index > 0) close();
      paragraph += escaped(part).replaceAll('\n', '<br>');
    });
  };
  let at = 0;
  for (const { start, end, html } of [...stretches].sort((a, b) => a.start - b.start)) {
    addText(text.slice(at, start));
    const line = /^\s*<p>((?:(?!<\/?p>)[^])*)<\/p>\s*$/u.exec(html);
    if (line) {
      paragraph += line[1]!.trim();
    } else {
      close();
      blocks.push(html.trim());
    }
    at = end;
  }
  addText(text.slice(at));
  close();
  return blocks.join('\n');
}

const ENTITIES: Readonly<Record<string, string>> = { '&': '&amp;', '<': '&lt;', '>': '&gt;', '"': '&quot;' };

function escaped(text: string): string {
  return text.replaceAll(/[&<>"]/gu, (sign) => ENTITIES[sign]!);
}
