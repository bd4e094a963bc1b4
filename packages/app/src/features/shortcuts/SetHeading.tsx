import { t } from '@lingui/core/macro';
import type { ShortcutSet } from '@yellow-latch/core/model';
import { memo } from 'react';
import { StyleSheet, View } from 'react-native';
import { Text } from 'react-native-paper';

import { STRONG } from '@/look/fonts';
import { Icon } from '@/look/icons';
import { usePalette } from '@/look/useLook';

/** The name of a set over its shortcuts, and how many there are. */
export const SetHeading = memo(function SetHeading({
  set,
  count,
}: {
  set: ShortcutSet | 'corrections' | null;
  count: number;
}) {
  const palette = usePalette();
  const { name, icon } =
    set === 'corrections'
      ? { name: t`Corrections`, icon: 'spell-check' }
      : { name: set?.name ?? t`No set`, icon: set?.icon ?? 'inbox' };
  return (
    <View style={styles.row}>
      <Icon name={icon} size={18} color={palette.ink} />
      <Text variant="titleSmall" role="heading" aria-level={2} style={styles.name}>
        {name}
      </Text>
      <View style={[styles.rule, { backgroundColor: palette.line }]} />
      <Text variant="bodySmall" style={{ color: palette.inkSoft }}>
        {count}
      </Text>
    </View>
  );
});

const styles = StyleSheet.create({
  row: {
    flexDirection: 'row',
    alignItems: 'center',
    gap: 8,
    paddingHorizontal: 16,
    paddingTop: 18,
    paddingBottom: 4,
  },
  name: { ...STRONG, fontSize: 15 },
  rule: { flex: 1, height: 1 },
});
