import { i18n, type MessageDescriptor } from '@lingui/core';
import { msg } from '@lingui/core/macro';
import type { Severity } from '@yellow-latch/core/clash/finding';
import { Pressable, StyleSheet, View } from 'react-native';
import { Text } from 'react-native-paper';

import { STRONG } from '@/look/fonts';
import { Icon } from '@/look/icons';
import { usePalette } from '@/look/useLook';
import { tellCount } from '@/wording/format';

import { IGNORED } from './rows';

const TITLES: Readonly<Record<Severity | typeof IGNORED, MessageDescriptor>> = {
  breaks: msg`Needs fixing`,
  risky: msg`Risky`,
  note: msg`Safe, with a note`,
  [IGNORED]: msg`Ignored`,
};

interface GroupHeadingProps {
  of: Severity | typeof IGNORED;
  count: number;
  isOpen: boolean;
  onToggle: () => void;
}

/** A verdict and how many shortcuts have it; a tap opens and closes what stands under it. */
export function GroupHeading({ of, count, isOpen, onToggle }: GroupHeadingProps) {
  const palette = usePalette();
  const title = i18n._(TITLES[of]);
  return (
    <View role="heading" aria-level={2}>
      <Pressable
        role="button"
        aria-expanded={isOpen}
        aria-label={`${title}: ${tellCount(count)}`}
        onPress={onToggle}
        style={styles.row}
      >
        <Icon name={isOpen ? 'chevron-down' : 'chevron-right'} size={18} color={palette.inkSoft} />
        <Text variant="titleSmall" style={styles.name}>
          {title}
        </Text>
        <View style={[styles.rule, { backgroundColor: palette.line }]} />
        <Text variant="bodySmall" style={{ color: palette.inkSoft }}>
          {tellCount(count)}
        </Text>
      </Pressable>
    </View>
  );
}

const styles = StyleSheet.create({
  row: { flexDirection: 'row', alignItems: 'center', gap: 8, paddingHorizontal: 16, minHeight: 48, paddingTop: 6 },
  name: { ...STRONG, fontSize: 15 },
  rule: { flex: 1, height: 1 },
});
