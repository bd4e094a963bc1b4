import { focusedIn } from '@yellow-latch/field/guest';

/** The element that keys go to in this frame, inside shadow roots of any kind; null: none, or another frame has the focus. */
export function focusedHere(): Element | null {
  const focused = focusedIn(document);
  const inner = focused && innermost(focused);
  return inner instanceof HTMLIFrameElement ? null : inner;
}

/** Where keys go that an element is said to get: a closed shadow root keeps that from its page, not from an extension. */
export function innermost(element: Element): Element {
  let at = element;
  while (at instanceof HTMLElement) {
    const inner: Element | null | undefined = chrome.dom?.openOrClosedShadowRoot(at)?.activeElement;
    if (!inner) break;
    at = inner;
  }
  return at;
}
