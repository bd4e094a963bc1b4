import { t } from '@lingui/core/macro';
import type { KeyboardEvent } from 'react';
import { StyleSheet, View } from 'react-native';
import { Text } from 'react-native-paper';

import { useLive } from '@/frame/live';
import { usePalette } from '@/look/useLook';

import { OffersStrip } from './OffersStrip';
import { SelectionBar } from './SelectionBar';
import type { Composer } from './useComposer';
import { offerKey } from './writeKeys';

/**
 * One strip above the keys, always there so that nothing moves: what can be made of a selection, else what is offered,
 * else a line on what has just happened.
 */
export function Strip({ composer }: { composer: Composer }) {
  const palette = usePalette();
  const { live } = composer;
  const { offers, waiting } = useLive(live.offered);
  const { isSelected } = useLive(live.page);
  const line = useLive(live.line);
  const chosen = useLive(live.chosen);
  const onKeyDown = (event: KeyboardEvent) => {
    if (offerKey(event, composer)) event.preventDefault();
  };
  if (isSelected)
    return <SelectionBar wrappers={composer.wrappers} onCasing={composer.setCasing} onWrap={composer.wrap} />;
  if (offers.length > 0) {
    return (
      <OffersStrip
        offers={offers}
        textOf={composer.textOf}
        chosen={chosen}
        waiting={waiting}
        onTake={composer.take}
        onKeep={composer.keep}
        onKeyDown={onKeyDown}
      />
    );
  }
  return (
    <View role="status" style={styles.told}>
      <Text variant="bodyMedium" numberOfLines={2} style={{ color: line?.isAlarm ? palette.alarm : palette.inkSoft }}>
        {line?.text ?? t`A code expands when you type a space or punctuation.`}
      </Text>
    </View>
  );
}

const styles = StyleSheet.create({
  told: { height: 56, justifyContent: 'center', paddingHorizontal: 16 },
});
