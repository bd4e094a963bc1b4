import { StyleSheet, View } from 'react-native';
import { Text } from 'react-native-paper';

import { Icon } from '@/look/icons';
import { tellMoment } from '@/look/moment';
import { usePalette } from '@/look/useLook';
import { useSyncState } from './replica/ReplicaProvider';
import type { SyncState } from '@yellow-latch/replica/sync/sync';

/** How this device stands to the server, in one quiet line. */
export function SyncLine() {
  const palette = usePalette();
  const state = useSyncState();
  const { icon, text } = tellSync(state);
  return (
    <View style={styles.line} role="status">
      <Icon name={icon} size={16} color={palette.inkSoft} />
      <Text variant="bodySmall" style={{ color: palette.inkSoft, flexShrink: 1 }}>
        {text}
      </Text>
    </View>
  );
}

export function tellSync(
  { phase, waiting, refusals, trouble, inStepAt, mayOnlyUse }: SyncState,
  now = Date.now(),
): { icon: string; text: string } {
  if (refusals.length > 0) {
    const what = refusals.length === 1 ? '1 change was' : `${refusals.length} changes were`;
    return { icon: 'cloud-off', text: `${what} not taken: ${refusals[0]}` };
  }
  const changes = waiting === 1 ? '1 change' : `${waiting} changes`;
  if (phase === 'away' || phase === 'out') {
    const since = inStepAt === null ? '' : ` since ${tellMoment(inStepAt, now)}`;
    const why = trouble ?? `no server${since}`;
    const calm = `${trouble ?? `No server${since}`}; kept here`;
    const text = waiting > 0 ? `${changes} waiting, ${why}` : calm;
    return { icon: 'cloud-off', text };
  }
  if (phase === 'starting') return { icon: 'refresh', text: 'Looking for the server' };
  if (waiting > 0 && mayOnlyUse) return { icon: 'lock', text: `${changes} waiting: this device may only use the list` };
  if (waiting > 0) return { icon: 'refresh', text: `Sending ${changes}` };
  return { icon: 'check', text: 'In step' };
}

const styles = StyleSheet.create({
  line: { flexDirection: 'row', alignItems: 'center', gap: 6, flexShrink: 1 },
});
