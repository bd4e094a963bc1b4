/** Runs in a frame in which a field has got the focus: codes expand there. */
import { CompiledList } from '@yellow-latch/core/fire';
import type { DeviceProfile } from '@yellow-latch/core/profile';
import { THIS_APP } from '@yellow-latch/core/profile/thisApp';
import { FrameGuard, isSeen, PageTyping, surfaceFor, type GuestSurface } from '@yellow-latch/field/guest';

import { ask, type Conduct, type FromPage, type ToPage } from '../shared/messages';
import { fieldWords } from '../shared/fieldWords';
import { focusedHere, innermost } from './focus';

declare global {
  /** In this frame: ends what follows typing. */
  var latchField: (() => void) | undefined;
}

/** As long as a field has the focus, the list is asked for anew so often, in ms: the background is awake meanwhile. */
const STILL_HERE = 15_000;
/** What is typed by a device that waits for a tap. */
const BY_TAP: DeviceProfile = { ...THIS_APP, ways: ['offer'], otherwise: 'offer' };

function followFrame(): () => void {
  const ended = new AbortController();
  let conduct: Conduct = { isOn: false, evenCode: false, expands: 'itself', suggests: false, take: null };
  let list: CompiledList | null = null;
  let version: string | null = null;
  let timer: ReturnType<typeof setTimeout> | undefined;
  let asking: Promise<void> | null = null;
  let isStale = false;

  const surface = (element: Element): GuestSurface | null =>
    conduct.isOn ? surfaceFor(innermost(element), conduct) : null;

  const typing: PageTyping = new PageTyping(window, {
    list: () => (conduct.isOn ? list : null),
    surfaceFor: surface,
    mayFire: ({ element }) => guard.isOpen && isSeen(element),
    makeText: (id, values, around) => ask<FromPage, 'text'>('text', { id, values, around }),
    onFired: (event, seconds) => {
      const { id } = event;
      if (event.type === 'fired') {
        const { by, typed } = event;
        void ask<FromPage, 'used'>('used', { id, by, typed, seconds }).catch(end);
      } else if (event.type === 'taken-back') void ask<FromPage, 'takenBack'>('takenBack', { id }).catch(end);
    },
    suggests: () => conduct.suggests || conduct.expands === 'tap',
    take: () => conduct.take,
    words: fieldWords(),
    hear: (type, listener) => globalThis.latchWatch?.hear(type, listener),
  });

  const guard: FrameGuard = new FrameGuard(window, {
    wasChosen: globalThis.latchWatch?.isChosen ?? false,
    isCoveredByUs: () => typing.isShowing,
  });

  const refresh = async (): Promise<void> => {
    const known = version;
    const { conduct: next, list: part } = await ask<FromPage, 'here'>('here', { host: location.hostname, version });
    const hasOtherWays = next.expands !== conduct.expands;
    conduct = next;
    if (part.type !== 'same') version = part.version;
    const profile = next.expands === 'tap' ? BY_TAP : THIS_APP;
    if (part.type === 'whole') list = CompiledList.compile(part.entries, profile);
    else if (part.type === 'changes') list = list?.with(part) ?? null;
    // What is ready is ready for one way of firing: the other needs the whole list.
    if (hasOtherWays && part.type !== 'whole' && known !== null) {
      version = null;
      return refresh();
    }
  };

  const askAgain = (): void => {
    clearTimeout(timer);
    if (!document.hasFocus() || focusedHere() === null) return;
    timer = setTimeout(askAgain, STILL_HERE);
    if (asking) {
      isStale = true;
      return;
    }
    asking = refresh()
      .catch(end)
      .finally(() => {
        asking = null;
        if (isStale && !ended.signal.aborted) {
          isStale = false;
          askAgain();
        }
      });
  };

  const onMessage = (message: ToPage, _sender: unknown, answer: (said: unknown) => void): boolean => {
    if (message.type === 'changed') askAgain();
    const focused = focusedHere();
    if (message.type === 'put' && focused && surface(focused)) {
      void typing.put(message, focused).then(answer);
      return true;
    }
    if (message.type === 'selected') {
      const selected = (focused && surface(focused)?.selected()) || String(getSelection() ?? '');
      if (selected.trim() !== '') answer(selected);
    }
    return false;
  };

  /** The extension was updated or removed, or starts here anew. */
  function end(): void {
    ended.abort();
    clearTimeout(timer);
    typing.stop();
    try {
      chrome.runtime.onMessage.removeListener(onMessage);
    } catch {
      // It is gone already, and hears nothing any more.
    }
  }

  globalThis.latchWatch?.hear('focusin', askAgain);
  addEventListener('focus', askAgain, { signal: ended.signal });
  chrome.runtime.onMessage.addListener(onMessage);
  askAgain();
  return end;
}

globalThis.latchField?.();
globalThis.latchField = followFrame();
