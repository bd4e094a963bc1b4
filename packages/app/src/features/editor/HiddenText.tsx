import { t } from '@lingui/core/macro';
import { StyleSheet, View } from 'react-native';
import { Button, Text } from 'react-native-paper';

import { MASK } from '@/answers/audit/sentences';
import { STRONG } from '@/look/fonts';

/** In the place of a private text, until a person asks to see it. */
export function HiddenText({ onShow }: { onShow: () => void }) {
  return (
    <View style={styles.block}>
      <Text variant="labelLarge" style={STRONG}>{t`You get`}</Text>
      <View style={styles.line}>
        <Text variant="bodyLarge">{MASK}</Text>
        <Button mode="outlined" onPress={onShow} contentStyle={styles.tall}>{t`Show`}</Button>
      </View>
    </View>
  );
}

const styles = StyleSheet.create({
  block: { gap: 4, paddingTop: 6 },
  line: { flexDirection: 'row', alignItems: 'center', gap: 12, paddingVertical: 6 },
  tall: { minHeight: 48 },
});
