import { Slot, usePathname } from 'expo-router';
import type { ReactNode } from 'react';
import { StyleSheet, View } from 'react-native';

import { useIsWide, usePalette } from '@/look/useLook';
import { webStyle } from '@/look/webStyle';

/**
 * A list, and beside it (wide) or over it (phone) what of it is open. The list stays mounted below, so
 * that its place and search are as they were. `home`: the path at which nothing is open.
 */
export function SideBySide({ list, home }: { list: ReactNode; home: string }) {
  const palette = usePalette();
  const isWide = useIsWide();
  const isListAlone = usePathname() === home;
  const isCovered = !isWide && !isListAlone;
  return (
    <View style={styles.row}>
      <View style={[isWide ? styles.side : styles.whole, isCovered && styles.covered]} aria-hidden={isCovered}>
        {list}
      </View>
      {/* The slot stays mounted, since it keeps the state of what is open. */}
      <View
        style={[
          isWide ? styles.detail : styles.cover,
          !isWide && isListAlone && styles.nothing,
          { backgroundColor: palette.ground, borderColor: palette.line },
        ]}
      >
        <Slot />
      </View>
    </View>
  );
}

const styles = StyleSheet.create({
  row: { flex: 1, flexDirection: 'row', minHeight: 0 },
  whole: { flex: 1, minWidth: 0 },
  // Hidden in place: out of sight and reach, with its scroll position.
  covered: webStyle({ visibility: 'hidden' }),
  // On a tablet held upright the detail is the wider one.
  side: { width: 440, maxWidth: '45%', minWidth: 0 },
  detail: { flex: 1, minWidth: 0, borderLeftWidth: 1 },
  nothing: { display: 'none' },
  cover: { ...StyleSheet.absoluteFill },
});
