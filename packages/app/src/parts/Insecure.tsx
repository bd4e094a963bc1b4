import { t } from '@lingui/core/macro';
import { StyleSheet, View } from 'react-native';
import { Text } from 'react-native-paper';

import { FACES, STRONG } from '@/look/fonts';
import { usePalette } from '@/look/useLook';

/** On an address without https a browser withholds much: what is missing, and what would bring it. */
export function Insecure() {
  const palette = usePalette();
  if (globalThis.isSecureContext !== false) return null;
  return (
    <View role="note" style={[styles.note, { borderColor: palette.ink }]}>
      <Text variant="bodyMedium" style={STRONG}>{t`This address isn’t secure`}</Text>
      <Text variant="bodyMedium">{t`Here the app can’t work offline, copy and paste, or be installed, and others on your network can read along. Start the server so that phones can trust it:`}</Text>
      <Command />
    </View>
  );
}

/** How a server is started so that other devices reach it. */
export function Command() {
  return <Text style={styles.command}>{'npm start -- --phones'}</Text>;
}

const styles = StyleSheet.create({
  note: { borderLeftWidth: 4, paddingLeft: 12, paddingVertical: 4, gap: 4 },
  command: { fontFamily: FACES.code, fontSize: 14, paddingVertical: 4 },
});
