import { useEffect, useId, useRef } from 'react';
import { StyleSheet, TextInput, View, type NativeSyntheticEvent } from 'react-native';
import { Button, Text } from 'react-native-paper';

import { FACES, STRONG } from './fonts';
import type { IconName } from './icons';
import { usePalette } from './useLook';

interface FieldProps {
  label: string;
  value: string;
  onChangeText: (text: string) => void;
  /** `next`: the element that takes the focus, if one does. */
  onBlur: (next: Element | null) => void;
  /** Return in a line, Ctrl or ⌘ with Return in a text of several lines. */
  onSubmit: () => void;
  error?: string;
  placeholder?: string;
  /** Whether the caret stands here when the screen opens. */
  startsHere?: boolean;
  multiline?: boolean;
  /** In the face of codes, left as typed by the keyboard's helpers. */
  isCode?: boolean;
  /** Not shown while it is typed, and kept by no keyboard. */
  isSecret?: boolean;
  /** The keys that a touch keyboard shows first. */
  inputMode?: 'text' | 'decimal';
  inputRef?: (input: TextInput | null) => void;
}

/** A labelled field that tells below it what is wrong, and is told so to a screen reader. */
export function Field(props: FieldProps) {
  const { label, error, isCode, isSecret, multiline, inputRef, onSubmit, onBlur, startsHere, ...field } = props;
  const palette = usePalette();
  const id = useId();
  const input = useRef<TextInput>(null);
  useEffect(() => {
    if (!startsHere) return;
    // Only when the screen is laid out can it take the focus.
    const frame = requestAnimationFrame(() => input.current?.focus());
    return () => cancelAnimationFrame(frame);
  }, [startsHere]);
  const asTyped = { autoCapitalize: 'none', autoCorrect: false, spellCheck: false } as const;
  const described = error ? { 'aria-invalid': true, 'aria-describedby': `${id}-error` } : { 'aria-invalid': false };
  return (
    <View style={styles.field}>
      <Text variant="labelLarge" nativeID={`${id}-label`} style={styles.label}>
        {label}
      </Text>
      <TextInput
        {...field}
        {...(isCode || isSecret ? asTyped : {})}
        secureTextEntry={isSecret}
        {...(described as object)}
        ref={(element) => {
          input.current = element;
          inputRef?.(element);
        }}
        aria-labelledby={`${id}-label`}
        onBlur={({ nativeEvent }) => onBlur((nativeEvent as unknown as FocusEvent).relatedTarget as Element | null)}
        multiline={multiline}
        placeholderTextColor={palette.inkSoft}
        onKeyPress={(event: NativeSyntheticEvent<{ key: string }>) => {
          const { key, ctrlKey, metaKey } = event.nativeEvent as unknown as KeyboardEvent;
          if (key === 'Enter' && (!multiline || ctrlKey || metaKey)) {
            event.preventDefault();
            onSubmit();
          }
        }}
        style={[
          styles.input,
          multiline && styles.tall,
          isCode && styles.code,
          {
            color: palette.ink,
            backgroundColor: palette.surface,
            borderColor: error ? palette.alarm : palette.inkSoft,
          },
        ]}
      />
      {error && (
        <Text nativeID={`${id}-error`} role="alert" variant="bodyMedium" style={{ color: palette.alarm }}>
          {error}
        </Text>
      )}
    </View>
  );
}

interface FieldNoteProps {
  text: string;
  action?: string;
  icon?: IconName;
  onPress?: () => void;
}

/** A note below a field on what was done to it, with the way back. */
export function FieldNote({ text, action, icon = 'undo', onPress }: FieldNoteProps) {
  const palette = usePalette();
  return (
    <View role="status" style={styles.note}>
      <Text variant="bodyMedium" style={[styles.noteText, { color: palette.inkSoft }]}>
        {text}
      </Text>
      {action && (
        <Button icon={icon} mode="text" onPress={onPress} contentStyle={styles.noteAction}>
          {action}
        </Button>
      )}
    </View>
  );
}

const styles = StyleSheet.create({
  field: { gap: 4, paddingTop: 6 },
  label: { ...STRONG, fontSize: 15 },
  input: {
    borderWidth: 1.5,
    borderRadius: 6,
    minHeight: 52,
    paddingHorizontal: 12,
    paddingVertical: 12,
    fontSize: 17,
    lineHeight: 25,
    fontFamily: FACES.text,
  },
  tall: { minHeight: 148, textAlignVertical: 'top' },
  code: { fontFamily: FACES.code, fontSize: 19 },
  note: { flexDirection: 'row', alignItems: 'center', gap: 8, minHeight: 48 },
  noteText: { flexShrink: 1 },
  noteAction: { minHeight: 48 },
});
