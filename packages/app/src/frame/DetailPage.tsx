import { t } from '@lingui/core/macro';
import { useLocalSearchParams, useRouter, type Href } from 'expo-router';
import type { ReactNode } from 'react';
import { ScrollView, StyleSheet, View } from 'react-native';

import { DetailHead } from '@/look/DetailHead';
import { FocusHeading } from '@/look/FocusHeading';
import { usePageTitle } from '@/look/usePageTitle';

interface DetailPageProps {
  title: string;
  /** What the page is about, so that the focus goes to its heading when that changes. */
  about: string;
  back?: { label: string; href: Href };
  /** What can be chosen or done for the whole page, beside its heading. */
  actions?: ReactNode;
  /** What stays at the foot while the rest scrolls. */
  foot?: ReactNode;
  /** Whether what is on the page scrolls by itself, as a long list does. */
  hasOwnScroll?: boolean;
  /** Between its parts, in px. */
  gap?: number;
  children?: ReactNode;
}

const TO_DEVICES = '/devices' as Href;

/** What is open beside a list, or over it: a heading that takes the focus, the way back, what scrolls, and a foot. */
export function DetailPage({
  title,
  about,
  back = { label: t`Back to Devices`, href: TO_DEVICES },
  actions,
  foot,
  hasOwnScroll = false,
  gap = 14,
  children,
}: DetailPageProps) {
  const router = useRouter();
  // Opened from the menu of the list, it leads back there.
  const { from } = useLocalSearchParams<{ from?: string }>();
  const way = from === 'list' ? { label: t`Back to the list`, href: '/' as Href } : back;
  usePageTitle(title);
  return (
    <View style={styles.page}>
      <DetailHead back={way.label} onBack={() => router.navigate(way.href)}>
        <FocusHeading focusOn={about} variant="titleLarge" style={styles.title}>
          {title}
        </FocusHeading>
        {actions}
      </DetailHead>
      {hasOwnScroll ? (
        children
      ) : (
        <ScrollView style={styles.scroll} contentContainerStyle={[styles.parts, { gap }]}>
          {children}
        </ScrollView>
      )}
      {foot}
    </View>
  );
}

const styles = StyleSheet.create({
  page: { flex: 1, minHeight: 0 },
  title: { flex: 1 },
  scroll: { flex: 1, minHeight: 0 },
  parts: { paddingHorizontal: 16, paddingBottom: 24, maxWidth: 760 },
});
