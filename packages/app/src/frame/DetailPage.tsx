import { useRouter, type Href } from 'expo-router';
import type { ReactNode } from 'react';
import { ScrollView, StyleSheet, View } from 'react-native';

import { DetailHead } from '@/look/DetailHead';
import { FocusHeading } from '@/look/FocusHeading';

interface DetailPageProps {
  title: string;
  /** What the page is about, so that the focus goes to its heading when that changes. */
  about: string;
  back?: { label: string; href: Href };
  children: ReactNode;
}

const TO_DEVICES = { label: 'Back to the devices', href: '/devices' as Href };

/** What is open beside a list, or over it: a heading that takes the focus, the way back, and what scrolls below. */
export function DetailPage({ title, about, back = TO_DEVICES, children }: DetailPageProps) {
  const router = useRouter();
  return (
    <View style={styles.page}>
      <DetailHead back={back.label} onBack={() => router.navigate(back.href)}>
        <FocusHeading focusOn={about} variant="titleLarge" style={styles.title}>
          {title}
        </FocusHeading>
      </DetailHead>
      <ScrollView style={styles.scroll} contentContainerStyle={styles.parts}>
        {children}
      </ScrollView>
    </View>
  );
}

const styles = StyleSheet.create({
  page: { flex: 1, minHeight: 0 },
  title: { flex: 1 },
  scroll: { flex: 1, minHeight: 0 },
  parts: { paddingHorizontal: 16, paddingBottom: 24, gap: 14, maxWidth: 760 },
});
