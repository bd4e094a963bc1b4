import { isCommand } from '@/frame/keys';

import type { Composer } from './useComposer';

/** What keys open on the page. */
interface Openings {
  send(): void;
  board(): void;
  drafts(): void;
  keys(): void;
}

type Key = Pick<KeyboardEvent, 'key' | 'altKey' | 'shiftKey'>;

/**
 * The keys of the page that are not text; false: this is none. The first arrow down goes into the offers, the last one up
 * out of them; Enter takes an offer only when the arrows have come to one. Tab walks the gaps, and on to the buttons
 * where none is left.
 */
export function writeKey(event: KeyboardEvent, composer: Composer, open: Openings): boolean {
  if (event.ctrlKey || event.metaKey) return isCommand(event) && opening(event, open);
  return offerKey(event, composer) || gapKey(event, composer);
}

function opening({ key, altKey, shiftKey }: Key, open: Openings): boolean {
  if (altKey || shiftKey) return false;
  const does: Readonly<Record<string, () => void>> = {
    Enter: open.send,
    b: open.board,
    o: open.drafts,
    '/': open.keys,
  };
  const call = does[key.length === 1 ? key.toLowerCase() : key];
  call?.();
  return call !== undefined;
}

/** What a key does to the offers; false: nothing. */
export function offerKey({ key, altKey, shiftKey }: Key, { live, take, keep }: Composer): boolean {
  const { offers } = live.offered.value;
  const { isSelected } = live.page.value;
  const chosen = live.chosen.value;
  if (offers.length === 0 || isSelected || altKey || shiftKey) return false;
  const last = offers.length - 1;
  switch (key) {
    case 'ArrowDown':
      live.chosen.set(chosen === null ? 0 : Math.min(last, chosen + 1));
      return true;
    case 'ArrowUp':
      if (chosen === null) return false;
      live.chosen.set(chosen === 0 ? null : chosen - 1);
      return true;
    case 'ArrowRight':
      if (chosen === null) return false;
      live.chosen.set(Math.min(last, chosen + 1));
      return true;
    case 'ArrowLeft':
      if (chosen === null) return false;
      live.chosen.set(Math.max(0, chosen - 1));
      return true;
    case 'Enter':
      if (chosen === null) return false;
      take(offers[chosen]!);
      return true;
    case 'Escape':
      keep();
      return true;
    default:
      return false;
  }
}

function gapKey({ key, altKey, shiftKey }: Key, { pad }: Composer): boolean {
  return key === 'Tab' && !altKey && (pad.current?.field.walkGap(shiftKey ? 'back' : 'forward') ?? false);
}
