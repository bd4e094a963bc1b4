import { usePathname } from 'expo-router';
import type { ReactNode } from 'react';
import { StyleSheet, View } from 'react-native';

import { Announcer } from '@/frame/announce';
import { NoticeBar, useNoticeLeaving } from '@/frame/Notices';
import { useShellGone } from '@/frame/shell';
import { UpdateOffer } from '@/frame/UpdateOffer';
import { usePalette } from '@/look/useLook';

/** What stands around a page that has no main menu. */
export function BareFrame({ children }: { children: ReactNode }) {
  const palette = usePalette();
  useShellGone();
  useNoticeLeaving(usePathname());
  return (
    <View style={[styles.frame, { backgroundColor: palette.ground }]}>
      <UpdateOffer />
      <View style={styles.page}>{children}</View>
      <NoticeBar />
      <Announcer />
    </View>
  );
}

const styles = StyleSheet.create({
  frame: { flex: 1, minHeight: 0 },
  page: { flex: 1, minHeight: 0 },
});
