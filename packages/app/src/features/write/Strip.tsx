import { plural, t } from '@lingui/core/macro';
import type { Offer } from '@yellow-latch/core/fire';
import { useEffect, type KeyboardEvent } from 'react';
import { StyleSheet, View } from 'react-native';
import { Text } from 'react-native-paper';

import { announce } from '@/frame/announce';
import { useLive } from '@/frame/live';
import { usePalette } from '@/look/useLook';

import { OffersStrip } from '@/parts/typing/OffersStrip';
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
  useOffersSaid(offers);
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

/** How long suggestions stand before they are said, in ms: not with every key. */
const SETTLED = 500;

/** Says how many suggestions there are, and the code of the first. */
function useOffersSaid(offers: readonly Offer[]): void {
  const count = offers.length;
  const first = offers[0]?.entry.code;
  useEffect(() => {
    if (first === undefined) return;
    const timer = setTimeout(
      () => announce(plural(count, { one: `# suggestion: ${first}`, other: `# suggestions, first ${first}` })),
      SETTLED,
    );
    return () => clearTimeout(timer);
  }, [count, first]);
}

const styles = StyleSheet.create({
  told: { height: 56, justifyContent: 'center', paddingHorizontal: 16 },
});
