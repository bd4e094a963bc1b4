import { StyleSheet, View } from 'react-native';
import { Text } from 'react-native-paper';

import { Live, useLive } from './live';

const said = new Live('');

/** Has a screen reader say something that the eye sees happen: what was found, what has been checked. WCAG 2.2, 4.1.3. */
export function announce(text: string): void {
  // Said twice running, it is another text: a space at its end is not heard.
  said.set(said.value === text ? `${text} ` : text);
}

/** Where what is announced stands, out of sight; once in the app. */
export function Announcer() {
  return (
    <View role="status" nativeID="announced" style={styles.hidden}>
      <Text>{useLive(said)}</Text>
    </View>
  );
}

const styles = StyleSheet.create({
  hidden: { position: 'absolute', width: 1, height: 1, overflow: 'hidden', opacity: 0.01 },
});
