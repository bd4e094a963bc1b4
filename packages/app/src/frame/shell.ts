import { useLayoutEffect } from 'react';

/** Takes away what public/index.html and start.js show until the app draws; what is drawn first of it stands in its place. */
export function useShellGone(): void {
  useLayoutEffect(() => {
    const shell = document.querySelector<HTMLElement>('#shell');
    if (!shell) return;
    const tapped = tappedIn(shell);
    shell.remove();
    if (tapped) giveOn(tapped);
  }, []);
}

interface Tapped {
  readonly x: number;
  readonly y: number;
  /** What was tapped is called so. */
  readonly name: string;
}

/** What was tapped last in the picture of the list (`picture.ts`), as start.js noted it. */
function tappedIn({ dataset, shadowRoot }: HTMLElement): Tapped | null {
  const [x, y] = (dataset['tapped'] ?? '').split(' ').map(Number);
  if (x === undefined || y === undefined || !shadowRoot) return null;
  const there = [...shadowRoot.querySelectorAll(CONTROLS)].filter((one) => {
    const { left, right, top, bottom } = one.getBoundingClientRect();
    return x >= left && x < right && y >= top && y < bottom;
  });
  const control = there.at(-1);
  return control ? { x, y, name: nameOf(control) } : null;
}

/** Taps what stands there now, if it is the same. */
function giveOn({ x, y, name }: Tapped): void {
  const there = document.elementFromPoint(x, y)?.closest<HTMLElement>(CONTROLS);
  if (!there || nameOf(there) !== name) return;
  there.focus();
  there.click();
}

function nameOf(control: Element): string {
  return control.getAttribute('aria-label') ?? control.textContent;
}

// eslint-disable-next-line lingui/no-unlocalized-strings -- a selector
const CONTROLS = ':is(a, button, input, textarea, [role=link], [role=button])';
