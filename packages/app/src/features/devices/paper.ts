import { inGroups } from '@yellow-latch/core/join';

interface OnPaper {
  key: string;
  address: string;
  list: string;
  day: Date;
}

/** The spare key with what one needs to know years later, line by line. */
export function paperOf({ key, address, list, day }: OnPaper): string[] {
  return [
    `Yellow Latch: spare key of the list “${list}”`,
    '',
    inGroups(key),
    '',
    `Made on ${day.toISOString().slice(0, 10)}. A key made later makes this one worthless.`,
    `Open ${address} on a device that is in no list and choose “Get it back with the spare key”.`,
    'Figures 0 and 1 are figures: the key has no letters O, I or L. Whoever has this paper has the list.',
  ];
}

/** Prints lines on a page of their own, without what is on the screen. */
export function printPaper(lines: readonly string[]): void {
  const frame = document.createElement('iframe');
  frame.title = 'To be printed';
  frame.style.cssText = 'position:fixed;width:0;height:0;border:0';
  document.body.append(frame);
  const page = frame.contentDocument!;
  page.body.style.cssText = 'font:12pt/1.6 ui-monospace,monospace;white-space:pre-wrap;color:#000;background:#fff';
  page.body.textContent = lines.join('\n');
  frame.contentWindow!.addEventListener('afterprint', () => frame.remove());
  frame.contentWindow!.print();
}
