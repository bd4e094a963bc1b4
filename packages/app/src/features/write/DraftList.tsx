import { t } from '@lingui/core/macro';
import { useCallback, useEffect, useState } from 'react';
import { Pressable, ScrollView, StyleSheet, View } from 'react-native';
import { Button, IconButton, Text } from 'react-native-paper';

import { STRONG } from '@/look/fonts';
import { usePalette } from '@/look/useLook';
import { tellClock, tellDay } from '@/wording/format';

import type { DraftLine } from '@yellow-latch/replica/storage/drafts';
import type { Drafts } from './useDrafts';

interface DraftListProps {
  drafts: Drafts;
  /** Called when another draft is on the page. */
  onOpened?: () => void;
}

const DAY = 24 * 60 * 60 * 1_000;

function tellWhen(changed: number): string {
  return Date.now() - changed < DAY ? tellClock(changed) : tellDay(changed);
}

/** The drafts of this device, by their first lines. */
export function DraftList({ drafts, onOpened }: DraftListProps) {
  const palette = usePalette();
  const [lines, setLines] = useState<readonly DraftLine[]>([]);
  const { list, opened, subscribe } = drafts;
  const look = useCallback(() => {
    void list().then(setLines);
  }, [list]);
  useEffect(() => {
    look();
    return subscribe(look);
  }, [look, opened, subscribe]);
  const openId = opened?.draft.id;
  return (
    <>
      {lines.length === 0 && (
        <Text variant="bodyMedium" style={styles.empty}>{t`What you write is saved on this device.`}</Text>
      )}
      <ScrollView style={styles.scroll} {...(lines.length > 0 ? { role: 'list', 'aria-label': t`Drafts` } : {})}>
        {lines.map(({ id, title, changed }) => (
          <View key={id} role="listitem" style={[styles.line, id === openId && { backgroundColor: palette.line }]}>
            <Pressable
              role="button"
              aria-label={t`Open ${title}`}
              aria-current={id === openId ? 'true' : undefined}
              onPress={() => {
                if (id !== openId) drafts.open(id);
                onOpened?.();
              }}
              style={styles.open}
            >
              <Text numberOfLines={1} style={[styles.title, id === openId && STRONG]}>
                {title}
              </Text>
              <Text variant="bodySmall" style={{ color: id === openId ? palette.ink : palette.inkSoft }}>
                {tellWhen(changed)}
              </Text>
            </Pressable>
            <IconButton
              icon="trash"
              size={20}
              style={styles.button}
              accessibilityLabel={t`Delete ${title}`}
              onPress={() => drafts.drop(id)}
            />
          </View>
        ))}
      </ScrollView>
      <Button
        icon="plus"
        mode="text"
        onPress={() => {
          drafts.startNew();
          onOpened?.();
        }}
        contentStyle={styles.button}
        style={styles.new}
      >{t`New draft`}</Button>
    </>
  );
}

const styles = StyleSheet.create({
  scroll: { flexShrink: 1 },
  empty: { padding: 20 },
  line: { flexDirection: 'row', alignItems: 'center' },
  open: { flex: 1, minWidth: 0, minHeight: 56, justifyContent: 'center', paddingLeft: 20 },
  title: { fontSize: 16 },
  button: { minWidth: 48, height: 48, margin: 0 },
  new: { alignSelf: 'flex-start', marginLeft: 8 },
});
