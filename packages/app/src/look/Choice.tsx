import { useState } from 'react';
import { Pressable, StyleSheet, View } from 'react-native';
import { Text } from 'react-native-paper';

import { ChoiceSheet, type ChoiceOption } from './ChoiceSheet';
import { STRONG } from './fonts';
import { Icon } from './icons';
import { usePalette } from './useLook';

interface ChoiceProps<T> {
  label: string;
  value: T;
  choices: readonly ChoiceOption<T>[];
  onChange: (value: T) => void;
}

/** One of several, shown as a field that opens a sheet to choose from. */
export function Choice<T extends string | null>({ label, value, choices, onChange }: ChoiceProps<T>) {
  const palette = usePalette();
  const [isOpen, setOpen] = useState(false);
  const chosen = choices.find((choice) => choice.value === value)?.label ?? '';
  return (
    <View style={styles.choice}>
      <Text variant="labelLarge" style={styles.label}>
        {label}
      </Text>
      <Pressable
        role="button"
        aria-label={`${label}: ${chosen}`}
        aria-haspopup="dialog"
        onPress={() => setOpen(true)}
        style={[styles.field, { borderColor: palette.inkSoft, backgroundColor: palette.surface }]}
      >
        <Text numberOfLines={1} style={styles.chosen}>
          {chosen}
        </Text>
        <Icon name="chevron-down" size={18} color={palette.inkSoft} />
      </Pressable>
      <ChoiceSheet
        title={label}
        value={value}
        choices={choices}
        isOpen={isOpen}
        onClose={() => setOpen(false)}
        onChange={onChange}
      />
    </View>
  );
}

const styles = StyleSheet.create({
  choice: { flex: 1, gap: 4, minWidth: 0 },
  label: { ...STRONG, fontSize: 15 },
  field: {
    flexDirection: 'row',
    alignItems: 'center',
    gap: 6,
    minHeight: 52,
    paddingHorizontal: 12,
    borderWidth: 1.5,
    borderRadius: 6,
  },
  chosen: { flex: 1, fontSize: 16 },
});
