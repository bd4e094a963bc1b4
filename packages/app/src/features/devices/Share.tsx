import { t } from '@lingui/core/macro';
import type { Device } from '@yellow-latch/core/model';
import { settingDevice } from '@yellow-latch/replica/commands/devices';
import { StyleSheet, View } from 'react-native';
import { IconButton, Text } from 'react-native-paper';

import { useList, useWrite } from '@/frame/replica/ReplicaProvider';
import { STRONG } from '@/look/fonts';
import { wholePercents } from '@/parts/percents';
import { tellPercent } from '@/wording/format';

const MOST_PARTS = 20;

/** How much of all typing is done on a device. What one has more of, the others have less of, so that it is 100 % in all. */
export function Share({ device }: { device: Device }) {
  const list = useList();
  const write = useWrite();
  const percents = wholePercents(list.devices.map(({ share }) => share));
  const percent = percents[list.devices.indexOf(device)] ?? 0;
  const set = (share: number) => void write(...settingDevice(device, { share }, list).writes);
  const { name, share } = device;
  return (
    <View style={styles.line} role="group" aria-label={t`How much you type on it`}>
      <Text variant="titleMedium" role="heading" aria-level={2} style={[STRONG, styles.words]}>
        {t`How much you type on it`}
      </Text>
      <IconButton
        icon="minus"
        size={18}
        style={styles.square}
        accessibilityLabel={t`Less on ${name}`}
        disabled={share <= 0}
        onPress={() => set(share - 1)}
      />
      <Text style={[STRONG, styles.percent]} role="status">
        {tellPercent(percent / 100)}
      </Text>
      <IconButton
        icon="plus"
        size={18}
        style={styles.square}
        accessibilityLabel={t`More on ${name}`}
        disabled={share >= MOST_PARTS}
        onPress={() => set(share + 1)}
      />
    </View>
  );
}

const styles = StyleSheet.create({
  line: { flexDirection: 'row', alignItems: 'center', flexWrap: 'wrap' },
  words: { flex: 1, minWidth: 180 },
  square: { width: 48, height: 48, margin: 0 },
  percent: { minWidth: 52, textAlign: 'center' },
});
