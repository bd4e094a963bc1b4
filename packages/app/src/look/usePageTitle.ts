import { t } from '@lingui/core/macro';
import { useEffect } from 'react';

/** The titles of what is open: the list first, then what of it is open beside or over it. */
const open: { title: string }[] = [];

/**
 * Names the page in the browser’s tab, its history and to a screen reader (WCAG 2.2, 2.4.2) while it is open.
 * `isList`: other pages open beside or over it, and theirs goes first, whichever is drawn first.
 */
export function usePageTitle(title: string, { isList = false } = {}): void {
  useEffect(() => {
    const page = { title };
    if (isList) open.unshift(page);
    else open.push(page);
    show();
    return () => {
      open.splice(open.indexOf(page), 1);
      show();
    };
  }, [title, isList]);
}

function show(): void {
  const page = open.at(-1)?.title;
  document.title = page === undefined || page === APP ? APP : t`${page} · Yellow Latch`;
}

const APP = 'Yellow Latch';
