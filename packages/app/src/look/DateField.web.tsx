import { useEffect, useId, useRef } from 'react';
import { StyleSheet, View } from 'react-native';
import { Text } from 'react-native-paper';

import { FACES, STRONG } from './fonts';
import { usePalette } from './useLook';

interface DateFieldProps {
  label: string;
  /** ISO 8601, year-month-day; '': none yet. */
  value: string;
  onChange: (value: string) => void;
  onSubmit: () => void;
}

/** A day to choose, by the device's own picker or typed. */
export function DateField({ label, value, onChange, onSubmit }: DateFieldProps) {
  const palette = usePalette();
  const id = useId();
  const input = useRef<HTMLInputElement>(null);
  useEffect(() => {
    const frame = requestAnimationFrame(() => input.current?.focus());
    return () => cancelAnimationFrame(frame);
  }, []);
  return (
    <View style={styles.field}>
      <Text variant="labelLarge" nativeID={`${id}-label`} style={styles.label}>
        {label}
      </Text>
      <input
        ref={input}
        type="date"
        aria-labelledby={`${id}-label`}
        value={value}
        min="0001-01-01"
        max="9999-12-31"
        onChange={(event) => onChange(event.target.value)}
        onKeyDown={(event) => {
          if (event.key !== 'Enter') return;
          event.preventDefault();
          onSubmit();
        }}
        style={{
          minHeight: 52,
          boxSizing: 'border-box',
          padding: '0 12px',
          border: `1.5px solid ${palette.inkSoft}`,
          borderRadius: 6,
          fontFamily: FACES.text,
          fontSize: 17,
          color: palette.ink,
          backgroundColor: palette.surface,
          colorScheme: 'light dark',
        }}
      />
    </View>
  );
}

const styles = StyleSheet.create({ field: { gap: 4, paddingTop: 6 }, label: { ...STRONG, fontSize: 15 } });
