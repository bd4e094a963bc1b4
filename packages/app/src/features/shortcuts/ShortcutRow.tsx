import { countClusters, type Shortcut } from '@yellow-latch/core/model';
import { useRouter } from 'expo-router';
import { memo } from 'react';
import { Pressable, StyleSheet, View } from 'react-native';
import { Text } from 'react-native-paper';

import { CodePlate } from '@/look/CodePlate';
import { usePalette } from '@/look/useLook';
import { webStyle } from '@/look/webStyle';

import { CopyButton } from './CopyButton';

/** Codes longer than this, in clusters, stand above their expansion instead of beside it. */
const LONGEST_BESIDE = 9;

interface ShortcutRowProps {
  shortcut: Shortcut;
  isOpen: boolean;
}

/** A pair of the list: what you type, what you get; one tap opens it, one on the right copies it. */
export const ShortcutRow = memo(function ShortcutRow({ shortcut, isOpen }: ShortcutRowProps) {
  const palette = usePalette();
  const router = useRouter();
  const { id, code, content, kind } = shortcut;
  const isLong = countClusters(code) > LONGEST_BESIDE;
  return (
    <View style={[styles.row, isOpen && { backgroundColor: palette.surface }]}>
      <Pressable
        role="link"
        aria-label={`${code}: ${content.expansion.slice(0, 200)}`}
        aria-current={isOpen ? 'true' : undefined}
        onPress={() => router.navigate({ pathname: '/shortcut/[id]', params: { id } })}
        style={[styles.pair, isLong && styles.stacked]}
      >
        <View style={isLong ? null : styles.code}>
          <CodePlate code={code} />
        </View>
        <Text
          variant="bodyMedium"
          numberOfLines={2}
          style={[styles.expansion, kind === 'symbol' && styles.symbol]}
        >
          {content.expansion.trim().replace(/\s*\n\s*/g, ' ↵ ')}
        </Text>
      </Pressable>
      <CopyButton text={content.expansion} label={`Copy what ${code} gives`} />
    </View>
  );
});

const styles = StyleSheet.create({
  symbol: { fontSize: 21, lineHeight: 26 },
  row: { flexDirection: 'row', alignItems: 'center', paddingLeft: 16, paddingRight: 6 },
  pair: {
    flex: 1,
    flexDirection: 'row',
    alignItems: 'center',
    gap: 12,
    minHeight: 56,
    paddingVertical: 6,
    minWidth: 0,
  },
  stacked: { flexDirection: 'column', alignItems: 'stretch', gap: 4 },
  code: { minWidth: 92 },
  expansion: { flex: 1, fontSize: 15, lineHeight: 20, ...webStyle({ overflowWrap: 'anywhere' }) },
});
