import type { ReactNode } from 'react';
import { StyleSheet, View } from 'react-native';

/** Two choices side by side. */
export function ChoiceLine({ children }: { children: ReactNode }) {
  return <View style={styles.line}>{children}</View>;
}

const styles = StyleSheet.create({ line: { flexDirection: 'row', gap: 12, paddingTop: 8 } });
