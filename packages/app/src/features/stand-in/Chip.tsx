import { useEffect, useRef } from 'react';
import { StyleSheet, View } from 'react-native';
import { Text } from 'react-native-paper';

import { STRONG } from '@/look/fonts';
import { Radio } from '@/look/RadioGroup';
import { usePalette } from '@/look/useLook';

interface ChipProps {
  label: string;
  isOn: boolean;
  onPress: () => void;
}

/** One of a row: what is chosen stands on ink. */
export function Chip({ label, isOn, onPress }: ChipProps) {
  const palette = usePalette();
  const at = useRef<View>(null);
  useEffect(() => {
    // In a row that is longer than the screen, what is chosen is in sight.
    if (isOn) (at.current as unknown as HTMLElement).scrollIntoView({ inline: 'nearest', block: 'nearest' });
  }, [isOn]);
  return (
    <View ref={at}>
      <Radio
        isOn={isOn}
        onPress={onPress}
        style={[styles.chip, { borderColor: palette.inkSoft, backgroundColor: isOn ? palette.ink : 'transparent' }]}
      >
        <Text style={[isOn && STRONG, { color: isOn ? palette.surface : palette.ink }]}>{label}</Text>
      </Radio>
    </View>
  );
}

const styles = StyleSheet.create({
  chip: { minHeight: 48, justifyContent: 'center', paddingHorizontal: 14, borderWidth: 1, borderRadius: 6 },
});
