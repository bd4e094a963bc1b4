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
      <Text variant="bodyMedium" style={STRONG}>
        This address is not secure
      </Text>
      <Text variant="bodyMedium">
        Here the browser does not keep the app for use without a network, reads and writes no clipboard, cannot install
        it, and whoever is on the same network can read along. Start the server with an https address:
      </Text>
      <Command />
    </View>
  );
}

/** How a server is started so that other devices reach it. */
export function Command() {
  return <Text style={styles.command}>npm start -- --public-url https://…</Text>;
}

const styles = StyleSheet.create({
  note: { borderLeftWidth: 4, paddingLeft: 12, paddingVertical: 4, gap: 4 },
  command: { fontFamily: FACES.code, fontSize: 14, paddingVertical: 4 },
});
