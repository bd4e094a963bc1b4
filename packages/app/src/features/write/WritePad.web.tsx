import { t } from '@lingui/core/macro';
import type { DeviceList, MissedChances } from '@yellow-latch/core/compose';
import { attach, type Field, type FieldContent, type FieldOptions } from '@yellow-latch/field/own';
import { useEffect, useImperativeHandle, useRef, type Ref } from 'react';

import { useLive, type Live } from '@/frame/live';
import { FACES } from '@/look/fonts';
import { useLatest } from '@/look/useLatest';
import { usePalette } from '@/look/useLook';

import type { Page } from './composer/live';
import { OFFERS_ID, offerId } from '@/parts/typing/OffersStrip';

export interface WritePadHandle {
  readonly field: Field;
  focus(): void;
  /** A short light along the edge of the page. */
  flash(color: string): void;
}

interface WritePadProps extends Required<
  Pick<FieldOptions, 'onState' | 'onFiring' | 'onExplained' | 'onMissed' | 'onKey'>
> {
  device: DeviceList;
  chances: MissedChances | null;
  start: FieldContent;
  page: Live<Page>;
  placeholder: string;
  /** A keyboard of the page's own stands below: the device's own stays away. */
  hasKeys: boolean;
  /** The offer that the arrows have come to. */
  chosen: Live<number | null>;
  ref?: Ref<WritePadHandle>;
}

const TYPED = ['keydown', 'keypress', 'textInput', 'input'] as const;
/** Keys that only type are nobody's but the pad's. */
const stop = (event: Event) => {
  const isForAll =
    event instanceof KeyboardEvent && (event.ctrlKey || event.metaKey || event.altKey || event.key.length > 1);
  if (!isForAll) event.stopPropagation();
};

/**
 * The page to type on: a text area that is not controlled from state, since rewriting a field's value moves the caret.
 * What expands in it is edited in place.
 */
export function WritePad({
  device,
  chances,
  start,
  page,
  placeholder,
  hasKeys,
  chosen,
  ref,
  ...listener
}: WritePadProps) {
  const palette = usePalette();
  const { isEmpty } = useLive(page);
  const area = useRef<HTMLTextAreaElement>(null);
  const field = useRef<Field | null>(null);
  const latest = useLatest({ listener, device, chances, start });

  useEffect(() => {
    const { device: on, chances: known, start: from } = latest.current;
    const attached = attach(area.current!, {
      device: on,
      chances: known,
      start: from,
      onState: (state) => latest.current.listener.onState(state),
      onFiring: (event, hesitation) => latest.current.listener.onFiring(event, hesitation),
      onExplained: (explanations, refused) => latest.current.listener.onExplained(explanations, refused),
      onMissed: (missed) => latest.current.listener.onMissed(missed),
      onKey: (event) => latest.current.listener.onKey(event),
    });
    field.current = attached;
    attached.select({ start: from.caret, end: from.caret });
    return () => attached.detach();
  }, [latest]);

  // Nothing around the page listens to what is typed, but React would look for it, between the key and its frame.
  useEffect(() => {
    const { current: typedIn } = area;
    for (const type of TYPED) typedIn?.addEventListener(type, stop);
    return () => {
      for (const type of TYPED) typedIn?.removeEventListener(type, stop);
    };
  }, []);
  // Who cannot see the strip hears where in it the arrows are.
  useEffect(
    () =>
      chosen.subscribe((index) => {
        if (index === null) {
          area.current?.removeAttribute('aria-activedescendant');
          area.current?.removeAttribute('aria-controls');
        } else {
          area.current?.setAttribute('aria-controls', OFFERS_ID);
          area.current?.setAttribute('aria-activedescendant', offerId(index));
        }
      }),
    [chosen],
  );
  useEffect(() => field.current?.useDevice(device), [device]);
  useEffect(() => field.current?.useChances(chances), [chances]);

  useImperativeHandle(ref, () => ({
    get field() {
      return field.current!;
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
      aria-label={t`Your text`}
      inputMode={hasKeys ? 'none' : undefined}
      defaultValue={start.text}
      // Beside a text that stands there it would only be work at each key.
      placeholder={isEmpty ? placeholder : undefined}
      style={{
        // A key lays out this text alone, not the page around it.
        contain: 'strict',
        position: 'absolute',
        width: '100%',
        height: '100%',
        boxSizing: 'border-box',
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
