import { t } from '@lingui/core/macro';
import { useRouter } from 'expo-router';
import { StyleSheet, View } from 'react-native';
import { Button, Text } from 'react-native-paper';

import { nameOfStandIn } from '@/frame/standIn/name';
import { standInTab } from '@/frame/standIn/tab';
import { STRONG } from '@/look/fonts';
import { usePalette } from '@/look/useLook';
import { LeaveSample } from '@/parts/LeaveSample';

/** On top of the app on a stand-in: that it is one, and the way back to it. */
export function StandInStrip() {
  const palette = usePalette();
  const router = useRouter();
  const tab = standInTab();
  if (!tab) return null;
  return (
    <View style={[styles.strip, { backgroundColor: palette.latch, borderColor: palette.keyline }]}>
      <Text style={[STRONG, styles.name, { color: palette.onLatch }]}>
        {tab.list === 'sample' ? t`Sample list` : nameOfStandIn(tab)}
      </Text>
      {tab.list === 'sample' && <LeaveSample color={palette.onLatch} />}
      <Button
        mode="text"
        textColor={palette.onLatch}
        contentStyle={styles.tall}
        onPress={() => router.navigate({ pathname: '/stand-in/[kind]', params: { kind: tab.kind } })}
      >
        {tab.list === 'sample' ? t`Try it` : t`Back to the stand-in`}
      </Button>
    </View>
  );
}

const styles = StyleSheet.create({
  strip: { flexDirection: 'row', alignItems: 'center', paddingLeft: 16, borderBottomWidth: 1, minHeight: 48 },
  name: { flex: 1, minWidth: 0 },
  tall: { minHeight: 48 },
});
