/** Whether a person can see a field. What is typed into one that is hidden was meant for somewhere else. */

/** Smaller than this, in CSS pixels, or fainter, nobody sees that they type there. */
const SMALLEST = 8;
const FAINTEST = 0.1;

/** Whether a field, and what is typed into it, shows in its own frame. Costs a look at the style of every element around it. */
export function isSeen(field: HTMLElement): boolean {
  const box = field.getBoundingClientRect();
  const left = Math.max(box.left, 0);
  const top = Math.max(box.top, 0);
  const width = Math.min(box.right, innerWidth) - left;
  const height = Math.min(box.bottom, innerHeight) - top;
  if (width < SMALLEST || height < SMALLEST) return false;
  // Drawn as dots, as a password is.
  const dots = getComputedStyle(field).getPropertyValue('-webkit-text-security');
  if (dots !== '' && dots !== 'none') return false;
  let opacity = 1;
  for (let element: Element | null = field; element; element = parentOf(element)) {
    const style = getComputedStyle(element);
    opacity *= Number(style.opacity);
    if (opacity < FAINTEST || style.visibility !== 'visible') return false;
  }
  const root = field.getRootNode() as Document | ShadowRoot;
  const there = root.elementsFromPoint(left + width / 2, top + height / 2);
  return there.some((element) => element === field || field.contains(element));
}

function parentOf(element: Element): Element | null {
  if (element.parentElement) return element.parentElement;
  const root = element.getRootNode();
  return root instanceof ShadowRoot ? root.host : null;
}

/** How long a frame's visibility is taken to hold before it is looked at again, in ms: the least that browsers allow. */
const DELAY = 100;

/**
 * Whether a frame of another site shows in its page, and was chosen by the person rather than by that page: it was
 * clicked, or reached by Tab. A page could else move the focus into a hidden frame while one types. Of the top frame, and of
 * frames of the same site, all of this holds.
 */
export class FrameGuard {
  private isShown = true;
  private isChosen = true;

  /**
   * `wasChosen`: a person chose the frame before this was here. `isCoveredByUs`: what is shown beside the caret stands over
   * the frame; that is no reason to take it for hidden.
   */
  constructor(window: Window, { wasChosen, isCoveredByUs }: { wasChosen: boolean; isCoveredByUs: () => boolean }) {
    if (!isForeignFrame(window)) return;
    this.isChosen = wasChosen;
    const choose = (event: Event) => {
      if (event.isTrusted && (!(event instanceof KeyboardEvent) || event.key === 'Tab')) this.isChosen = true;
    };
    window.addEventListener('pointerdown', choose, { capture: true });
    window.addEventListener('keyup', choose, { capture: true });
    window.addEventListener('blur', (event) => {
      if (event.target === window) this.isChosen = false;
    });
    this.isShown = false;
    // Intersection Observer v2 tells whether anything covers the frame or fades it; one without it only whether it is on the screen.
    const options = { threshold: [0, 0.5, 1], trackVisibility: true, delay: DELAY };
    const observer = new IntersectionObserver((entries) => {
      const last = entries.at(-1)! as IntersectionObserverEntry & { isVisible?: boolean };
      const isShown = last.isIntersecting && (last.isVisible ?? true);
      if (isShown || !isCoveredByUs()) this.isShown = isShown;
    }, options);
    observer.observe(window.document.documentElement);
  }

  get isOpen(): boolean {
    return this.isShown && this.isChosen;
  }
}

function isForeignFrame(window: Window): boolean {
  try {
    return window !== window.top && window.top?.document === undefined;
  } catch {
    return true;
  }
}
