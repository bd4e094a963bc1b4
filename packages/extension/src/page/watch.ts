/**
 * Runs in every frame of every page, and does next to nothing: when a field gets the focus for the first time, what follows
 * typing is asked for.
 */
export {};

declare global {
  /** In this frame: whether it is watched, and by what it is stopped. */
  var latchWatch: (() => void) | undefined;
}

function watch(): () => void {
  const onFocus = () => {
    const focused = document.activeElement;
    if (!focused || focused === document.body ? document.designMode !== 'on' : !mayHoldText(focused)) return;
    end();
    // An extension that was updated is gone from here: the new one watches by itself.
    chrome.runtime.sendMessage({ type: 'field', host: location.hostname }).catch(() => undefined);
  };
  const end = () => removeEventListener('focusin', onFocus, true);
  addEventListener('focusin', onFocus, true);
  onFocus();
  return end;
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

globalThis.latchWatch?.();
globalThis.latchWatch = watch();
