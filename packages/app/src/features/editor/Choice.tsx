import { useState } from 'react';
import { Pressable, ScrollView, StyleSheet, View } from 'react-native';
import { Text } from 'react-native-paper';

import { STRONG } from '@/look/fonts';
import { Icon } from '@/look/icons';
import { Sheet } from '@/look/Sheet';
import { usePalette } from '@/look/useLook';

interface ChoiceProps<T> {
  label: string;
  value: T;
  choices: readonly { value: T; label: string }[];
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
      <Sheet title={label} isOpen={isOpen} onClose={() => setOpen(false)}>
        <ScrollView role="radiogroup" aria-label={label}>
          {choices.map((choice) => {
            const isChosen = choice.value === value;
            return (
              <Pressable
                key={choice.label}
                role="radio"
                aria-checked={isChosen}
                onPress={() => {
                  setOpen(false);
                  onChange(choice.value);
                }}
                style={styles.option}
              >
                <View style={styles.tick}>
                  {isChosen && <Icon name="check" size={20} color={palette.ink} />}
                </View>
                <Text variant="bodyLarge" style={isChosen && STRONG}>
                  {choice.label}
                </Text>
              </Pressable>
            );
          })}
        </ScrollView>
      </Sheet>
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
  option: { flexDirection: 'row', alignItems: 'center', minHeight: 48, paddingHorizontal: 20 },
  tick: { width: 32 },
});
