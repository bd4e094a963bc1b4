import { t } from '@lingui/core/macro';
import { newPlace } from '@yellow-latch/replica/storage/unsaved';
import { usePathname, useRouter } from 'expo-router';
import { memo } from 'react';
import { Pressable, StyleSheet, View } from 'react-native';
import { Text } from 'react-native-paper';

import { handOver } from '@/parts/incoming';
import { LatchButton } from '@/look/LatchButton';
import { usePalette } from '@/look/useLook';
import { useMay } from '@/frame/replica/ReplicaProvider';

/**
 * The bar that starts a new shortcut: from what was just copied, or from nothing. Where the
 * browser keeps the clipboard to itself, the editor opens with the caret where to paste.
 */
export const NewBar = memo(function NewBar() {
  const palette = usePalette();
  const router = useRouter();
  // With an editor open beside it, saving is the primary action.
  const isBesideEditor = usePathname() !== '/';
  const may = useMay();
  const paste = async () => {
    let text: string | null = null;
    try {
      text = await navigator.clipboard.readText();
    } catch {
      // Refused or not supported: the person pastes by hand.
    }
    handOver(text === null ? { type: 'refused' } : { type: 'text', text });
    router.navigate({ pathname: '/new', params: { at: newPlace() } });
  };
  if (may === 'use') return null;
  return (
    <View style={[styles.bar, { backgroundColor: palette.surface, borderColor: palette.ink }]}>
      <Pressable
        role="button"
        onPress={() => router.navigate({ pathname: '/new', params: { at: newPlace() } })}
        style={styles.write}
      >
        <Text variant="bodyLarge" style={{ color: palette.inkSoft }}>{t`New shortcut…`}</Text>
      </Pressable>
      <LatchButton icon="clipboard-paste" label={t`Paste`} isQuiet={isBesideEditor} onPress={() => void paste()} />
    </View>
  );
});

const styles = StyleSheet.create({
  bar: {
    flexDirection: 'row',
    alignItems: 'stretch',
    borderWidth: 1.5,
    borderRadius: 8,
    margin: 10,
    padding: 4,
    minHeight: 58,
  },
  write: { flex: 1, justifyContent: 'center', paddingHorizontal: 14 },
});
