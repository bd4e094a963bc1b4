import { StyleSheet, View } from 'react-native';
import { Text } from 'react-native-paper';

import { usePalette } from '@/look/useLook';

import { OffersStrip } from './OffersStrip';
import { SelectionBar } from './SelectionBar';
import type { Composer } from './useComposer';

/**
 * One strip above the keys, always there so that nothing moves: what can be made of a selection, else what is offered,
 * else a line on what has just happened.
 */
export function Strip({ composer }: { composer: Composer }) {
  const palette = usePalette();
  const { shown, line } = composer;
  if (shown.isSelected) return <SelectionBar wrappers={composer.wrappers} onCasing={composer.setCasing} onWrap={composer.wrap} />;
  if (shown.offers.length > 0) {
    return <OffersStrip offers={shown.offers} textOf={composer.textOf} chosen={composer.chosen} waiting={shown.waiting} onTake={composer.take} onKeep={composer.keep} />;
  }
  return (
    <View role="status" style={styles.told}>
      <Text variant="bodyMedium" numberOfLines={2} style={{ color: line?.isAlarm ? palette.alarm : palette.inkSoft }}>
        {line?.text ?? 'A code fires after a space, a return or a mark.'}
      </Text>
    </View>
  );
}

const styles = StyleSheet.create({
  told: { height: 56, justifyContent: 'center', paddingHorizontal: 16 },
});
