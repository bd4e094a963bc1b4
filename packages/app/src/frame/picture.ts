/**
 * A picture of the list as it stands, kept on this device: public/start.js shows it when the app is opened the next time,
 * until the app draws. It is the page's own HTML with the style rules that it uses, and holds no more than the screen does.
 */
import { useEffect } from 'react';

import { whenIdle } from './moments';
import { standInTab } from './standIn/tab';

const KEPT_UNDER = 'yellow-latch.picture';
/** Under this name `currentDevice` notes which device this browser is. */
const DEVICE = 'yellow-latch.device';

/** How long the list must stand before a picture of it is kept, in ms. */
const REST = 1_000;
/** By so much, in px, a window may be higher the next time, as on phones that hide a bar. */
const HIGHER = 80;
/** What is no part of how the list opens: what was just said, and what is for paper alone. */
// eslint-disable-next-line lingui/no-unlocalized-strings -- a selector
const GONE = '#announced > *, #notice > *, #on-paper';

/** Given to what holds only as long as the app is open: a picture leaves its place empty. */
export const PASSING = { dataSet: { passing: '' } } as object;

/** What is kept. `start.js` reads it, and shows it only to the same device in a window as wide, in the same colours. */
export interface Picture {
  readonly device: string;
  readonly width: number;
  readonly isDark: boolean;
  /** What `#root` holds, with its style rules. */
  readonly html: string;
}

/** Keeps a picture of what is shown now. Not of a page that was scrolled: it will open at its top. */
export function keepPicture(): void {
  const root = document.querySelector('#root');
  const device = localStorage.getItem(DEVICE);
  // A stand-in is another device than the browser it runs in.
  if (!root || device === null || standInTab() !== null) return;
  if ([...root.querySelectorAll('*')].some(({ scrollTop }) => scrollTop > 0)) return;
  const picture: Picture = {
    device,
    width: innerWidth,
    isDark: document.documentElement.dataset['scheme'] === 'dark',
    html: htmlOf(root),
  };
  try {
    localStorage.setItem(KEPT_UNDER, JSON.stringify(picture));
  } catch {
    // On a device that is full the app opens without it.
    forgetPicture();
  }
}

/** Keeps a picture when the list has come to rest, and again when its items or what was found of them have changed; `isWanted`: only now. */
export function usePictureKept(isWanted: boolean, items: unknown, findings: unknown): void {
  useEffect(() => {
    if (!isWanted) return;
    let callOff = () => {};
    const timer = setTimeout(() => {
      callOff = whenIdle(keepPicture);
    }, REST);
    return () => {
      clearTimeout(timer);
      callOff();
    };
  }, [isWanted, items, findings]);
}

export function forgetPicture(): void {
  localStorage.removeItem(KEPT_UNDER);
}

function htmlOf(root: Element): string {
  const copy = root.cloneNode(true) as Element;
  // Rows far below the view of their list are not seen, even in a window that is higher the next time.
  const below = [...root.querySelectorAll('[data-index]')].filter(
    (row) => row.getBoundingClientRect().top > row.closest('[role=group]')!.getBoundingClientRect().bottom + HIGHER,
  );
  const gone = new Set(below.map((row) => row.getAttribute('data-index')));
  for (const row of copy.querySelectorAll('[data-index]')) if (gone.has(row.getAttribute('data-index'))) row.remove();
  for (const passing of copy.querySelectorAll(GONE)) passing.remove();
  for (const passing of copy.querySelectorAll<HTMLElement>('[data-passing]')) passing.style.visibility = 'hidden';
  const rules = rulesOf(document).filter((rule) => isUsed(rule, copy));
  // eslint-disable-next-line lingui/no-unlocalized-strings -- HTML
  return `<style>${rules.join('\n')}</style><div inert style="display: flex; height: 100%; flex: 1">${copy.innerHTML}</div>`;
}

function rulesOf({ styleSheets }: Document): string[] {
  return [...styleSheets].flatMap((sheet) => Array.from(sheet.cssRules, ({ cssText }) => cssText));
}

/** Whether a rule is about something in `copy`. Rules of more than one selector are kept whole. */
function isUsed(rule: string, copy: Element): boolean {
  // Of a part such as `::placeholder` the element is asked for.
  const selector = rule
    .slice(0, rule.indexOf('{'))
    .replace(/::[\w-]+/gu, '')
    .trim();
  if (!selector.startsWith('.')) return false;
  try {
    return copy.querySelector(selector) !== null;
  } catch {
    return false;
  }
}
