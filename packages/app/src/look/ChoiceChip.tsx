import { useState } from 'react';
import { Pressable, StyleSheet } from 'react-native';
import { Text } from 'react-native-paper';

import { ChoiceSheet, type ChoiceOption } from './ChoiceSheet';
import { Icon } from './icons';
import { usePalette } from './useLook';

interface ChoiceChipProps<T> {
  label: string;
  value: T;
  choices: readonly ChoiceOption<T>[];
  onChange: (value: T) => void;
  /** What stands on the button while nothing is chosen, where that is shorter. */
  placeholder?: string;
}

/** One of several, shown as a small button that opens a sheet: for filters. */
export function ChoiceChip<T extends string | null>({
  label,
  value,
  choices,
  onChange,
  placeholder,
}: ChoiceChipProps<T>) {
  const palette = usePalette();
  const [isOpen, setOpen] = useState(false);
  const chosen = choices.find((choice) => choice.value === value)?.label ?? '';
  const shown = value === null ? (placeholder ?? chosen) : chosen;
  return (
    <>
      <Pressable
        role="button"
        aria-label={`${label}: ${shown}`}
        aria-haspopup="dialog"
        onPress={() => setOpen(true)}
        style={[
          styles.chip,
          { borderColor: palette.inkSoft, backgroundColor: value === null ? 'transparent' : palette.surface },
        ]}
      >
        <Text numberOfLines={2} style={styles.text}>
          {shown}
        </Text>
        <Icon name="chevron-down" size={16} color={palette.inkSoft} />
      </Pressable>
      <ChoiceSheet
        title={label}
        value={value}
        choices={choices}
        isOpen={isOpen}
        onClose={() => setOpen(false)}
        onChange={onChange}
      />
    </>
  );
}

const styles = StyleSheet.create({
  chip: {
    flexDirection: 'row',
    alignItems: 'center',
    gap: 4,
    minHeight: 48,
    minWidth: 0,
    flexShrink: 1,
    paddingHorizontal: 8,
    borderWidth: 1.5,
    borderRadius: 6,
  },
  text: { fontSize: 15, flexShrink: 1 },
});
