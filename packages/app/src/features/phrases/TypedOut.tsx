import { plural, t } from '@lingui/core/macro';
import type { TypedOut as TypedOutText } from '@yellow-latch/core/mine';
import { useRouter } from 'expo-router';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Text } from 'react-native-paper';

import { shortened } from '@/answers/audit/sentences';
import { useList } from '@/frame/replica/ReplicaProvider';
import { CodePlate } from '@/look/CodePlate';
import { Fold } from '@/look/Fold';
import { PressLink } from '@/look/PressLink';
import { usePalette } from '@/look/useLook';

import { tellWorth } from './words';

/** What the list has and was typed out all the same. */
export function TypedOut({ typedOut }: { typedOut: readonly TypedOutText[] }) {
  const palette = usePalette();
  const router = useRouter();
  const { shortcuts } = useList();
  const [isOpen, setOpen] = useState(false);
  const rows = typedOut.flatMap(({ id, count, aMonth }) => {
    const shortcut = shortcuts.find((one) => one.id === id);
    return shortcut ? [{ shortcut, count, aMonth }] : [];
  });
  if (rows.length === 0) return null;
  return (
    <Fold
      title={t`You have codes for these`}
      summary={plural(rows.length, { one: 'You typed # of them out.', other: 'You typed # of them out.' })}
      isOpen={isOpen}
      onToggle={() => setOpen(!isOpen)}
    >
      {rows.map(({ shortcut: { id, code, content }, count, aMonth }) => (
        <PressLink
          key={id}
          onPress={() => router.navigate({ pathname: '/shortcut/[id]', params: { id } })}
          style={[styles.row, { borderColor: palette.line }]}
        >
          <CodePlate code={code} />
          <View style={styles.words}>
            <Text numberOfLines={2}>{shortened(content.expansion, 90)}</Text>
            <Text variant="bodySmall" style={{ color: palette.inkSoft }}>
              {tellWorth(count, aMonth)}
            </Text>
          </View>
        </PressLink>
      ))}
    </Fold>
  );
}

const styles = StyleSheet.create({
  row: { flexDirection: 'row', alignItems: 'center', gap: 12, minHeight: 60, paddingVertical: 8, borderTopWidth: 1 },
  words: { flex: 1, minWidth: 0, gap: 2 },
});
