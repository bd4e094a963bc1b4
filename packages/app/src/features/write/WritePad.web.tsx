import type { DeviceList, MissedChance, MissedChances, Refused } from '@yellow-latch/core/compose';
import type { Explanation } from '@yellow-latch/core/fire';
import { useEffect, useImperativeHandle, useRef, type KeyboardEvent, type Ref } from 'react';

import type { Live } from '@/frame/live';
import { FACES } from '@/look/fonts';
import { useLatest } from '@/look/useLatest';
import { usePalette } from '@/look/useLook';
import type { DraftContent } from '@yellow-latch/replica/storage/draft';

import { OFFERS_ID, offerId } from './OffersStrip';
import { Pad, type PadEvent, type PadState } from './pad';

export interface WritePadHandle {
  readonly pad: Pad;
  focus(): void;
  /** A short light along the edge of the page. */
  flash(color: string): void;
}

interface WritePadProps {
  device: DeviceList;
  chances: MissedChances | null;
  start: DraftContent;
  placeholder: string;
  /** A keyboard of the page's own stands below: the device's own stays away. */
  hasKeys: boolean;
  /** The offer that the arrows have come to. */
  chosen: Live<number | null>;
  onState: (state: PadState) => void;
  onFiring: (event: PadEvent) => void;
  onTold: (told: readonly Explanation[], refused: Refused | null) => void;
  onMissed: (missed: MissedChance) => void;
  onKeyDown: (event: KeyboardEvent) => void;
  ref?: Ref<WritePadHandle>;
}

/**
 * The page to type on: a text area that is not controlled from state, since rewriting a field's
 * value moves the caret. A `Pad` edits it in place.
 */
export function WritePad({
  device,
  chances,
  start,
  placeholder,
  hasKeys,
  chosen,
  onKeyDown,
  ref,
  ...listener
}: WritePadProps) {
  const palette = usePalette();
  const area = useRef<HTMLTextAreaElement>(null);
  const pad = useRef<Pad | null>(null);
  const latest = useLatest({ listener, device, chances, start });

  useEffect(() => {
    const field = area.current!;
    const { device: on, chances: known, start: from } = latest.current;
    const attached = new Pad(
      field,
      on,
      {
        onState: (state) => latest.current.listener.onState(state),
        onFiring: (event) => latest.current.listener.onFiring(event),
        onTold: (told, refused) => latest.current.listener.onTold(told, refused),
        onMissed: (missed) => latest.current.listener.onMissed(missed),
      },
      from,
      known,
    );
    pad.current = attached;
    field.focus();
    field.setSelectionRange(from.caret, from.caret);
    return () => attached.detach();
  }, [latest]);

  // Who cannot see the strip hears where in it the arrows are.
  useEffect(
    () =>
      chosen.subscribe((index) => {
        const field = area.current;
        if (index === null) {
          field?.removeAttribute('aria-activedescendant');
          field?.removeAttribute('aria-controls');
        } else {
          field?.setAttribute('aria-controls', OFFERS_ID);
          field?.setAttribute('aria-activedescendant', offerId(index));
        }
      }),
    [chosen],
  );
  useEffect(() => pad.current?.useDevice(device), [device]);
  useEffect(() => pad.current?.useChances(chances), [chances]);

  useImperativeHandle(ref, () => ({
    get pad() {
      return pad.current!;
    },
    focus: () => area.current?.focus(),
    flash: (color) => {
      area.current?.animate?.(
        [{ boxShadow: `inset 0 0 0 4px ${color}` }, { boxShadow: `inset 0 0 0 4px transparent` }],
        { duration: 320, easing: 'ease-out' },
      );
    },
  }));

  return (
    <textarea
      ref={area}
      className="write-pad"
      aria-label="Your text"
      inputMode={hasKeys ? 'none' : undefined}
      defaultValue={start.text}
      placeholder={placeholder}
      onKeyDown={onKeyDown}
      style={{
        flex: 1,
        minHeight: 0,
        margin: 0,
        border: 0,
        resize: 'none',
        padding: 16,
        fontFamily: FACES.text,
        fontSize: 19,
        lineHeight: '29px',
        color: palette.ink,
        caretColor: palette.ink,
        backgroundColor: palette.surface,
      }}
    />
  );
}
