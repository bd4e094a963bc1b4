import { plural, t } from '@lingui/core/macro';
import { useEffect, useRef } from 'react';
import { StyleSheet, View } from 'react-native';
import { Text } from 'react-native-paper';

import { Icon } from '@/look/icons';
import { tellMoment } from '@/wording/format';
import { usePalette } from '@/look/useLook';
import { PASSING } from './picture';
import { announce } from './announce';
import { tellRefusal } from './refusals';
import { useSyncState } from './replica/ReplicaProvider';
import type { SyncState } from '@yellow-latch/replica/sync/sync';

/** How this device stands to the server, in one quiet line. */
export function SyncLine() {
  const palette = usePalette();
  const state = useSyncState();
  const { icon, text } = tellSync(state);
  useSaid(icon === 'cloud-off', text);
  return (
    <View style={styles.line} {...PASSING}>
      <Icon name={icon} size={16} color={palette.inkSoft} />
      <Text variant="bodySmall" style={{ color: palette.inkSoft, flexShrink: 1 }}>
        {text}
      </Text>
    </View>
  );
}

/** Says that it is offline, and that it is back; not how each change is sent. */
function useSaid(isOff: boolean, text: string): void {
  const wasOff = useRef(isOff);
  useEffect(() => {
    if (wasOff.current !== isOff) announce(text);
    wasOff.current = isOff;
  });
}

export function tellSync(
  { phase, waiting, refusals, trouble, inStepAt, mayOnlyUse }: SyncState,
  now = Date.now(),
): { icon: string; text: string } {
  if (refusals.length > 0) {
    const why = tellRefusal(refusals[0]!);
    const text = plural(refusals.length, {
      one: `# change isn’t on the server. ${why}`,
      other: `# changes aren’t on the server. ${why}`,
    });
    return { icon: 'cloud-off', text };
  }
  if (phase === 'alone') return { icon: 'check', text: t`Sample list, only on this device` };
  if (phase === 'away' || phase === 'out') {
    if (trouble !== null) return { icon: 'cloud-off', text: tellRefusal(trouble) };
    return { icon: 'cloud-off', text: tellOffline(waiting, inStepAt, now) };
  }
  if (phase === 'starting') {
    if (inStepAt === null) return { icon: 'refresh', text: t`Connecting…` };
    return { icon: 'refresh', text: t`Connecting… Last synced ${{ when: tellMoment(inStepAt, now) }}` };
  }
  if (waiting > 0 && mayOnlyUse) {
    const text = plural(waiting, {
      one: '# change not sent: this device can’t change the list',
      other: '# changes not sent: this device can’t change the list',
    });
    return { icon: 'lock', text };
  }
  if (waiting > 0)
    return { icon: 'refresh', text: plural(waiting, { one: 'Sending # change', other: 'Sending # changes' }) };
  return { icon: 'check', text: t`Synced` };
}

function tellOffline(waiting: number, inStepAt: number | null, now: number): string {
  const kept =
    waiting > 0 ? plural(waiting, { one: '# change to send', other: '# changes to send' }) : t`Saved on this device`;
  if (inStepAt === null) return t`Offline. ${kept}`;
  const since = tellMoment(inStepAt, now);
  return t`Offline since ${since}. ${kept}`;
}

const styles = StyleSheet.create({
  line: { flexDirection: 'row', alignItems: 'center', gap: 6, flexShrink: 1 },
});
