import { StyleSheet, View } from 'react-native';
import { Text } from 'react-native-paper';

import { Icon } from '@/look/icons';
import { usePalette } from '@/look/useLook';
import { useSyncState } from '@/replica/ReplicaProvider';
import type { SyncState } from '@/replica/sync';

/** How this device stands to the server, in one quiet line. */
export function SyncLine() {
  const palette = usePalette();
  const state = useSyncState();
  const { icon, text } = tellSync(state);
  return (
    <View style={styles.line} role="status">
      <Icon name={icon} size={16} color={palette.inkSoft} />
      <Text variant="bodySmall" style={{ color: palette.inkSoft }}>
        {text}
      </Text>
    </View>
  );
}

export function tellSync({ phase, waiting, refusals }: SyncState): { icon: string; text: string } {
  if (refusals.length > 0) {
    const what = refusals.length === 1 ? '1 change was' : `${refusals.length} changes were`;
    return { icon: 'cloud-off', text: `${what} not taken: ${refusals[0]}` };
  }
  const changes = waiting === 1 ? '1 change' : `${waiting} changes`;
  if (phase === 'away') {
    const text = waiting > 0 ? `${changes} waiting, no server` : 'No server; kept on this device';
    return { icon: 'cloud-off', text };
  }
  if (phase === 'starting') return { icon: 'refresh', text: 'Looking for the server' };
  if (waiting > 0) return { icon: 'refresh', text: `Sending ${changes}` };
  return { icon: 'check', text: 'In step' };
}

const styles = StyleSheet.create({
  line: { flexDirection: 'row', alignItems: 'center', gap: 6, flexShrink: 1 },
});
