/**
 * Runs in every frame of every page before the page itself, and does next to nothing: when a field gets the focus for the first
 * time, what follows typing is asked for. Events are heard here and handed on to that, since who listens first cannot
 * be kept from hearing.
 */
import { HEARD, type HeardType } from '@yellow-latch/field/guest/heard';

declare global {
  /** In this frame: what watches it. */
  var latchWatch: Watch | undefined;
}

class Watch {
  /** Whether a person clicked into this frame, or came to it by Tab. */
  isChosen = false;
  private readonly listeners = new Map<HeardType | 'focusin', (event: never) => void>();
  private readonly ended = new AbortController();

  constructor() {
    const { signal } = this.ended;
    for (const type of [...HEARD, 'focusin'] as const)
      addEventListener(type, (event) => this.listeners.get(type)?.(event as never), {
        capture: true,
        signal,
        passive: type !== 'keydown',
      });
    const choose = (event: Event) => {
      if (event.isTrusted && (!(event instanceof KeyboardEvent) || event.key === 'Tab')) this.isChosen = true;
    };
    addEventListener('pointerdown', choose, { capture: true, signal, passive: true });
    addEventListener('keyup', choose, { capture: true, signal, passive: true });
    this.hear('focusin', () => this.look());
    this.look();
  }

  /** From now on events of a type go to `listener`, and to no other. */
  hear(type: HeardType | 'focusin', listener: (event: never) => void): void {
    this.listeners.set(type, listener);
  }

  end(): void {
    this.ended.abort();
  }

  /** Asks for what follows typing if text may be typed where the focus is. */
  private look(): void {
    const focused = document.activeElement;
    if (!focused || focused === document.body ? document.designMode !== 'on' : !mayHoldText(focused)) return;
    this.listeners.delete('focusin');
    // An extension that was updated is gone from here: the new one watches by itself.
    chrome.runtime.sendMessage({ type: 'field', host: location.hostname }).catch(() => undefined);
  }
}

/** Whether text may be typed there, or inside it. */
function mayHoldText(element: Element): boolean {
  return (
    /^(input|textarea)$/u.test(element.localName) ||
    (element as HTMLElement).isContentEditable ||
    element.localName.includes('-') ||
    element.shadowRoot !== null
  );
}

globalThis.latchWatch?.end();
globalThis.latchWatch = new Watch();
