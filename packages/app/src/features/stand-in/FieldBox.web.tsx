import { t } from '@lingui/core/macro';
import { attach, type Field } from '@yellow-latch/field/own';
import { useEffect, useId, useRef, type CSSProperties } from 'react';
import { StyleSheet, View } from 'react-native';
import { Text } from 'react-native-paper';

import { FACES, STRONG } from '@/look/fonts';
import { useLatest } from '@/look/useLatest';
import { usePalette } from '@/look/useLook';

import { useStandIn } from './useStandIn';
import type { Box } from './typing';

interface FieldBoxProps {
  name: string;
  label: string;
  /** A text of several lines, or one line; in a password field nothing expands. */
  type?: 'lines' | 'line' | 'password';
  /** What is wrong with what stands there. */
  error?: string | null;
  /** Whether it takes all the room there is. */
  fills?: boolean;
}

/** A field of a stand-in: codes expand in it as on that device, whatever its keys are. */
export function FieldBox({ name, label, type = 'line', error = null, fills = false }: FieldBoxProps) {
  const palette = usePalette();
  const id = useId();
  const standIn = useStandIn();
  const { memory, device, switches, tab } = standIn;
  const element = useRef<HTMLTextAreaElement | HTMLInputElement>(null);
  const field = useRef<Field | null>(null);
  const latest = useLatest(standIn);
  const isGlass = tab.kind !== 'computer' || switches.tapsOnly;

  useEffect(() => {
    const { typing } = latest.current;
    const at = element.current!;
    const count = ({ key, repeat, ctrlKey, metaKey, altKey }: KeyboardEvent): boolean => {
      const { memory: counted, switches: now } = latest.current;
      if (ctrlKey || metaKey || key === 'Tab' || key.startsWith('Arrow')) return false;
      if (now.tapsOnly) {
        typing.say(t`Taps only: use the keys on the screen.`, true);
        return true;
      }
      const isShift = key === 'Shift' || altKey;
      if (!repeat && !isShift) counted.count({ taps: 1, keys: tellKey(key) });
      return false;
    };
    const attached =
      type === 'password'
        ? null
        : attach(at, {
            device: latest.current.device,
            onState: (state) => typing.show(name, state),
            onFiring: (event, hesitation) => latest.current.onFiring(name, event, hesitation),
            onExplained: (explanations, refused) => latest.current.onExplained(explanations, refused),
            onKey: count,
          });
    field.current = attached;
    const box: Box = { name, element: at, field: attached };
    const touch = () => typing.touch(box);
    const secretKey = (event: Event) => {
      if (!attached && count(event as KeyboardEvent)) event.preventDefault();
    };
    at.addEventListener('focus', touch);
    at.addEventListener('keydown', secretKey);
    const remove = typing.add(box);
    return () => {
      remove();
      at.removeEventListener('focus', touch);
      at.removeEventListener('keydown', secretKey);
      attached?.detach();
    };
  }, [latest, name, type]);
  useEffect(() => field.current?.useDevice(device), [device]);

  const shared = {
    'aria-labelledby': id,
    'aria-invalid': error !== null,
    'aria-describedby': error === null ? undefined : `${id}-error`,
    spellCheck: false,
    autoCapitalize: 'none',
    autoComplete: 'off',
    inputMode: isGlass ? ('none' as const) : undefined,
    style: {
      ...BOX,
      border: `1.5px solid ${error === null ? palette.inkSoft : palette.alarm}`,
      color: palette.ink,
      caretColor: palette.ink,
      backgroundColor: palette.surface,
      ...(fills ? FILLS : {}),
    },
  };
  return (
    <View style={[styles.box, fills && styles.fills]}>
      <Text variant="labelLarge" nativeID={id} style={styles.label}>
        {label}
      </Text>
      {type === 'lines' ? (
        <textarea
          {...shared}
          ref={element as React.RefObject<HTMLTextAreaElement>}
          rows={2}
          defaultValue={memory.textOf(name)}
        />
      ) : (
        <input
          {...shared}
          ref={element as React.RefObject<HTMLInputElement>}
          type={type === 'password' ? 'password' : 'text'}
          defaultValue={type === 'password' ? '' : memory.textOf(name)}
        />
      )}
      {error !== null && (
        <Text role="alert" nativeID={`${id}-error`} variant="bodyMedium" style={{ color: palette.alarm }}>
          {error}
        </Text>
      )}
    </View>
  );
}

/** What a key gives; nothing, where it gives no character. */
function tellKey(key: string): string {
  if (key === 'Enter') return '\n';
  return Array.from(key).length === 1 ? key : '';
}

const BOX: CSSProperties = {
  boxSizing: 'border-box',
  width: '100%',
  minHeight: 48,
  margin: 0,
  padding: '10px 12px',
  borderRadius: 6,
  resize: 'none',
  fontFamily: FACES.text,
  fontSize: 17,
  lineHeight: '25px',
};
const FILLS: CSSProperties = { flex: 1, minHeight: 72 };
const styles = StyleSheet.create({
  box: { gap: 4 },
  fills: { flex: 1, minHeight: 100 },
  label: { ...STRONG, fontSize: 15 },
});
