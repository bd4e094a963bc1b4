import type { ReactNode } from 'react';
import { Pressable, StyleSheet, View, type StyleProp, type ViewStyle } from 'react-native';

import { Icon } from './icons';
import type { Held } from './PressLink';
import { useRadioTab } from './RadioGroup';
import { usePalette } from './useLook';

interface TickProps {
  /** One of several, or a yes that stands for itself. */
  role: 'radio' | 'checkbox';
  isOn: boolean;
  onPress: (held: Held) => void;
  label?: string;
  isDisabled?: boolean;
  style?: StyleProp<ViewStyle>;
  children: ReactNode;
}

/** A choice with its mark: a ring for one of several, a box for a yes. Space and Enter take it. */
export function Tick({ role, isOn, onPress, label, isDisabled = false, style, children }: TickProps) {
  const radioTab = useRadioTab(isOn);
  const take = (held: Held) => {
    if (!isDisabled) onPress(held);
  };
  return (
    <Pressable
      role={role}
      tabIndex={role === 'radio' ? radioTab : 0}
      aria-checked={isOn}
      aria-disabled={isDisabled || undefined}
      aria-label={label}
      onPress={({ nativeEvent }) => take(nativeEvent as unknown as Held)}
      {...onSpace(take)}
      style={[styles.line, style]}
    >
      <TickMark role={role} isOn={isOn} />
      {children}
    </Pressable>
  );
}

/** The mark by itself. */
export function TickMark({ role, isOn }: Pick<TickProps, 'role' | 'isOn'>) {
  const palette = usePalette();
  return (
    <View style={[styles.mark, role === 'radio' && styles.ring, { borderColor: palette.ink }]}>
      {isOn &&
        (role === 'radio' ? (
          <View style={[styles.dot, { backgroundColor: palette.ink }]} />
        ) : (
          <Icon name="check" size={18} color={palette.ink} />
        ))}
    </View>
  );
}

/** Pressables answer to Enter, but to Space only as buttons; radios and boxes are ticked with Space. */
function onSpace(take: (held: Held) => void): object {
  return {
    onKeyDown: (event: Held & { key: string; preventDefault: () => void }) => {
      if (event.key !== ' ') return;
      event.preventDefault();
      take(event);
    },
  };
}

const styles = StyleSheet.create({
  line: { flexDirection: 'row', alignItems: 'center', gap: 12, minHeight: 48 },
  mark: { width: 24, height: 24, borderWidth: 1.5, borderRadius: 4, alignItems: 'center', justifyContent: 'center' },
  ring: { borderRadius: 12, borderWidth: 2 },
  dot: { width: 11, height: 11, borderRadius: 6 },
});
