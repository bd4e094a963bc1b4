import { View } from 'react-native';
import { Text } from 'react-native-paper';

import { STRONG } from '@/look/fonts';
import { Tick } from '@/look/Tick';

interface SeveralOfProps {
  /** What they are, for a screen reader. */
  label: string;
  all: readonly { readonly value: string; readonly label: string }[];
  chosen: readonly string[];
  onChange: (chosen: string[]) => void;
}

/** Some of several, at least one: against nothing, nothing is checked. */
export function SeveralOf({ label, all, chosen, onChange }: SeveralOfProps) {
  return (
    <View role="group" aria-label={label}>
      {all.map(({ value, label: name }) => {
        const isOn = chosen.includes(value);
        const next = isOn ? chosen.filter((one) => one !== value) : [...chosen, value];
        return (
          <Tick
            key={value}
            role="checkbox"
            isOn={isOn}
            isDisabled={isOn && chosen.length === 1}
            onPress={() => onChange(next)}
          >
            <Text variant="bodyLarge" style={isOn && STRONG}>
              {name}
            </Text>
          </Tick>
        );
      })}
    </View>
  );
}
