import { Pressable, StyleSheet } from 'react-native';
import { Text } from 'react-native-paper';

import { STRONG } from './fonts';
import { Icon, type IconName } from './icons';
import { usePalette } from './useLook';

interface LatchButtonProps {
  label: string;
  /** What a screen reader calls it, where it says more than the label, which it contains (WCAG 2.2, 2.5.3). */
  name?: string;
  icon?: IconName;
  onPress: () => void;
  /** Without its yellow, where another action is the primary one. */
  isQuiet?: boolean;
}

/** The primary action of a screen, in latch yellow with its keyline. At most one at a time. */
export function LatchButton({ label, name, icon, onPress, isQuiet = false }: LatchButtonProps) {
  const palette = usePalette();
  const color = isQuiet ? palette.ink : palette.onLatch;
  return (
    <Pressable
      role="button"
      aria-label={name}
      onPress={onPress}
      style={({ pressed }) => [
        styles.button,
        {
          backgroundColor: isQuiet ? 'transparent' : palette.latch,
          borderColor: palette.keyline,
        },
        pressed && styles.pressed,
      ]}
    >
      {icon && <Icon name={icon} size={20} color={color} />}
      <Text variant="labelLarge" style={[styles.label, { color }]}>
        {label}
      </Text>
    </Pressable>
  );
}

const styles = StyleSheet.create({
  button: {
    minHeight: 48,
    minWidth: 96,
    paddingHorizontal: 18,
    borderWidth: 1.5,
    borderRadius: 6,
    flexDirection: 'row',
    alignItems: 'center',
    justifyContent: 'center',
    gap: 8,
  },
  pressed: { transform: [{ translateY: 1 }] },
  label: { ...STRONG, fontSize: 16 },
});
