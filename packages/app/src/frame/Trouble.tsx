import { t } from '@lingui/core/macro';
import { Pressable, StyleSheet, Text, View } from 'react-native';

/**
 * What stands where a screen has failed. Made of nothing that could fail with it: no theme, no
 * icons.
 */
export function Trouble({ error, retry }: { error: Error; retry: () => void }) {
  return (
    <View role="main" style={styles.page}>
      <Text role="heading" style={styles.title}>{t`Something went wrong`}</Text>
      <Text style={styles.text}>{t`Your list is safe on this device.`}</Text>
      <Text style={styles.text}>{error.message}</Text>
      <Pressable role="button" onPress={retry} style={styles.button}>
        <Text style={styles.title}>{t`Try again`}</Text>
      </Pressable>
    </View>
  );
}

const styles = StyleSheet.create({
  page: { flex: 1, justifyContent: 'center', padding: 32, gap: 16, backgroundColor: '#dde4e4' },
  title: { fontSize: 20, fontWeight: '700', color: '#0a3a42' },
  text: { fontSize: 16, color: '#0a3a42', maxWidth: 560 },
  button: { minHeight: 48, justifyContent: 'center', alignSelf: 'flex-start' },
});
