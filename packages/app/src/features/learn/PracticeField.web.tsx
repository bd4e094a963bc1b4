import type { DeviceList } from '@yellow-latch/core/compose';
import { attach, type Field, type FieldEvent } from '@yellow-latch/field/own';
import { useEffect, useId, useRef } from 'react';
import { StyleSheet, View } from 'react-native';
import { Text } from 'react-native-paper';

import { useGlassKeyboard } from '@/parts/keys/useGlassKeyboard';
import { GlassKeys } from '@/parts/keys/GlassKeys';
import { useList } from '@/frame/replica/ReplicaProvider';
import { FACES, STRONG } from '@/look/fonts';
import { useLatest } from '@/look/useLatest';
import { usePalette } from '@/look/useLook';

interface PracticeFieldProps {
  label: string;
  /** The list made ready for typing: once for a whole practice. */
  device: DeviceList;
  /** A phone's keyboard stands below, to type on. */
  hasKeys: boolean;
  rows: number;
  /** When this changes the focus comes back: what was pressed is gone. */
  focusOn: unknown;
  /** When this changes the field is emptied: one begins again. */
  beginsAt?: unknown;
  onFiring: (event: FieldEvent, hesitation: number | null) => void;
  onText?: (text: string) => void;
}

/** A field in which the whole list expands, as it does anywhere. It takes the focus when it comes. */
export function PracticeField({
  label,
  device,
  hasKeys,
  rows,
  focusOn,
  beginsAt,
  onFiring,
  onText,
}: PracticeFieldProps) {
  const palette = usePalette();
  const id = useId();
  const { profiles } = useList();
  const area = useRef<HTMLTextAreaElement>(null);
  const field = useRef<Field | null>(null);
  const keyboard = useGlassKeyboard(profiles.find((key) => key.startsWith('phone')) ?? 'phone-list');
  const latest = useLatest({ device, onFiring, onText });
  useEffect(() => {
    const attached = attach(area.current!, {
      device: latest.current.device,
      onFiring: (event, hesitation) => latest.current.onFiring(event, hesitation),
      onState: ({ text }) => latest.current.onText?.(text),
    });
    field.current = attached;
    return () => attached.detach();
  }, [latest]);
  useEffect(() => {
    if (area.current!.value !== '') field.current?.clear();
  }, [beginsAt]);
  useEffect(() => area.current!.focus(), [focusOn, hasKeys]);
  useEffect(() => field.current?.useDevice(device), [device]);
  return (
    <View style={styles.block}>
      <Text variant="labelLarge" nativeID={id} style={styles.label}>
        {label}
      </Text>
      <textarea
        ref={area}
        rows={rows}
        aria-labelledby={id}
        inputMode={hasKeys ? 'none' : undefined}
        spellCheck={false}
        autoCapitalize="none"
        autoCorrect="off"
        style={{
          resize: 'none',
          minHeight: 52,
          boxSizing: 'border-box',
          padding: '12px',
          border: `1.5px solid ${palette.inkSoft}`,
          borderRadius: 6,
          fontFamily: FACES.text,
          fontSize: 19,
          lineHeight: '27px',
          color: palette.ink,
          backgroundColor: palette.surface,
        }}
      />
      {hasKeys && (
        <GlassKeys
          keyboard={keyboard}
          before={() => area.current?.value.slice(0, area.current.selectionStart) ?? ''}
          onKey={(text) => field.current?.press(text)}
          onBackspace={() => field.current?.backspace()}
          onTap={() => area.current?.focus()}
        />
      )}
    </View>
  );
}

const styles = StyleSheet.create({
  block: { gap: 4 },
  label: { ...STRONG, fontSize: 15 },
});
