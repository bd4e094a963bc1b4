import { t } from '@lingui/core/macro';
import { StyleSheet, View } from 'react-native';
import { Text } from 'react-native-paper';

import { Tick } from '@/look/Tick';
import { usePalette } from '@/look/useLook';

/** Whether codes that become others go on working for a while. */
export function OldCodes({ isKept, onChange }: { isKept: boolean; onChange: (isKept: boolean) => void }) {
  const palette = usePalette();
  return (
    <Tick role="checkbox" isOn={isKept} onPress={() => onChange(!isKept)}>
      <View style={styles.words}>
        <Text variant="bodyLarge">{t`Old codes still work for four weeks`}</Text>
        <Text
          variant="bodySmall"
          style={{ color: palette.inkSoft }}
        >{t`In Write. Each one tells you its new code.`}</Text>
      </View>
    </Tick>
  );
}

const styles = StyleSheet.create({ words: { flex: 1 } });
