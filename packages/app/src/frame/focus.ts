/**
 * One rule for the focus: it never falls to the page itself. When what has it goes, because it was deleted, replaced or
 * covered, it goes on to what stands there now: where one was on that page before, another field in the place of a
 * field, by keyboard the next row or the one before, or the heading. WCAG 2.2, 2.4.3.
 */

const FOCUSABLE =
  ':is(a[href], button, input, textarea, select, [contenteditable=true], [tabindex]):not([tabindex="-1"], :disabled, [aria-disabled=true])' +
  // The rows of a list that is one stop of Tab.
  ', [aria-posinset] :is([role=link], [role=checkbox])';
const FIELD = ':is(input:not([type=file]), textarea, [contenteditable=true])';
const HEADING = '[role=heading][aria-level="1"], h1';

/** Whether one types into an element. */
export function isField(element: Element | null): boolean {
  return element?.matches(FIELD) === true;
}

/** Where something stood that is gone. */
interface Gap {
  parent: Element;
  next: Node | null;
  previous: Node | null;
  wasField: boolean;
}

export class FocusKeeper {
  /** What had the focus last outside of dialogs, and where it stood, if it is gone. */
  private last: Element | null = null;
  /** What had it before a notice. */
  private beforeNotice: Element | null = null;
  private gap: Gap | null = null;
  private readonly byPath = new Map<string, WeakRef<Element>>();
  private path = '';
  private isAsked = false;

  /** Begins; returns what ends it. */
  start(): () => void {
    const observer = new MutationObserver((records) => this.lookAt(records));
    observer.observe(document.body, { childList: true, subtree: true });
    const onFocus = ({ target }: FocusEvent) => this.note(target as Element);
    // How one goes about decides whether a heading that takes the focus shows a ring.
    const onKey = ({ key, target }: KeyboardEvent) => {
      if (key === 'Tab' || !(target as Element).matches?.(FIELD)) document.documentElement.dataset['keys'] = '';
    };
    const onPointer = () => delete document.documentElement.dataset['keys'];
    document.addEventListener('focusin', onFocus);
    document.addEventListener('keydown', onKey, true);
    document.addEventListener('pointerdown', onPointer, true);
    return () => {
      observer.disconnect();
      document.removeEventListener('focusin', onFocus);
      document.removeEventListener('keydown', onKey, true);
      document.removeEventListener('pointerdown', onPointer, true);
    };
  }

  /** Another page is shown: what was left is covered or gone. */
  turnTo(path: string): void {
    this.path = path;
    this.gap = null;
    this.last = null;
    this.ask(() => {
      const before = this.byPath.get(path)?.deref();
      return before && isSeen(before) ? before : heading();
    });
  }

  private note(target: Element): void {
    if (target.closest('[aria-modal=true]')) return;
    if (!target.closest('[role=status]')) this.beforeNotice = null;
    else if (this.last && !this.last.closest('[role=status]')) this.beforeNotice = this.last;
    this.last = target;
    this.gap = null;
    if (target.closest('[role=main]') && !target.matches(HEADING)) this.byPath.set(this.path, new WeakRef(target));
  }

  private lookAt(records: readonly MutationRecord[]): void {
    for (const { target, removedNodes, nextSibling, previousSibling } of records) {
      for (const node of removedNodes) {
        const about = this.gap?.parent ?? this.last;
        if (!about || about.isConnected || !node.contains(about)) continue;
        const wasField = this.gap?.wasField ?? this.last?.matches(FIELD) ?? false;
        this.gap = { parent: target as Element, next: nextSibling, previous: previousSibling, wasField };
      }
    }
    if (this.last && (this.gap !== null || !this.last.isConnected)) this.ask(() => this.substitute());
  }

  /** Once all is drawn, and unless something has taken the focus by itself. */
  private ask(find: () => Element | null): void {
    if (this.isAsked) return;
    this.isAsked = true;
    requestAnimationFrame(() =>
      requestAnimationFrame(() => {
        this.isAsked = false;
        const active = document.activeElement;
        const isLost = active === null || active === document.body || !isSeen(active);
        if (isLost && document.querySelector('[aria-modal=true]') === null) focus(find());
      }),
    );
  }

  private substitute(): Element | null {
    if (this.last && isSeen(this.last)) return this.last;
    if (this.beforeNotice && isSeen(this.beforeNotice)) return this.beforeNotice;
    // Beside a notice stands whatever is at the foot of the page: that is no neighbour.
    const isOfPage = this.gap !== null && this.gap.parent.closest('[role=status]') === null;
    return (isOfPage ? besideGap(this.gap!, areKeysUsed()) : null) ?? heading();
  }
}

/** So many steps out of what is gone it is still its neighbourhood: a row of its list, a field of its form. */
const NEAR = 3;

/** What can have the focus and stands where something is gone: the nearest after it, else before it. */
function besideGap({ parent, next, previous, wasField }: Gap, withNeighbours: boolean): Element | null {
  let around: Element | null = parent;
  for (let step = 0; step < NEAR && around && around !== document.body; step += 1) {
    if (around.isConnected) {
      const field = wasField ? [...around.querySelectorAll(FIELD)].find(isSeen) : undefined;
      const neighbour = () => firstFrom(next, 'nextSibling') ?? firstFrom(previous, 'previousSibling');
      const found = field ?? (withNeighbours ? neighbour() : null);
      if (found) return found;
    }
    if (around.matches('[role=main]')) return null;
    next = around.nextSibling;
    previous = around.previousSibling;
    around = around.parentElement;
  }
  return null;
}

function firstFrom(start: Node | null, way: 'nextSibling' | 'previousSibling'): Element | null {
  for (let node = start; node; node = node[way]) {
    if (!(node instanceof Element)) continue;
    const all = [node, ...node.querySelectorAll(FOCUSABLE)].filter((one) => one.matches(FOCUSABLE) && isInView(one));
    const found = way === 'nextSibling' ? all[0] : all.at(-1);
    if (found) return found;
  }
  return null;
}

/** Whether one goes about by keyboard. A finger goes where it wants: there the heading has the focus, which presses nothing. */
function areKeysUsed(): boolean {
  return 'keys' in document.documentElement.dataset;
}

/** The heading of what is open; beside a list the last one, which is that of the detail. */
function heading(): Element | null {
  return [...document.querySelectorAll(HEADING)].filter(isSeen).at(-1) ?? null;
}

/** To the heading of the page, past what stands around it. */
export function goToHeading(): void {
  focus([...document.querySelectorAll(`[role=main] :is(${HEADING})`)].find(isSeen) ?? null);
}

function focus(element: Element | null): void {
  if (!(element instanceof HTMLElement)) return;
  if (element.matches(HEADING) && !element.hasAttribute('tabindex')) element.tabIndex = -1;
  element.focus({ preventScroll: element.matches(HEADING) });
}

function isSeen(element: Element): boolean {
  return (
    element.isConnected &&
    element.checkVisibility({ visibilityProperty: true }) &&
    element.closest('[aria-hidden=true]') === null
  );
}

/** Whether its middle is on the screen: what is scrolled away is no neighbour of what one saw go. */
function isInView(element: Element): boolean {
  if (!isSeen(element)) return false;
  const { left, top, width, height } = element.getBoundingClientRect();
  const there = document.elementFromPoint(left + width / 2, top + height / 2);
  return there !== null && (element.contains(there) || there.contains(element));
}
