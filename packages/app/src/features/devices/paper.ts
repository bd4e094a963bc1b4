import { t } from '@lingui/core/macro';
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
    t`Yellow Latch: spare key for “${list}”`,
    '',
    inGroups(key),
    '',
    t`Made on ${{ date: day.toISOString().slice(0, 10) }}. It stops working when you make another.`,
    t`To use it, open ${address} on any device and choose “I have a spare key”.`,
    t`0 and 1 are digits: the key has no letters O, I or L. Anyone with this paper can get your list.`,
  ];
}

/** Prints lines on a page of their own, without what is on the screen. */
export function printPaper(lines: readonly string[]): void {
  const frame = document.createElement('iframe');
  frame.title = t`Spare key`;
  frame.style.cssText = 'position:fixed;width:0;height:0;border:0';
  document.body.append(frame);
  const page = frame.contentDocument!;
  page.body.style.cssText = 'font:12pt/1.6 ui-monospace,monospace;white-space:pre-wrap;color:#000;background:#fff';
  page.body.textContent = lines.join('\n');
  frame.contentWindow!.addEventListener('afterprint', () => frame.remove());
  frame.contentWindow!.print();
}
