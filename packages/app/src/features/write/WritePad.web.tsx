import type { CompiledList, FiringEvent } from '@yellow-latch/core/fire';
import { useEffect, useImperativeHandle, useRef, type Ref } from 'react';

import { FACES } from '@/look/fonts';
import { useLatest } from '@/look/useLatest';
import { usePalette } from '@/look/useLook';

import { Pad, type AskedEvent } from './pad';

export interface WritePadHandle {
  undo(): void;
  redo(): void;
  clear(): void;
  fill(asked: AskedEvent, text: string, caret: number | null): boolean;
  focus(): void;
}

interface WritePadProps {
  list: CompiledList;
  initialText: string;
  placeholder: string;
  onText: (text: string) => void;
  onFiring: (event: FiringEvent) => void;
  onHistory: (can: { undo: boolean; redo: boolean }) => void;
  ref?: Ref<WritePadHandle>;
}

/**
 * The page to type on: a text area that is not controlled from state, since rewriting a field's
 * value moves the caret. A `Pad` edits it in place.
 */
export function WritePad({ list, initialText, placeholder, ref, ...listener }: WritePadProps) {
  const palette = usePalette();
  const area = useRef<HTMLTextAreaElement>(null);
  const pad = useRef<Pad | null>(null);
  const latest = useLatest({ listener, list });

  useEffect(() => {
    const attached = new Pad(area.current!, latest.current.list, {
      onText: (text) => latest.current.listener.onText(text),
      onFiring: (event) => latest.current.listener.onFiring(event),
      onHistory: (can) => latest.current.listener.onHistory(can),
    });
    pad.current = attached;
    area.current!.focus();
    return () => attached.detach();
  }, [latest]);

  useEffect(() => pad.current?.useList(list), [list]);

  useImperativeHandle(ref, () => ({
    undo: () => pad.current?.undo(),
    redo: () => pad.current?.redo(),
    clear: () => pad.current?.clear(),
    fill: (asked, text, caret) => pad.current?.fill(asked, text, caret) ?? false,
    focus: () => area.current?.focus(),
  }));

  return (
    <textarea
      ref={area}
      className="write-pad"
      aria-label="Your text"
      defaultValue={initialText}
      placeholder={placeholder}
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
