import { StyleSheet, View } from 'react-native';

import { usePalette } from './useLook';
import { webStyle } from './webStyle';

interface BarProps {
  /** From 0 to 1. */
  part: number;
  /** For what costs rather than saves: an outline. */
  isHollow?: boolean;
}

/** A share of something, drawn for the eye beside its figure. */
export function Bar({ part, isHollow = false }: BarProps) {
  const palette = usePalette();
  const width = `${Math.max(0, Math.min(1, part)) * 100}%` as const;
  return (
    <View aria-hidden style={[styles.track, { backgroundColor: palette.line }]}>
      <View
        style={[
          styles.fill,
          { width, backgroundColor: isHollow ? palette.surface : palette.ink, borderColor: palette.ink },
        ]}
      />
    </View>
  );
}

const styles = StyleSheet.create({
  // Where a system forces its colours, a bar of one colour would be none.
  track: {
    height: 10,
    borderRadius: 2,
    overflow: 'hidden',
    flex: 1,
    minWidth: 0,
    ...webStyle({ forcedColorAdjust: 'none' }),
  },
  fill: { height: 10, borderRadius: 2, borderWidth: 1.5, minWidth: 2 },
});
