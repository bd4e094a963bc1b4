import { useEffect, useId, useRef, type ReactNode } from 'react';
import { StyleSheet, TextInput, View, type NativeSyntheticEvent } from 'react-native';
import { Button, Text } from 'react-native-paper';

import { chooseAll } from './chooseAll';
import { FACES, STRONG } from './fonts';
import type { IconName } from './icons';
import { usePalette } from './useLook';
import { webStyle } from './webStyle';

interface FieldProps {
  label: string;
  /** What stands beside the label. */
  beside?: ReactNode;
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
  inputMode?: 'text' | 'decimal' | 'url' | 'email';
  inputRef?: (input: TextInput | null) => void;
  /** Whether all of it is chosen when one comes to it, so that typing replaces it. */
  selectTextOnFocus?: boolean;
  /** It can be read and copied, and not changed. */
  readOnly?: boolean;
}

/** A labelled field that tells below it what is wrong, and is told so to a screen reader. */
export function Field(props: FieldProps) {
  const { label, beside, error, isCode, isSecret, multiline, inputRef, onSubmit, onBlur, startsHere, ...rest } = props;
  const { selectTextOnFocus, ...field } = rest;
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
      <FieldHead nativeID={`${id}-label`} label={label} beside={beside} />
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
        onFocus={selectTextOnFocus ? chooseAll : undefined}
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

/** The label of a field, and what stands beside it. */
export function FieldHead({ nativeID, label, beside }: { nativeID: string; label: string; beside?: ReactNode }) {
  return (
    <View style={styles.head}>
      <Text variant="labelLarge" nativeID={nativeID} style={styles.label}>
        {label}
      </Text>
      {beside}
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
  head: { flexDirection: 'row', alignItems: 'center', justifyContent: 'space-between', gap: 8 },
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
  // As high as what is in it, within reason.
  tall: { minHeight: 84, maxHeight: 260, textAlignVertical: 'top', ...webStyle({ fieldSizing: 'content' }) },
  code: { fontFamily: FACES.code, fontSize: 19 },
  note: { flexDirection: 'row', alignItems: 'center', gap: 8, minHeight: 48 },
  noteText: { flexShrink: 1 },
  noteAction: { minHeight: 48 },
});
