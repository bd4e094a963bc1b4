import { ScrollView, StyleSheet } from 'react-native';
import { Text } from 'react-native-paper';

import { STRONG } from './fonts';
import { RadioGroup } from './RadioGroup';
import { Sheet } from './Sheet';
import { Tick } from './Tick';

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
export function ChoiceSheet<T extends string | null>({
  title,
  value,
  choices,
  isOpen,
  onClose,
  onChange,
}: ChoiceSheetProps<T>) {
  return (
    <Sheet title={title} isOpen={isOpen} onClose={onClose}>
      <ScrollView>
        <RadioGroup label={title} hasChosen={choices.some((choice) => choice.value === value)} onlyMoves>
          {choices.map((choice) => {
            const isChosen = choice.value === value;
            return (
              <Tick
                key={choice.label}
                role="radio"
                isOn={isChosen}
                onPress={() => {
                  onClose();
                  onChange(choice.value);
                }}
                style={styles.option}
              >
                <Text variant="bodyLarge" style={isChosen && STRONG}>
                  {choice.label}
                </Text>
              </Tick>
            );
          })}
        </RadioGroup>
      </ScrollView>
    </Sheet>
  );
}

const styles = StyleSheet.create({
  option: { paddingHorizontal: 20 },
});
