import { Pressable, ScrollView, StyleSheet, View } from 'react-native';
import { Text } from 'react-native-paper';

import { STRONG } from './fonts';
import { Icon } from './icons';
import { Sheet } from './Sheet';
import { usePalette } from './useLook';

export interface ChoiceOption<T> {
  readonly value: T;
  readonly label: string;
}

interface ChoiceSheetProps<T> {
  title: string;
  value: T;
  choices: readonly ChoiceOption<T>[];
  isOpen: boolean;
  onClose: () => void;
  onChange: (value: T) => void;
}

/** A sheet with one of several to choose. */
export function ChoiceSheet<T extends string | null>({ title, value, choices, isOpen, onClose, onChange }: ChoiceSheetProps<T>) {
  const palette = usePalette();
  return (
    <Sheet title={title} isOpen={isOpen} onClose={onClose}>
      <ScrollView role="radiogroup" aria-label={title}>
        {choices.map((choice) => {
          const isChosen = choice.value === value;
          return (
            <Pressable
              key={choice.label}
              role="radio"
              aria-checked={isChosen}
              onPress={() => {
                onClose();
                onChange(choice.value);
              }}
              style={styles.option}
            >
              <View style={styles.tick}>{isChosen && <Icon name="check" size={20} color={palette.ink} />}</View>
              <Text variant="bodyLarge" style={isChosen && STRONG}>
                {choice.label}
              </Text>
            </Pressable>
          );
        })}
      </ScrollView>
    </Sheet>
  );
}

const styles = StyleSheet.create({
  option: { flexDirection: 'row', alignItems: 'center', minHeight: 48, paddingHorizontal: 20 },
  tick: { width: 32 },
});
